package app.korvel.core.screening;

/**
 * A rate that no target goes above.
 *
 * @param bpm the highest rate allowed
 * @param because where it comes from
 */
public record Cap(int bpm, String because) {}
