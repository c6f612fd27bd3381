package app.korvel.core.progress;

import app.korvel.core.maximum.Mode;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve.Percents;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How hard the same target felt, session by session. No smallest change is known for it, so none is
 * called one.
 *
 * @param mode what the body did
 * @param range what was asked, percent of reserve
 * @param rpe20 how it was to feel
 * @param felt each session, the earliest first; two at least
 */
public record SameTarget(Mode mode, Percents range, RpeSpan rpe20, List<RatedSession> felt) {

  /**
   * One session.
   *
   * @param on the day
   * @param rpe20 how hard it felt
   */
  public record RatedSession(LocalDate on, int rpe20) {}

  private record Key(Mode mode, Percents range) {}

  public SameTarget {
    felt = List.copyOf(felt);
  }

  /** Every target that was met twice at least, the one met last first. */
  static List<SameTarget> of(Collection<SessionLog> logs) {
    Map<Key, List<SessionLog>> alike = new LinkedHashMap<>();
    logs.stream()
        .filter(log -> log.done() && log.rpe20().isPresent())
        .sorted(Comparator.comparing(SessionLog::on).thenComparing(SessionLog::recordedAt))
        .forEach(
            log ->
                alike
                    .computeIfAbsent(
                        new Key(log.mode(), log.asked().range()), key -> new ArrayList<>())
                    .add(log));
    return alike.entrySet().stream()
        .filter(each -> each.getValue().size() >= 2)
        .map(
            each ->
                new SameTarget(
                    each.getKey().mode,
                    each.getKey().range,
                    each.getValue().get(each.getValue().size() - 1).asked().rpe20(),
                    each.getValue().stream()
                        .map(log -> new RatedSession(log.on(), log.rpe20().orElseThrow()))
                        .toList()))
        .sorted(Comparator.comparing((SameTarget target) -> target.last().on()).reversed())
        .toList();
  }

  private RatedSession last() {
    return felt.get(felt.size() - 1);
  }

  /** The mean effort, to one decimal. */
  public BigDecimal mean() {
    int sum = felt.stream().mapToInt(RatedSession::rpe20).sum();
    return BigDecimal.valueOf(sum).divide(BigDecimal.valueOf(felt.size()), 1, RoundingMode.HALF_UP);
  }
}
