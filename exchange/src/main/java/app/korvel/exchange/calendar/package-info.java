/** Sessions out to calendar programs, busy times in from them. */
package app.korvel.exchange.calendar;
