/**
 * The words every other part of the core shares: accepted ranges, exact rounding, sources, and
 * findings. Depends on nothing.
 */
package app.korvel.core.measure;
