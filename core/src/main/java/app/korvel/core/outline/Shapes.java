package app.korvel.core.outline;

import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Reserve.Percents;
import java.util.ArrayList;
import java.util.List;

/** The shapes that the minutes of work are laid out in. */
final class Shapes {
  private static final int LOWEST = Limit.INTENSITY.lowest();
  private static final int EASY_UP_TO = Threshold.WARM_UP_TO.whole();
  private static final int WORK_SECONDS = 60;
  private static final int EASY_SECONDS = 120;
  private static final int LONGEST_BOUT = 10;
  private static final int LADDER_STEPS = 3;

  private Shapes() {}

  static List<Block> oneStretch(Percents target, int minutes) {
    return List.of(Block.once(Step.work(60 * minutes, target).waiting()));
  }

  /** Each step ends where the next begins, and is as wide; none lies under the lowest intensity. */
  static List<Block> ladder(Percents target, int minutes) {
    int wide = Math.max(10, target.high() - target.low());
    List<Block> blocks = new ArrayList<>();
    for (int below = LADDER_STEPS - 1; below > 0; below--) {
      int high = Math.max(LOWEST, target.low() - (below - 1) * wide);
      int low = Math.max(LOWEST, high - wide);
      // What thirds leave over goes to the first steps, which are the easier ones.
      int share = (minutes + below) / LADDER_STEPS;
      blocks.add(Block.once(Step.work(60 * share, new Percents(low, high))));
    }
    blocks.add(Block.once(Step.work(60 * (minutes / LADDER_STEPS), target)));
    return blocks;
  }

  /** Minutes that no round takes are easy ones at the end. */
  static List<Block> intervals(Percents target, int minutes) {
    int rounds = 60 * minutes / (WORK_SECONDS + EASY_SECONDS);
    int left = 60 * minutes - rounds * (WORK_SECONDS + EASY_SECONDS);
    Percents easy = new Percents(LOWEST, Math.min(EASY_UP_TO, target.low()));
    List<Block> blocks = new ArrayList<>();
    if (rounds > 0) {
      blocks.add(
          Block.times(rounds, Step.work(WORK_SECONDS, target), Step.easy(EASY_SECONDS, easy)));
    }
    if (left > 0) {
      blocks.add(Block.once(Step.easy(left, easy)));
    }
    return blocks;
  }

  static List<Block> bouts(Percents target, int minutes) {
    int bouts = Math.max(2, (minutes + LONGEST_BOUT - 1) / LONGEST_BOUT);
    return List.of(Block.times(bouts, Step.work(60 * minutes / bouts, target)).throughTheDay());
  }
}
