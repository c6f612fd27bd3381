package app.korvel.server.web;

import java.util.UUID;

/**
 * What was taken back; undoing that makes it stand again.
 *
 * @param id of the record that says so
 */
public record TakenBack(UUID id) {}
