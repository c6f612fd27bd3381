package app.korvel.core.talk;

import app.korvel.core.measure.Limit;

/** What of the voice decides: singing and talking are not told apart, nor a word and none. */
public enum Speech {
  SENTENCES("sentences"),
  PHRASES("phrases"),
  WORDS("words");

  private final String words;

  Speech(String words) {
    this.words = words;
  }

  /** As it stands in a sentence. */
  public String words() {
    return words;
  }

  /**
   * What a level of voice comes to.
   *
   * @param voice {@link Limit#VOICE}
   */
  public static Speech of(int voice) {
    Limit.VOICE.check("voice", voice);
    return voice <= 2 ? SENTENCES : voice == 3 ? PHRASES : WORDS;
  }
}
