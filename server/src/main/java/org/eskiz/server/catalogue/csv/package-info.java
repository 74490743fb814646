/** Cable types and connectors as comma-separated values: one table of columns behind reading and writing. */
package org.eskiz.server.catalogue.csv;
