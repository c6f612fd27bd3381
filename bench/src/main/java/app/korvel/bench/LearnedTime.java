package app.korvel.bench;

import app.korvel.core.maximum.Mode;
import app.korvel.core.talk.Hearing;
import app.korvel.core.talk.LearnedThresholds;
import app.korvel.core.talk.LearnedThresholds.About;
import app.korvel.core.talk.RateBy;
import app.korvel.core.talk.Standing;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.talk.TalkSpan;
import app.korvel.core.zone.Reserve;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;

/**
 * What learning from talk costs, and how far it may be trusted: seeded people whose true talk rates
 * are known, some of them unlike what the rules take for granted.
 */
final class LearnedTime {
  private static final Reserve SPAN = Reserve.of(64, 176);
  private static final double ERROR = 10;
  private static final LocalDate FIRST = LocalDate.of(2030, 3, 4);
  private static final int ROUNDS = 200;
  private static final int PEOPLE = 1_000;
  private static final int[] AT = {6, 10, 16};
  private static final int A_DAY = 2;
  private static final int DAYS_APART = 3;

  /** Shown further from the truth than this, an offer is wrong. */
  private static final int WRONG_BY = 9;

  private static final About FREE =
      new About(Mode.RUN, Standing.FREE, true, Optional.empty(), List.of(), true);

  void run() {
    costs();
    System.out.println();
    System.out.println(
        "people "
            + PEOPLE
            + " of each kind; error of the lower talk rate, bpm: true (root mean square) / claimed;"
            + " offered: of 100; wrong: of 100 offered, over "
            + WRONG_BY
            + " bpm off; raised wrongly: of 100 people, an edge would rise to a rate over "
            + WRONG_BY
            + " bpm too high");
    for (Kind kind : Kind.values()) {
      for (boolean near : new boolean[] {true, false}) {
        simulate(kind, near);
      }
    }
  }

  private static TalkCheck check(
      int number, LocalDate on, int bpm, int voice, Hearing hearing, Optional<Integer> rpe20) {
    return new TalkCheck(
        new UUID(0, number),
        Mode.RUN,
        on.atTime(8, 0).plusMinutes(20L * (number % 20)).toInstant(ZoneOffset.UTC),
        new Said(bpm, RateBy.STRAP, voice, hearing),
        rpe20,
        Set.of(),
        Set.of(),
        Optional.empty(),
        "",
        on.atTime(20, 0).toInstant(ZoneOffset.UTC));
  }

  private static LearnedThresholds learned(List<TalkCheck> checks, LocalDate today) {
    return LearnedThresholds.of(
        TalkSpan.of(SPAN, ERROR), checks, List.of(), FREE, today, ZoneOffset.UTC);
  }

  /** Sixty checks on thirty days over 26 weeks, and the share of the last day. */
  private static void costs() {
    Random random = new Random(5);
    List<TalkCheck> checks = new ArrayList<>();
    for (int n = 0; n < 60; n++) {
      int bpm = 124 + random.nextInt(30);
      checks.add(
          check(
              n,
              FIRST.plusDays(6L * (n / 2)),
              bpm,
              bpm < 138 ? 2 : 3,
              Hearing.HEARD,
              Optional.empty()));
    }
    LocalDate today = FIRST.plusDays(6 * 29);
    double[][] times = new double[3][ROUNDS];
    double kept = 0;
    // In turns, so that a slow spell of the machine meets all of them.
    for (int round = -ROUNDS; round < ROUNDS; round++) {
      for (int which = 0; which < times.length; which++) {
        List<TalkCheck> some = checks.subList(0, new int[] {60, 58, 0}[which]);
        long from = System.nanoTime();
        kept += learned(some, which == 1 ? today.minusDays(6) : today).lower().spread().meanBpm();
        if (round >= 0) {
          times[which][round] = (System.nanoTime() - from) / 1e6;
        }
      }
    }
    System.out.println(new Sample("60 talk checks on 30 days judged", "ms", times[0]).line());
    System.out.println(new Sample("58 talk checks on 29 days judged", "ms", times[1]).line());
    System.out.println(new Sample("no talk check judged", "ms", times[2]).line());
    if (kept == 0) {
      throw new IllegalStateException("nothing was learned");
    }
  }

  /** What somebody says too well: the rate is where one level more would be true. */
  private enum Flatters {
    NOTHING,
    /** The voice, and RPE is not asked. */
    NOT_ASKED,
    VOICE,
    BOTH,
    /** Both, and nobody listened. */
    TOLD
  }

  /** What people may be like. */
  private enum Kind {
    AS_ASSUMED("as assumed", 2.5, 3, 0.06, Double.NaN, Flatters.NOTHING),
    UNEVEN_VOICE("voice less even: 4 for 2.5", 4, 3, 0.06, Double.NaN, Flatters.NOTHING),
    UNEVEN_DAYS("days less even: 5 for 3", 2.5, 5, 0.06, Double.NaN, Flatters.NOTHING),
    MISREPORTS("twice the misreports", 2.5, 3, 0.12, Double.NaN, Flatters.NOTHING),
    LOW("talk ends low: 46 % of reserve", 2.5, 3, 0.06, 0.46, Flatters.NOTHING),
    HIGH("talk ends high: 74 % of reserve", 2.5, 3, 0.06, 0.74, Flatters.NOTHING),
    NOT_ASKED("says one level too well, no RPE", 2.5, 3, 0.06, Double.NaN, Flatters.NOT_ASKED),
    VOICE("says one level too well, RPE true", 2.5, 3, 0.06, Double.NaN, Flatters.VOICE),
    BOTH("voice and RPE too well", 2.5, 3, 0.06, Double.NaN, Flatters.BOTH),
    TOLD("voice and RPE too well, told", 2.5, 3, 0.06, Double.NaN, Flatters.TOLD);

