/** Anything that goes by the clock: rows of a protocol, and what becomes of them as events come. */
package app.korvel.core.run;
