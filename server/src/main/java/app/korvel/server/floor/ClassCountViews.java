package app.korvel.server.floor;

import app.korvel.core.checkin.ClassCheck;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.BackToRest;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Client;
import app.korvel.server.client.ClientName;
import app.korvel.server.web.Within;
import app.korvel.server.web.Words;
import app.korvel.store.SavedClassCount;
import app.korvel.store.SavedClassCount.Moment;
import app.korvel.studio.checkin.CheckInClass;
import app.korvel.studio.checkin.ClassCounts;
import app.korvel.studio.checkin.Counted;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Classes counted together, as they are received and sent. */
final class ClassCountViews {
  private ClassCountViews() {}

  /** A class put together before. */
  record LastClass(UUID id, Instant startedAt, List<UUID> members) {}

  /** What putting a class together starts from: everyone, and the last class. */
  record ClassStart(List<ClientName> people, @Nullable LastClass last) {
    static ClassStart of(List<Client> everyone, Optional<SavedClassCount> last) {
      Set<UUID> present = everyone.stream().map(Client::id).collect(Collectors.toSet());
      return new ClassStart(
          ClientName.of(everyone),
          last.map(
                  saved ->
                      new LastClass(
                          saved.id(),
                          saved.startedAt(),
                          saved.members().stream().filter(present::contains).toList()))
              .orElse(null));
    }
  }

  /**
   * A class to count.
   *
   * @param posture seated where it is left out
   * @param settled whether the class has been still for 5 minutes; yes where it is left out
   * @param minutesAfter minutes since the work ended, for a first count after it
   * @param follows the round before, for a further count after the same session
   */
  record ClassRequest(
      Moment moment,
      Integer windowSeconds,
      @Nullable Posture posture,
      @Nullable Boolean settled,
      List<UUID> people,
      @Nullable @Within(Limit.MINUTES_AFTER) Integer minutesAfter,
      @Nullable UUID follows) {
    ClassCounts.Begun begun() {
      return new ClassCounts.Begun(
          moment,
          CountWindow.of(windowSeconds),
          posture == null ? Posture.SEATED : posture,
          settled == null || settled,
          people,
          Optional.ofNullable(minutesAfter),
          Optional.ofNullable(follows));
    }
  }

  /** Who is left out when those with nothing against them are checked in; nobody where null. */
  record CheckTheseRequest(@Nullable List<UUID> leaveOut) {}

  /** Beats counted with the room, or for a full minute when counted again. */
  record BeatsRequest(Integer beats) {}

  record CountedView(int beats, int windowSeconds, int bpm, int uncertaintyBpm) {
    static CountedView of(PulseCount count) {
      return new CountedView(
          count.beats(), count.window().seconds(), count.bpm(), count.uncertaintyBpm());
    }
  }

  /**
   * What one person's count comes to.
   *
   * @param rank 0 for those to talk to first
   * @param talk whether to talk to them
   */
  record CallView(String id, String words, int rank, boolean talk, List<Finding> findings) {
    static CallView of(ClassCheck check) {
      ClassCheck.Call call = check.call();
      return new CallView(
          Words.of(call), call.displayName(), call.ordinal(), call.talk(), check.findings());
    }

    static CallView of(BackToRest back) {
      BackToRest.State state = back.state();
      return new CallView(
          Words.of(state),
          state.displayName(),
          state.ordinal(),
          state.talk(),
          List.of(back.finding()));
    }
  }

  /**
   * One person of the class.
   *
   * @param usualBpm what the count is compared with; null where there is nothing
   * @param first what was counted with the room
   * @param again the second count, of a first odd value
   * @param call null until something is counted
   * @param alsoAsked what else their context asks for before they start
   * @param checkedIn whether they are checked in today
   * @param readyToCheckIn whether, if they are well, nothing speaks against a check-in as a go
   */
  record PersonRow(
      UUID id,
      String name,
      @Nullable Integer usualBpm,
      @Nullable CountedView first,
      @Nullable CountedView again,
      @Nullable CallView call,
      List<String> alsoAsked,
      boolean checkedIn,
      boolean readyToCheckIn) {
    static PersonRow of(Counted counted) {
      return new PersonRow(
          counted.head().client().id(),
          counted.head().client().details().name(),
          counted.head().usual().map(UsualPulse::bpm).orElse(null),
          counted.first().map(CountedView::of).orElse(null),
          counted.again().map(CountedView::of).orElse(null),
          counted.check().map(CallView::of).or(() -> counted.back().map(CallView::of)).orElse(null),
          counted.check().map(ClassCheck::alsoAsked).orElse(List.of()),
          counted.checkedIn().isPresent(),
          counted.readyToCheckIn());
    }
  }

  /**
   * A class count as it stands.
   *
   * @param countedAt when the first number was entered; null before
   * @param againInMinutes how long until those who are not back are counted again
   * @param recountSeconds how long a first odd value is counted again
   */
  record ClassView(
      UUID id,
      Moment moment,
      int windowSeconds,
      Posture posture,
      boolean settled,
      Instant startedAt,
      @Nullable Instant stoppedAt,
      @Nullable UUID follows,
      @Nullable Instant countedAt,
      int againInMinutes,
      int recountSeconds,
      List<PersonRow> people) {
    static ClassView of(ClassCounts.Room room) {
      SavedClassCount saved = room.count();
      return new ClassView(
          saved.id(),
          saved.moment(),
          saved.window().seconds(),
          saved.posture(),
          saved.settled(),
          saved.startedAt(),
          saved.stoppedAt().orElse(null),
          saved.follows().orElse(null),
          room.countedAt().orElse(null),
          Threshold.BACK_TO_REST_AGAIN.whole(),
          ClassCounts.RECOUNT.seconds(),
          room.people().stream().map(PersonRow::of).toList());
    }
  }

  /** A check-in made from a class count. */
  record MadeCheckIn(UUID clientId, UUID checkInId) {}

  record MadeCheckIns(List<MadeCheckIn> made) {
    static MadeCheckIns of(List<CheckInClass.Made> made) {
      return new MadeCheckIns(
          made.stream().map(each -> new MadeCheckIn(each.client(), each.checkIn().id())).toList());
    }
  }
}