    private final String words;
    private final double voice;
    private final double day;
    private final double misreport;
    private final double share;
    private final Flatters flatters;

    Kind(
        String words, double voice, double day, double misreport, double share, Flatters flatters) {
      this.words = words;
      this.voice = voice;
      this.day = day;
      this.misreport = misreport;
      this.share = share;
      this.flatters = flatters;
    }
  }

  /**
   * Many of one kind.
   *
   * @param near whether checks are taken near where talk seems to end; otherwise inside a target of
   *     50 to 70 % of reserve
   */
  private static void simulate(Kind kind, boolean near) {
    Random random = new Random(2030);
    double[] square = new double[AT.length];
    double[] claimed = new double[AT.length];
    int[] offered = new int[AT.length];
    int[] wrong = new int[AT.length];
    int[] higher = new int[AT.length];
    for (int person = 0; person < PEOPLE; person++) {
      double room = Math.max(50, 176 + ERROR * random.nextGaussian() - 64);
      double share = Double.isNaN(kind.share) ? 0.60 + 0.07 * random.nextGaussian() : kind.share;
      double lower = 64 + share * room;
      double upper = lower + Math.max(5, (0.15 + 0.05 * random.nextGaussian()) * room);
      List<TalkCheck> checks = new ArrayList<>();
      double shift = 0;
      LearnedThresholds so = learned(checks, FIRST);
      for (int stage = 0, n = 0; stage < AT.length; stage++) {
        for (; n < AT[stage]; n++) {
          LocalDate on = FIRST.plusDays((long) DAYS_APART * (n / A_DAY));
          if (n % A_DAY == 0) {
            shift = kind.day * random.nextGaussian();
            so = near ? learned(checks, on) : so;
          }
          int bpm =
              near
                  ? so.lower().spread().shownBpm() + random.nextInt(21) - 10
                  : 120 + random.nextInt(23);
          checks.add(said(kind, random, n, on, bpm, lower + shift, upper + shift));
        }
        LearnedThresholds learned =
            learned(checks, FIRST.plusDays((long) DAYS_APART * ((n - 1) / A_DAY)));
        double off = learned.lower().spread().meanBpm() - lower;
        square[stage] += off * off;
        claimed[stage] += Math.pow(learned.lower().spread().errorBpm(), 2);
        if (learned.lower().offer().isPresent()) {
          offered[stage]++;
          wrong[stage] += Math.abs(off) > WRONG_BY ? 1 : 0;
          higher[stage] += rises(learned) && bpm(learned) - lower > WRONG_BY ? 1 : 0;
        }
      }
    }
    for (int stage = 0; stage < AT.length; stage++) {
      System.out.printf(
          Locale.ROOT,
          "%-34s %-10s %2d checks: %4.1f / %4.1f bpm, offered %3.0f, wrong %4.1f, raised wrongly %4.1f%n",
          kind.words,
          near ? "near" : "in target",
          AT[stage],
          Math.sqrt(square[stage] / PEOPLE),
          Math.sqrt(claimed[stage] / PEOPLE),
          100.0 * offered[stage] / PEOPLE,
          100.0 * wrong[stage] / Math.max(1, offered[stage]),
          100.0 * higher[stage] / PEOPLE);
    }
  }

  private static int bpm(LearnedThresholds learned) {
    return learned.lower().offer().orElseThrow().bpm();
  }

  /** Whether accepting it would take an edge over the equation's. */
  private static boolean rises(LearnedThresholds learned) {
    return bpm(learned) > learned.lower().equationBpm()
        && learned.findings().stream()
            .noneMatch(finding -> finding.code().equals("learned-needs-heard"));
  }

  private static TalkCheck said(
      Kind kind, Random random, int number, LocalDate on, int bpm, double lower, double upper) {
    double draw = random.nextDouble();
    double sentences = 1 / (1 + Math.exp((bpm - lower) / kind.voice));
    double words = 1 / (1 + Math.exp((upper - bpm) / kind.voice));
    int voice = draw < sentences ? 2 : draw < 1 - words ? 3 : 4;
    int rpe = new int[] {12, 14, 16}[voice - 2] + random.nextInt(2);
    if (random.nextDouble() < kind.misreport) {
      voice = 2 + random.nextInt(3);
    }
    boolean better = kind.flatters != Flatters.NOTHING;
    boolean feltBetter = kind.flatters == Flatters.BOTH || kind.flatters == Flatters.TOLD;
    return check(
        number,
        on,
        bpm,
        better ? Math.max(2, voice - 1) : voice,
        kind.flatters == Flatters.TOLD ? Hearing.TOLD : Hearing.HEARD,
        kind.flatters == Flatters.NOT_ASKED
            ? Optional.empty()
            : Optional.of(feltBetter ? Math.max(12, rpe - 2) : rpe));
  }
}
