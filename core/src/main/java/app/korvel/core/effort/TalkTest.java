package app.korvel.core.effort;

/** How it is found out what the voice can still do (Foster et al. 2008). */
public final class TalkTest {
  private TalkTest() {}

  /** A neutral passage of some thirty words, to be said aloud while moving. */
  public static final String PASSAGE =
      "The morning boat leaves at seven, when the harbour is quiet and the gulls are still asleep."
          + " It calls at three islands, turns at the far lighthouse, and is home by noon.";

  /** How it is done, in three steps. */
  public static final String HOW =
      "Halfway through the work, say this aloud without slowing down. Then say what "
          + "you could do: sing it, say it in whole sentences, in phrases, a word or two, "
          + "or nothing.";
}
