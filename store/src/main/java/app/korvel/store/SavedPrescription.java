package app.korvel.store;

import app.korvel.core.prescription.Prescription;
import java.time.Instant;
import java.util.UUID;

/**
 * A prescription as it was saved.
 *
 * @param id UUIDv7
 * @param version 1 for a client's first
 * @param recordedAt when it was saved
 * @param prescription frozen as of that day
 */
public record SavedPrescription(
    UUID id, int version, Instant recordedAt, Prescription prescription) {}
