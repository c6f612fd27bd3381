package app.korvel.core.support;

import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.Grade;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/** Made-up measured maxima for the tests. */
public final class Maxima {
  private Maxima() {}

  /** A test of that kind and grade, put on record at noon of its day. */
  public static MeasuredMaximum test(
      Mode mode, MaximumKind kind, Grade grade, int bpm, LocalDate on) {
    return measured(mode, kind, Optional.of(grade), bpm, on);
  }

  /** A peak seen on that day. */
  public static MeasuredMaximum peak(Mode mode, int bpm, LocalDate on) {
    return measured(mode, MaximumKind.PEAK, Optional.empty(), bpm, on);
  }

  private static MeasuredMaximum measured(
      Mode mode, MaximumKind kind, Optional<Grade> grade, int bpm, LocalDate on) {
    return MeasuredMaximum.of(
        new UUID(bpm, on.toEpochDay()),
        mode,
        kind,
        "",
        grade,
        bpm,
        on,
        "",
        Optional.empty(),
        OptionalInt.empty(),
        on.atTime(12, 0).toInstant(ZoneOffset.UTC),
        ZoneOffset.UTC);
  }
}
