/** What is foreseen of sessions, and how near it came. */
package app.korvel.studio.forecast;
