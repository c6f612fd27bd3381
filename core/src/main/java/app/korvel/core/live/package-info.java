/** A session while it runs: what is said when, and what it amounts to. */
package app.korvel.core.live;
