/** Open formats in and out. */
package app.korvel.exchange;
