package app.korvel.studio.practice;

import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PracticeTry;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.Rhythm;
import app.korvel.sensor.PracticePulse;
import app.korvel.store.PracticeRepository.SavedTry;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import java.util.Optional;

/** Judges a count that was practised against its pulse, which is made anew from its seed. */
public record RecordTry(Studio studio) {
  /**
   * Judges and keeps it.
   *
   * @param heard the rhythm that was heard; counts where the level asks for it
   */
  public SavedTry by(
      Actor who, PracticeLevel level, long seed, PulseCount count, Optional<Rhythm> heard) {
    return studio.write(
        who,
        () -> {
          PracticeTry tried =
              PracticePulse.of(level, count.window(), seed)
                  .judge(count, heard.filter(rhythm -> level.asksRhythm()));
          SavedTry saved = new SavedTry(studio.nextId(), studio.now(), level, seed, tried);
          studio.store().practice().add(saved);
          return saved;
        });
  }
}
