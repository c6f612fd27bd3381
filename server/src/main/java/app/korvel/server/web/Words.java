package app.korvel.server.web;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;

/** The words of an enum as they stand in JSON and addresses: lower case, joined by hyphens. */
public final class Words {
  private Words() {}

  /** The word of one constant, for example {@code not-given}. */
  public static String of(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * The constant of that word.
   *
   * @throws IllegalArgumentException when there is none
   */
  static <E extends Enum<?>> E find(Class<E> type, String word) {
    return Arrays.stream(type.getEnumConstants())
        .filter(constant -> of(constant).equals(word))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("unknown word"));
  }

  /** Every word of an enum, for a message. */
  static String accepted(Class<?> type) {
    return "one of: "
        + Arrays.stream(type.getEnumConstants())
            .map(constant -> of((Enum<?>) constant))
            .collect(Collectors.joining(", "));
  }
}
