/** How a prescription grows over weeks, laid out on the days there are. */
package app.korvel.core.programme;
