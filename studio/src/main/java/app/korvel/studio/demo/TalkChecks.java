package app.korvel.studio.demo;

import app.korvel.core.maximum.Mode;
import app.korvel.core.talk.Hearing;
import app.korvel.core.talk.RateBy;
import app.korvel.core.talk.TalkAct.Frozen;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.talk.Which;
import app.korvel.studio.Actor;
import app.korvel.studio.Replay;
import app.korvel.studio.Studio;
import app.korvel.studio.demo.Table.Row;
import app.korvel.studio.talk.DecideTalk;
import app.korvel.studio.talk.RecordTalkCheck;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;

/**
 * The talk checks of the demo: one whose zones have become his own, one to whom it is offered, and
 * one of whom too little is known yet.
 *
 * @param at a time of a day so many days ago: its minutes after nine
 */
record TalkChecks(Studio studio, Replay replay, Actor who, Function<String, UUID> id, At at) {

  /** A moment so many days ago. */
  interface At {
    Instant of(int daysAgo, int hour, int minute);
  }

  /** Who, so many days ago, at so many minutes past five; voice, rate, RPE. */
  private static final Table SAID =
      Table.of(
          """
          Hyun-woo Castell  | 24 | 10 | 2 | 124 | 12
          Hyun-woo Castell  | 24 | 25 | 3 | 136 | 14
          Hyun-woo Castell  | 21 | 12 | 2 | 127 | 12
          Hyun-woo Castell  | 21 | 30 | 3 | 139 | 14
          Hyun-woo Castell  | 17 | 15 | 2 | 130 | 13
          Hyun-woo Castell  | 14 | 10 | 2 | 126 | 12
          Hyun-woo Castell  | 14 | 28 | 3 | 134 | 14
          Hyun-woo Castell  | 10 | 14 | 3 | 132 | 14
          Hyun-woo Castell  | 10 | 32 | 2 | 128 | 13
          Yara Fonotele     | 22 | 11 | 2 | 143 | 12
          Yara Fonotele     | 22 | 27 | 3 | 158 | 15
          Yara Fonotele     | 19 | 13 | 2 | 148 | 13
          Yara Fonotele     | 15 | 12 | 2 | 152 | 13
          Yara Fonotele     | 12 | 10 | 3 | 160 | 15
          Yara Fonotele     | 8  | 16 | 2 | 150 | 13
          Yara Fonotele     | 8  | 31 | 3 | 157 | 14
          Yara Fonotele     | 4  | 12 | 2 | 153 | 13
          Keola Brandt-Mori | 9  | 12 | 2 | 118 | 12
          Keola Brandt-Mori | 9  | 29 | 3 | 131 | 14
          Keola Brandt-Mori | 5  | 14 | 3 | 128 | 14
          """);

  private static final String ACCEPTED = "Hyun-woo Castell";
  private static final int ACCEPTED_DAYS_AGO = 9;

  /** Asks for all of it to be done in its time. */
  void ask() {
    for (Row row : SAID.rows()) {
      replay.at(at.of(row.number(1), 17, row.number(2)), () -> said(row));
    }
    replay.at(at.of(ACCEPTED_DAYS_AGO, 9, 15), this::accept);
  }

  private void said(Row row) {
    new RecordTalkCheck(studio)
        .by(
            who,
            id.apply(row.text(0)),
            new RecordTalkCheck.Entered(
                studio.nextId(),
                Mode.RUN,
                Optional.empty(),
                Optional.empty(),
                new Said(row.number(4), RateBy.STRAP, row.number(3), Hearing.HEARD),
                Optional.of(row.number(5)),
                true,
                Set.of(),
                ""));
  }

  private void accept() {
    UUID client = id.apply(ACCEPTED);
    studio
        .head(client)
        .learned(Mode.RUN)
        .flatMap(learned -> learned.lower().offer())
        .map(Frozen::bpm)
        .ifPresent(
            bpm -> new DecideTalk(studio).offer(who, client, Mode.RUN, Which.LOWER, bpm, true, ""));
  }
}
