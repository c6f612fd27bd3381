package app.korvel.core.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Made-up talk checks of someone from 64 to 176. */
final class TalkScene {
  private TalkScene() {}

  static final ZoneId ZONE = ZoneOffset.UTC;
  static final TalkSpan SPAN = TalkSpan.of(Reserve.of(64, 176), 10);
  static final LocalDate FIRST = LocalDate.of(2030, 3, 4);
  static final LocalDate LAST = LocalDate.of(2030, 3, 18);

  private static long made;

  /** Heard, by strap; each twenty minutes after the one written before it. */
  static TalkCheck check(LocalDate on, int voice, int bpm) {
    return check(on, new Said(bpm, RateBy.STRAP, voice, Hearing.HEARD), Set.of());
  }

  static TalkCheck check(LocalDate on, Said said, Set<OddDay> odd) {
    made++;
    return new TalkCheck(
        new UUID(0, made),
        Mode.RUN,
        on.atTime(8, 0).toInstant(ZoneOffset.UTC).plusSeconds(1200 * (made % 30)),
        said,
        // As it would be: an RPE of the voice's own level.
        said.voice() < 1 || said.voice() > 5
            ? Optional.empty()
            : Optional.of(Level.values()[said.voice() - 1].rpe20().high()),
        odd,
        Set.of(),
        Optional.empty(),
        "",
        on.atTime(20, 0).toInstant(ZoneOffset.UTC));
  }

  /** The same with another RPE; empty where it was not asked. */
  static TalkCheck felt(TalkCheck of, Optional<Integer> rpe20) {
    return changed(of, of.at(), rpe20, of.doubts());
  }

  /** The same with a doubt that was seen when it was taken. */
  static TalkCheck doubted(TalkCheck of, NotUsed why) {
    return changed(of, of.at(), of.rpe20(), Set.of(why));
  }

  /** The same at another moment. */
  static TalkCheck at(TalkCheck of, Instant moment) {
    return changed(of, moment, of.rpe20(), of.doubts());
  }

  private static TalkCheck changed(
      TalkCheck of, Instant at, Optional<Integer> rpe20, Set<NotUsed> doubts) {
    return new TalkCheck(
        of.id(),
        of.mode(),
        at,
        of.said(),
        rpe20,
        of.odd(),
        doubts,
        of.in(),
        of.note(),
        of.recordedAt());
  }

  /** The nine worked checks on five days. */
  static List<TalkCheck> nine() {
    return new ArrayList<>(
        List.of(
            check(FIRST, 2, 128),
            check(FIRST, 3, 140),
            check(FIRST.plusDays(3), 2, 133),
            check(FIRST.plusDays(3), 3, 142),
            check(FIRST.plusDays(7), 2, 136),
            check(FIRST.plusDays(10), 2, 131),
            check(FIRST.plusDays(10), 3, 139),
            check(LAST, 3, 136),
            check(LAST, 2, 134)));
  }

  static TalkSeries series(List<TalkCheck> checks, LocalDate today) {
    return TalkSeries.of(SPAN, checks, TalkSeries.Choice.ALL, today, ZONE);
  }
}
