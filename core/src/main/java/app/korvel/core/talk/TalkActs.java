package app.korvel.core.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.talk.TalkAct.Kind;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * What was decided in one mode, in the order of time.
 *
 * @param all of that mode, or about every mode
 */
public record TalkActs(List<TalkAct> all) {
  /** Those about a mode. */
  public static TalkActs of(List<TalkAct> every, Mode mode) {
    return new TalkActs(
        every.stream()
            .filter(act -> act.about(mode))
            .sorted(Comparator.comparing(TalkAct::at).thenComparing(TalkAct::id))
            .toList());
  }

  private Optional<TalkAct> last(Kind kind) {
    return all.stream().filter(act -> act.kind() == kind).reduce((before, after) -> after);
  }

  Optional<TalkAct> last(Kind kind, Which which) {
    return all.stream()
        .filter(act -> act.kind() == kind && act.about(which))
        .reduce((before, after) -> after);
  }

  /** Whether learning was switched off last. */
  public boolean switchedOff() {
    Optional<Instant> off = last(Kind.SWITCHED_OFF).map(TalkAct::at);
    Optional<Instant> on = last(Kind.SWITCHED_ON).map(TalkAct::at);
    return off.isPresent() && on.filter(at -> at.isAfter(off.get())).isEmpty();
  }

  Optional<TalkAct> reset() {
    return last(Kind.RESET);
  }

  Optional<LocalDate> from() {
    return reset().flatMap(TalkAct::from);
  }

  Set<UUID> takenOut() {
    Set<UUID> out = new HashSet<>();
    for (TalkAct act : all) {
      if (act.kind() == Kind.TAKEN_OUT) {
        act.check().ifPresent(out::add);
      } else if (act.kind() == Kind.PUT_BACK) {
        act.check().ifPresent(out::remove);
      }
    }
    return out;
  }

  /** When one was last accepted above the one before it. */
  Optional<Instant> lastRise(Which which, int equationBpm) {
    int before = equationBpm;
    Optional<Instant> rise = Optional.empty();
    for (TalkAct act : all) {
      if (act.kind() == Kind.ACCEPTED && act.about(which)) {
        int bpm = act.frozen().orElseThrow().bpm();
        rise = bpm > before ? Optional.of(act.at()) : rise;
        before = bpm;
      }
    }
    return rise;
  }
}
