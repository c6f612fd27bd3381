/** Today's go or no-go, before each session. */
package app.korvel.core.checkin;
