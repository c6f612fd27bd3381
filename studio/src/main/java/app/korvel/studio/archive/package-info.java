/** Everything of a client, or of the studio, out in open formats and in again as it was. */
package app.korvel.studio.archive;
