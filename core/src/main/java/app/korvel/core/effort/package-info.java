/** Efforts of different days and people, made comparable as a share of reserve. */
package app.korvel.core.effort;
