package app.korvel.bench;

import java.time.Duration;
import java.util.List;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.KeyInput;
import org.openqa.selenium.interactions.Pause;
import org.openqa.selenium.interactions.PointerInput;
import org.openqa.selenium.interactions.Sequence;

/** A hand that taps the space bar evenly: one sequence of actions, timed by the driver. */
public final class Tapping {
  private static final Duration DOWN = Duration.ofMillis(40);

  private Tapping() {}

  /** Taps so many times, so far apart. */
  public static void space(ChromeDriver driver, int taps, Duration apart) {
    KeyInput keyboard = new KeyInput("keyboard");
    // The pauses of a second device set the pace: a tick lasts as long as its longest action,
    // whatever the key press itself takes.
    PointerInput pacemaker = new PointerInput(PointerInput.Kind.MOUSE, "pacemaker");
    Sequence keys = new Sequence(keyboard, 0);
    Sequence pace = new Sequence(pacemaker, 0);
    for (int i = 0; i < taps; i++) {
      keys.addAction(keyboard.createKeyDown(' '));
      pace.addAction(new Pause(pacemaker, DOWN));
      keys.addAction(keyboard.createKeyUp(' '));
      pace.addAction(new Pause(pacemaker, apart.minus(DOWN)));
    }
    driver.perform(List.of(keys, pace));
  }
}
