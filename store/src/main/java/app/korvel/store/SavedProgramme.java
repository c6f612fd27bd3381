package app.korvel.store;

import app.korvel.core.programme.Programme;
import java.time.Instant;
import java.util.UUID;

/**
 * A programme as it was saved.
 *
 * @param version 1 for a client's first, one more with every change
 * @param prescriptionId the prescription it was laid out from
 * @param recordedAt when it was saved
 * @param programme as of that change
 */
public record SavedProgramme(
    int version, UUID prescriptionId, Instant recordedAt, Programme programme) {}
