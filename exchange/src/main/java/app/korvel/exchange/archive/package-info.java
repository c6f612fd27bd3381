/** Everything of a client, or of a studio, in one ZIP file: out, and in again as it was. */
package app.korvel.exchange.archive;
