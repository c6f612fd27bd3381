package app.korvel.store;

import app.korvel.core.outline.Outlines.Named;

/**
 * One of the studio's own session outlines.
 *
 * @param version goes up with every change
 * @param named what it says
 * @param archived whether it was archived
 */
public record SavedOutline(int version, Named named, boolean archived) {}
