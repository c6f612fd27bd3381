package app.korvel.server.zone;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/**
 * The latest answers to questions that come again and again. A question holds everything its answer
 * follows from, so an answer is never out of date.
 */
final class AnswerCache<Q, A> {
  private final Map<Q, A> answers;

  /**
   * None yet.
   *
   * @param most how many are kept; the one that was asked for longest ago goes
   */
  AnswerCache(int most) {
    answers =
        Collections.synchronizedMap(
            new LinkedHashMap<>(most * 2, 0.75f, true) {
              private static final long serialVersionUID = 1L;

              @Override
              protected boolean removeEldestEntry(Map.Entry<Q, A> eldest) {
                return size() > most;
              }
            });
  }

  /** The answer; worked out where it is not at hand. */
  A of(Q question, Function<Q, A> workOut) {
    A known = answers.get(question);
    if (known == null) {
      known = workOut.apply(question);
      answers.put(question, known);
    }
    return known;
  }
}
