/** What happened in the workshop and who did it, read from what every feature keeps anyway (the view happening of V14). */
package org.eskiz.server.happening;
