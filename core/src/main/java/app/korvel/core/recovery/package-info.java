/** How the heart rate comes down when the work has stopped, judged and compared. */
package app.korvel.core.recovery;
