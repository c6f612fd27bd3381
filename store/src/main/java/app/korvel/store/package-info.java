/**
 * Records in SQLite: one {@link app.korvel.store.Database}, and a repository for each kind of
 * record, in SQL you can read and in the types of the core.
 */
package app.korvel.store;
