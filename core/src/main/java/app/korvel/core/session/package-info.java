/** Sessions as they were done, and what a week of them asks of the next one. */
package app.korvel.core.session;
