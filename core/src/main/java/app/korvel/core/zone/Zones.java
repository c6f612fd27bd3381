package app.korvel.core.zone;

import app.korvel.core.measure.Rounding;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A scheme worked out for one span: its bands in bpm, and every rate from rest to maximum read in
 * every language.
 *
 * @param scheme the school
 * @param reserve the span
 * @param bands in the order of the scheme
 * @param readings one for each bpm from rest to maximum
 */
public record Zones(Scheme scheme, Reserve reserve, List<BandRates> bands, List<Reading> readings) {

  /**
   * A band in bpm, decided on the whole edges that a person sees.
   *
   * @param band the row of the scheme
   * @param lowBpm lowest rate in it
   * @param highBpm highest rate in it
   * @param lowSigmaBpm how sure the lower edge is, to one decimal
   * @param highSigmaBpm how sure the upper edge is, to one decimal
   * @param counts the band as beats to count
   * @param level the level of the rate in its middle
   * @param guidelineClass the class its middle falls into
   * @param belowResting whether it lies under the resting rate altogether
   */
  public record BandRates(
      Scheme.Band band,
      int lowBpm,
      int highBpm,
      BigDecimal lowSigmaBpm,
      BigDecimal highSigmaBpm,
      CountCard counts,
      Level level,
      GuidelineClass guidelineClass,
      boolean belowResting) {}

  /**
   * One rate in every language.
   *
   * @param bpm the rate
   * @param reservePercent of reserve, to one decimal
   * @param maximumPercent of maximum, to one decimal
   * @param bands ids of the bands that hold it; none below the lowest band or in a gap
   * @param level its level of effort
   * @param counts the rate as beats to count
   */
  public record Reading(
      int bpm,
      BigDecimal reservePercent,
      BigDecimal maximumPercent,
      List<String> bands,
      Level level,
      CountCard counts) {}

  public Zones {
    bands = List.copyOf(bands);
    readings = List.copyOf(readings);
  }

  /** Works the scheme out for that span. */
  public static Zones of(Scheme scheme, Reserve reserve, Uncertainty uncertainty) {
    List<BandRates> bands = new ArrayList<>();
    for (int i = 0; i < scheme.bands().size(); i++) {
      Optional<Scheme.Band> next =
          scheme.kind() == Scheme.Kind.LADDER && i + 1 < scheme.bands().size()
              ? Optional.of(scheme.bands().get(i + 1))
              : Optional.empty();
      bands.add(rates(scheme, scheme.bands().get(i), next, reserve, uncertainty));
    }
    List<Reading> readings =
        IntStream.rangeClosed(reserve.restingBpm(), reserve.maximumBpm())
            .mapToObj(bpm -> reading(bpm, bands, reserve))
            .toList();
    return new Zones(scheme, reserve, bands, readings);
  }

  private static BandRates rates(
      Scheme scheme,
      Scheme.Band band,
      Optional<Scheme.Band> next,
      Reserve reserve,
      Uncertainty uncertainty) {
    Basis basis = scheme.basis();
    int low = band.fromRest() ? reserve.restingBpm() : basis.rateAt(band.low(), reserve);
    int high =
        next.map(above -> basis.rateAt(above.low(), reserve) - 1)
            .orElseGet(() -> basis.rateAt(band.high(), reserve));
    int middle = (low + high) / 2;
    BigDecimal lowSigma =
        band.fromRest() ? uncertainty.restingBpm() : basis.sigma(band.low(), uncertainty);
    return new BandRates(
        band,
        low,
        high,
        Rounding.tenths(lowSigma),
        Rounding.tenths(basis.sigma(band.high(), uncertainty)),
        CountCard.of(low, high),
        Level.atRate(middle, reserve),
        guidelineClass(scheme, band, middle, reserve),
        high < reserve.restingBpm());
  }

  private static GuidelineClass guidelineClass(
      Scheme scheme, Scheme.Band band, int middleBpm, Reserve reserve) {
    BigDecimal middle = band.low().add(band.high()).divide(BigDecimal.valueOf(2));
    return switch (scheme.basis()) {
      case RESERVE -> GuidelineClass.ofReserve(middle);
      case MAXIMUM -> GuidelineClass.ofMaximum(middle);
      case RESTING -> GuidelineClass.ofReserve(reserve.percentOfReserve(middleBpm));
    };
  }

  private static Reading reading(int bpm, List<BandRates> bands, Reserve reserve) {
    return new Reading(
        bpm,
        reserve.percentOfReserve(bpm),
        reserve.percentOfMaximum(bpm),
        bands.stream()
            .filter(band -> band.lowBpm() <= bpm && bpm <= band.highBpm())
            .map(band -> band.band().id())
            .toList(),
        Level.atRate(bpm, reserve),
        CountCard.of(bpm, bpm));
  }
}
