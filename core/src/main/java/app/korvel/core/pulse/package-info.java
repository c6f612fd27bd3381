/** Counting a pulse well: windows and their error, grades, what is usual, the working value. */
package app.korvel.core.pulse;
