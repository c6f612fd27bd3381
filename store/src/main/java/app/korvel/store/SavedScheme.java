package app.korvel.store;

import app.korvel.core.zone.Scheme;

/**
 * One of the studio's own schemes.
 *
 * @param version goes up with every change
 * @param scheme what it says
 * @param archived whether it was archived
 */
public record SavedScheme(int version, Scheme scheme, boolean archived) {}
