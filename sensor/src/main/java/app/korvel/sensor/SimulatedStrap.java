package app.korvel.sensor;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * A strap that nobody wears: a packet a second of a body's rate, with a little noise and intervals
 * that swing with the breath, the same for the same seed; with a fault where one is wished for.
 */
public final class SimulatedStrap {

  /** What may be wrong with it, or with whoever wears it. */
  public enum Fault {
    NONE("As it should be", Whose.STRAP),
    DROP_OUTS("Loses the signal now and then", Whose.STRAP),
    SLIPPING("Slips, and reads low", Whose.STRAP),
    SPIKES("Shows spikes", Whose.STRAP),
    STEP_LOCKED("Locks on to the steps", Whose.STRAP),
    /** Works so hard that a cap, or the maximum, is passed. */
    TOO_HARD("Works far too hard", Whose.WEARER),
    EARLY_STOP("Is tired and stops early", Whose.WEARER),
    SYMPTOM("Tells of a symptom", Whose.WEARER),
    /** Two of a room wear each other's straps after a while. */
    SWAPPED("Two straps are swapped", Whose.TWO);

    private enum Whose {
      STRAP,
      WEARER,
      TWO
    }

    private final String displayName;
    private final Whose whose;

    Fault(String displayName, Whose whose) {
      this.displayName = displayName;
      this.whose = whose;
    }

    /** Whether it can be had by one person alone. */
    public boolean forOne() {
      return whose != Whose.TWO;
    }

    /** Whether it is of the strap itself, whoever wears it. */
    public boolean ofStrap() {
      return whose == Whose.STRAP;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }
  }

  private static final int FAULTY_EVERY = 90;
  private static final int FAULTY_FOR = 20;
  private static final int SLIPS_FROM = 240;
  private static final double SLIPS_BY = 0.75;
  private static final int SPIKE = 40;
  private static final int STEPS_A_MINUTE = 164;
  private static final double BREATH_SECONDS = 4.3;
  private static final double TICKS = 1024 * 60.0;

  private final Random chance;
  private final Fault fault;
  private int second;
  private double sinceBeat;

  public SimulatedStrap(long seed, Fault fault) {
    this.chance = new Random(seed);
    this.fault = fault;
  }

  /** The packet of the next second; empty where the signal is lost. */
  public Optional<HeartRatePacket> next(SimulatedBody body) {
    second++;
    double noisy = body.bpm() + chance.nextGaussian();
    boolean troubled = second % FAULTY_EVERY >= FAULTY_EVERY - FAULTY_FOR;
    if (fault == Fault.DROP_OUTS && troubled) {
      return Optional.empty();
    }
    double read =
        switch (fault) {
          case SLIPPING -> second > SLIPS_FROM && troubled ? noisy * SLIPS_BY : noisy;
          case STEP_LOCKED -> second > SLIPS_FROM && troubled ? STEPS_A_MINUTE : noisy;
          case SPIKES -> second % FAULTY_EVERY == 0 ? noisy + SPIKE : noisy;
          default -> noisy;
        };
    int bpm = (int) Math.round(read);
    return Optional.of(new HeartRatePacket(bpm, Optional.of(true), beats(bpm)));
  }

  private List<Integer> beats(int bpm) {
    List<Integer> intervals = new ArrayList<>();
    double mean = 60.0 / bpm;
    // The slower the heart, the more it swings with the breath.
    double swing = 0.06 * Math.min(1, Math.pow(55.0 / bpm, 1.8));
    for (sinceBeat += 1; sinceBeat >= mean; sinceBeat -= mean) {
      double breath = Math.sin(2 * Math.PI * (second - sinceBeat) / BREATH_SECONDS);
      double interval = TICKS / bpm * (1 + swing * breath + 0.004 * chance.nextGaussian());
      intervals.add((int) Math.round(interval));
    }
    return intervals;
  }
}
