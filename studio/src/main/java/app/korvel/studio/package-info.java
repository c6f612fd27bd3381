/**
 * What people do, one class a task. A task has one method: it takes who acts and what was entered,
 * reads the snapshot, asks the core, writes in one unit of work, and says what happened. Whether
 * somebody may is decided here and nowhere else. No Spring, no HTTP.
 *
 * <p>Rooms have the core's names; this package holds what all of them stand on.
 */
package app.korvel.studio;
