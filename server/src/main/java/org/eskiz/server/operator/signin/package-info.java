/**
 * Who comes in: operators and the workshops they belong to, passwords, one-time links, sessions. Alone on one machine nobody
 * signs in, and the first operator is at work ({@link org.eskiz.server.operator.AtWork#ALONE}).
 */
package org.eskiz.server.operator.signin;
