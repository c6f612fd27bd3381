/** A recording of the heart rate: its samples, its gaps, the smoothed rate and what is in it. */
package app.korvel.core.trace;
