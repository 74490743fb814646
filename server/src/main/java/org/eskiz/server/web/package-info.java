/**
 * How a request comes in and how its answer goes out, the same for every feature and without knowing any of them: who may
 * ask, how large a body may be, how long it may take, what is said of an error outside of any controller, and the one page
 * that every address of the front end opens. A feature that needs more than the usual registers it, as a bean.
 *
 * <p>The filters stand in this order: {@link RequestLogFilter}, {@link HostFilter}, {@link BodyFilter},
 * {@link AnswerFilter}. No thread waits for a slow client: bodies are read, and long answers written, as the connection can.
 */
package org.eskiz.server.web;
