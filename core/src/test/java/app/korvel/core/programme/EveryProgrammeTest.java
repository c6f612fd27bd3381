package app.korvel.core.programme;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Step;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Progression.Kind;
import app.korvel.core.programme.Progression.WeekPlan;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Context;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Scope;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve.Percents;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/**
 * A year of a thousand people, made from seeds: what holds whatever their age, activity, goal and
 * health are. The limits are written out here once more, apart from the code that keeps them.
 */
class EveryProgrammeTest {
  private static final int CLIENTS = 100;
  private static final int YEAR = 52;
  private static final LocalDate START = LocalDate.of(2026, 6, 1);

  private static <T> T any(Random random, T[] values) {
    return values[random.nextInt(values.length)];
  }

  private static <T> Set<T> some(Random random, T[] values) {
    return Arrays.stream(values)
        .filter(value -> random.nextInt(8) == 0)
        .collect(Collectors.toSet());
  }

  private static Person person(Random random) {
    return Person.of(
        10 + random.nextInt(81),
        Sex.NOT_GIVEN,
        any(random, Activity.values()),
        new Health(some(random, Condition.values()), some(random, MedicineClass.values())));
  }

  /** Someone with a plan, and how much of it they do. */
  private record Case(
      Person person, Scope scope, Fitt first, ProgrammeGoal aims, Pace pace, Plan plan) {}

  private static Case drawn(Random random) {
    Person person = person(random);
    Scope scope = Scope.unscreened(person);
    List<DayOfWeek> week = new ArrayList<>(List.of(DayOfWeek.values()));
    Collections.shuffle(week, random);
    Set<DayOfWeek> days = EnumSet.copyOf(week.subList(0, 1 + random.nextInt(7)));
    Goal goal = any(random, Goal.openTo(person).toArray(Goal[]::new));
    Fitt first =
        Start.of(scope, days.size(), goal, Optional.of(any(random, Approach.values())), Mode.RUN)
            .parts();
    Ceiling ceiling = Ceiling.of(person, scope.permission());
    ProgrammeGoal aims = ProgrammeGoal.usual(first, person, ceiling, days.size());
    Pace pace = Pace.of(person, first, random.nextInt(20), random.nextInt(13));
    int length = 27 + random.nextInt(155);
    return new Case(
        person,
        scope,
        first,
        aims,
        pace,
        new Plan(first, aims, pace, Bounds.of(scope), START, START.plusDays(length), days));
  }

  private static double middle(Dose dose) {
    return (dose.range().low() + dose.range().high()) / 2.0;
  }

  private static void keepsTheLimits(
      Case of, int week, Dose before, Dose now, Kind kind, List<Integer> done) {
    boolean old = of.person.age() >= 65;
    boolean heart = of.person.health().heartDisease();
    boolean early = of.pace.weeksBefore() + week <= 12;
    int best =
        done.subList(Math.max(0, done.size() - 4), done.size()).stream()
            .mapToInt(i -> i)
            .max()
            .orElseThrow();
    double most = Math.max(best + 5, best * (old || heart || early ? 1.1 : 1.2));
    String which = of.person + " week " + week + ": " + before + " → " + now;

    assertThat((double) now.total()).as(which).isLessThanOrEqualTo(most + 1e-9);
    assertThat(now.range().high())
        .as(which)
        .isLessThanOrEqualTo(Math.max(of.aims.highPercent(), of.first.highPercent()));
    if (!of.scope.permission().vigorous()) {
      assertThat(now.range().high()).as(which).isLessThanOrEqualTo(60);
    }
    if (heart) {
      assertThat(now.range().high()).as(which).isLessThanOrEqualTo(70);
    }
    assertThat(now.minutes())
        .as(which)
        .isBetween(5, of.aims.minutes())
        .isLessThanOrEqualTo(before.minutes() + 5);
    assertThat(now.days()).as(which).isBetween(1, of.aims.days());
    if (of.pace.lightWeeks() >= week) {
      assertThat(now.range().high()).as(which).isLessThanOrEqualTo(40);
    }
    int changed =
        (now.range().equals(before.range()) ? 0 : 1)
            + (now.days() > before.days() ? 1 : 0)
            + (now.minutes() > before.minutes() ? 1 : 0);
    if (kind == Kind.LIGHTER) {
      assertThat(week % 4).isZero();
      assertThat(of.person.activity().regularlyActive()).isTrue();
      assertThat(now.total() * 100.0 / before.total()).as(which).isBetween(60.0, 70.0);
    } else {
      assertThat(changed).as(which).isLessThanOrEqualTo(1);
      boolean cautiousIsOver = of.pace.lightWeeks() > 0 && week > of.pace.lightWeeks();
      if (cautiousIsOver && before.range().high() <= 40 && kind != Kind.EASED) {
        assertThat(now.range())
            .as(which)
            .isEqualTo(of.aims.highPercent() < 50 ? before.range() : new Percents(40, 50));
      } else {
        assertThat(now.range().high() - before.range().high()).as(which).isIn(0, 5);
      }
      if (middle(before) < 60 && middle(now) >= 60) {
        assertThat(now.minutes()).as(which).isLessThanOrEqualTo((before.minutes() * 2 + 2) / 3);
      }
    }
  }

