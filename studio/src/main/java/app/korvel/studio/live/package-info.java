/** Sessions on the clock: opened, run, ended and logged. */
package app.korvel.studio.live;
