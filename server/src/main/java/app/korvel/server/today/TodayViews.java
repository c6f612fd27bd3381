package app.korvel.server.today;

import app.korvel.core.checkin.Outcome;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The page of the day as it is sent. */
final class TodayViews {
  private TodayViews() {}

  /** Where a row of the page leads. */
  enum Leads {
    CHECK_IN,
    /** A session on the clock: checked in, and allowed to train. */
    SESSION,
    SCREENING,
    PULSE,
    MAXIMUM,
    FIELD_TEST,
    TALK,
    PRESCRIPTION,
    SESSIONS
  }

  /**
   * Someone, and why they are here.
   *
   * @param words why, in a few words
   * @param because why, in full
   * @param outcome what today's check-in came to, if there was one
   * @param also what else is due, less weighty
   */
  record TodayRow(
      UUID clientId,
      String name,
      int age,
      String words,
      String because,
      Leads leads,
      @Nullable Outcome outcome,
      @Nullable Integer pulseBpm,
      List<AlsoDue> also) {}

  /** One thing more that is due with someone. */
  record AlsoDue(String words, String because, Leads leads) {}

  /**
   * The page.
   *
   * @param pending those whose day it is and who have not been checked in, or are to be counted
   *     again
   * @param checked those who have, and may train
   * @param mustNot those who must not train, by their screening or today's check-in
   * @param due those due for something
   * @param toLog sessions of earlier days that nothing is logged of
   * @param clients how many there are
   */
  record TodayView(
      LocalDate date,
      List<TodayRow> pending,
      List<TodayRow> checked,
      List<TodayRow> mustNot,
      List<TodayRow> due,
      int toLog,
      int clients) {}
}