  @RepeatedTest(10)
  void aYearOfWeeksKeepsEveryLimit(RepetitionInfo repetition) {
    Random random = new Random(repetition.getCurrentRepetition());
    for (int i = 0; i < CLIENTS; i++) {
      Case of = drawn(random);
      List<WeekPlan> weeks = Progression.of(Dose.of(of.first), of.aims, of.pace, YEAR);
      List<Integer> done = new ArrayList<>();
      Dose usual = weeks.get(0).dose();
      for (int week = 1; week <= YEAR; week++) {
        WeekPlan stepped = weeks.get(week - 1);
        if (week > 1) {
          keepsTheLimits(of, week, usual, stepped.dose(), stepped.kind(), done);
        }
        done.add(stepped.dose().total());
        usual = stepped.kind() == Kind.LIGHTER ? usual : stepped.dose();
      }
      assertThat(weeks).allMatch(week -> !week.because().message().isBlank());
    }
  }

  /** A week that was not done whole is no ground to grow from. */
  @RepeatedTest(10)
  void aYearOfHalfKeptWeeksKeepsEveryLimitToo(RepetitionInfo repetition) {
    Random random = new Random(1_000 + repetition.getCurrentRepetition());
    for (int i = 0; i < CLIENTS; i++) {
      Case of = drawn(random);
      Dose usual = Dose.of(of.first);
      List<Integer> done = new ArrayList<>(List.of(usual.total()));
      for (int week = 2; week <= YEAR; week++) {
        WeekPlan stepped = Progression.next(usual, of.aims, of.pace, week, done);
        keepsTheLimits(of, week, usual, stepped.dose(), stepped.kind(), done);
        int kept = 1 + random.nextInt(stepped.dose().days());
        done.add(stepped.dose().minutes() * kept);
        usual = stepped.dose();
      }
    }
  }

  @RepeatedTest(10)
  void everySessionOfAProgrammeIsOnTheirDaysAndWithinTheirBounds(RepetitionInfo repetition) {
    Random random = new Random(2_000 + repetition.getCurrentRepetition());
    for (int i = 0; i < CLIENTS; i++) {
      Case of = drawn(random);
      Programme programme = Programme.of(of.plan);
      assertThat(programme.sessions())
          .allMatch(session -> of.plan.weekdays().contains(session.date().getDayOfWeek()))
          .allMatch(session -> !session.date().isAfter(of.plan.endsOn()))
          .extracting(PlannedSession::date)
          .doesNotHaveDuplicates();
      for (WeekPlan week : programme.weeks()) {
        Outline outline = of.plan.outline(week.dose());
        assertThat(outline.checked().broken(of.plan.bounds()))
            .as(of.person + " " + week.dose())
            .isEmpty();
        assertThat(outline.workSeconds()).isEqualTo(60 * week.dose().minutes());
        assertThat(outline.steps().mapToInt(Step::seconds).min().getAsInt())
            .isGreaterThanOrEqualTo(5);
      }
      assertThat(programme.weeksNow(of.person))
          .allSatisfy(
              week ->
                  assertThat(week.findings())
                      .allMatch(
                          finding ->
                              Set.of("once-a-week", "few-easy-minutes").contains(finding.code())));
    }
  }

  @Test
  void theDrawReachesEveryContext() {
    Set<Context> met = EnumSet.noneOf(Context.class);
    for (int seed = 1; seed <= 10; seed++) {
      Random random = new Random(seed);
      for (int i = 0; i < CLIENTS; i++) {
        met.addAll(Context.of(drawn(random).person));
      }
    }
    assertThat(met).containsExactlyInAnyOrder(Context.values());
  }
}
