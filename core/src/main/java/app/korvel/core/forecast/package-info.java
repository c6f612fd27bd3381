/**
 * A session's heart rate before it is done, and against what it came to. Nothing is decided by it:
 * no other room knows this one.
 */
package app.korvel.core.forecast;
