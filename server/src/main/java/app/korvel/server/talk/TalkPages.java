package app.korvel.server.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.talk.LearnedThresholds;
import app.korvel.core.talk.TalkAct;
import app.korvel.core.talk.WitnessReview;
import app.korvel.core.zone.Ladder;
import app.korvel.server.talk.TalkViews.ActView;
import app.korvel.server.talk.TalkViews.LearnedView;
import app.korvel.server.talk.TalkViews.LongHandView;
import app.korvel.server.talk.TalkViews.OddDayView;
import app.korvel.server.talk.TalkViews.PassagesView;
import app.korvel.server.talk.TalkViews.RateByView;
import app.korvel.server.talk.TalkViews.TalkPage;
import app.korvel.server.talk.TalkViews.WitnessesView;
import app.korvel.store.TalkRepository.SavedAct;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.talk.Circumstances;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Brings together a client's talk in one mode. */
record TalkPages(Studio studio) {

  /**
   * The page.
   *
   * @param asked the mode; null for that of the prescription, or one in which there are checks
   */
  TalkPage of(UUID client, @Nullable Mode asked) {
    return studio.read(
        () -> {
          ClientHead head = studio.head(client);
          Mode mode = mode(head, asked);
          Optional<LearnedThresholds> learned = head.learned(mode);
          List<SavedAct> acts = studio.store().talk().acts(client);
          return new TalkPage(
              head.client().details().name(),
              mode,
              head.talk().modes(),
              learned
                  .map(each -> LearnedView.of(each, studio.zone(), nextBpm(head, each, mode)))
                  .orElse(null),
              head.baseline(mode)
                  .reserve()
                  .map(
                      span ->
                          WitnessesView.of(
                              WitnessReview.of(
                                  head.talk().checks(mode), Ladder.of(span), studio.zone())))
                  .orElse(null),
              acts.stream().filter(act -> about(act.act(), mode)).map(ActView::of).toList(),
              PassagesView.ALL,
              RateByView.ALL,
              OddDayView.ALL,
              Circumstances.of(studio, client, head.screening().person(), studio.today()).odd(),
              studio.settings().now().learnsFromTalk(),
              head.talk().switchedOff(mode),
              learned.isPresent() ? List.of() : why(head, mode));
        });
  }

  private static boolean about(TalkAct act, Mode mode) {
    return act.mode().isEmpty() || act.mode().get() == mode;
  }

  private static Mode mode(ClientHead head, @Nullable Mode asked) {
    return Optional.ofNullable(asked)
        .or(() -> head.prescription().map(saved -> saved.prescription().parts().mode()))
        .or(() -> head.talk().modes().stream().findFirst())
        .orElse(Mode.RUN);
  }

  /** Why nothing can be learned: an end of the span is missing. */
  private static List<Finding> why(ClientHead head, Mode mode) {
    List<Finding> why = new ArrayList<>();
    if (head.baseline(mode).resting().isEmpty()) {
      why.add(PrescriptionFinding.RESTING_MISSING.of());
    }
    head.baseline(mode)
        .noRateBecause()
        .ifPresent(words -> why.add(PrescriptionFinding.RATE_NOT_USED.of(words)));
    return why;
  }

  private static @Nullable Integer nextBpm(ClientHead head, LearnedThresholds learned, Mode mode) {
    return head.held()
        .map(saved -> saved.prescription())
        .filter(made -> made.parts().mode() == mode && learned.standing().computed())
        .flatMap(made -> made.target())
        .map(target -> learned.nextUsefulBpm(target.lowBpm(), target.highBpm()))
        .orElse(null);
  }

  /**
   * How one check was weighed.
   *
   * @throws app.korvel.core.measure.InvalidValueException when it is not used
   */
  LongHandView longHand(UUID client, UUID check, Mode mode) {
    return studio
        .head(client)
        .learned(mode)
        .flatMap(learned -> learned.series().longHand(check))
        .map(LongHandView::of)
        .orElseThrow(() -> TalkViews.unknownCheck(check));
  }
}
