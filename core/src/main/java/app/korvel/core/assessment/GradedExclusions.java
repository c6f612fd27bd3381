package app.korvel.core.assessment;

import java.util.List;

/** With what a graded test is never done: one question, any yes ends it. */
public final class GradedExclusions {
  private GradedExclusions() {}

  /** Each, as it is asked. */
  public static final List<String> ALL =
      List.of(
          "fever",
          "chest pain at rest",
          "a heart event in the last days",
          "a rhythm that is not under control",
          "heart failure that is getting worse",
          "severe valve disease",
          "a clot",
          "inflammation of the heart");

  /** All of them, as one question. */
  public static final String QUESTION = String.join(", ", ALL);
}
