package app.korvel.core.screening;

/** A sign that ends any work or test at once. */
public enum StopSign {
  CHEST_PAIN("pain or pressure in chest, jaw or arm"),
  DIZZY("dizzy, confused or close to fainting"),
  BREATHLESS("far more breathless than the work explains"),
  PALPITATIONS("heart racing, pounding or newly uneven"),
  WHEEZE_OR_CALF_PAIN("wheeze, calf pain on walking, or sudden deep tiredness"),
  PALE("pale, blue lips or a cold sweat"),
  COORDINATION("losing coordination"),
  /** Whatever the reason: the work ends, and no doctor is asked for. */
  WISH("a wish to stop");

  private final String words;

  StopSign(String words) {
    this.words = words;
  }

  /** As it is said in a list. */
  public String words() {
    return words;
  }

  /** Whether it is a symptom, which a doctor clears up before any more work. */
  public boolean symptom() {
    return this != WISH;
  }
}
