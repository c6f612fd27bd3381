package app.korvel.core.prescription;

import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Zones.BandRates;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What of a zone system's band may be prescribed to someone: a band is shown as the zone system has
 * it, whatever the client's context forbids.
 *
 * @param percents of reserve, cut at what is allowed; empty where nothing of it is
 * @param because why nothing or not all of it may be; empty where all of it may
 */
public record Prescribable(Optional<Percents> percents, String because) {

  /**
   * What of each of those bands may be prescribed, in their order.
   *
   * @param basis what the zone system counts in
   * @param reserve the client's span
   * @param cap a clinician's cap; the bands are worked out under it
   * @param ceiling how hard the client may be asked to work at most
   */
  public static List<Prescribable> of(
      List<BandRates> bands, Basis basis, Reserve reserve, OptionalInt cap, Ceiling ceiling) {
    return bands.stream().map(band -> of(band, basis, reserve, cap, ceiling)).toList();
  }

  private static Prescribable of(
      BandRates band, Basis basis, Reserve reserve, OptionalInt cap, Ceiling ceiling) {
    if (ceiling.allowsNothing()) {
      return not(ceiling.words());
    }
    switch (band.place()) {
      case BELOW_RESTING:
        return not("It lies under the resting rate of " + reserve.restingBpm() + ".");
      case ABOVE_MAXIMUM:
        return not("It lies above the maximum of " + reserve.maximumBpm() + ".");
      case TOO_NARROW:
        return not("It is narrower than one beat for this client.");
      default:
    }
    if (band.allowedHighBpm().isEmpty()) {
      return not("It lies above the cap of " + cap.getAsInt() + ".");
    }
    return percents(band, basis, reserve)
        .map(wanted -> under(wanted, ceiling))
        .orElseGet(() -> not("It is narrower than one percent of reserve for this client."));
  }

  private static Prescribable under(Percents wanted, Ceiling ceiling) {
    boolean single = wanted.low() == wanted.high();
    int least = Limit.INTENSITY.lowest();
    if (wanted.high() < least || (!single && wanted.high() == least)) {
      return not("Work under " + least + " % of reserve is not prescribed: it is everyday life.");
    }
    if (wanted.low() > ceiling.percent() || (!single && wanted.low() == ceiling.percent())) {
      return not(ceiling.words());
    }
    return new Prescribable(
        Optional.of(
            new Percents(
                Math.max(wanted.low(), least), Math.min(wanted.high(), ceiling.percent()))),
        wanted.high() > ceiling.percent() ? ceiling.words() : "");
  }

  /**
   * Where the zone system counts in whole percents of reserve, its own; else those inside the band.
   */
  private static Optional<Percents> percents(BandRates band, Basis basis, Reserve reserve) {
    BigDecimal low = band.band().low();
    BigDecimal high = band.band().high();
    return basis == Basis.RESERVE && whole(low) && whole(high)
        ? Optional.of(new Percents(low.intValueExact(), high.intValueExact()))
        : reserve.percentsWithin(band.lowBpm(), band.highBpm());
  }

  private static boolean whole(BigDecimal figure) {
    return figure.stripTrailingZeros().scale() <= 0;
  }

  private static Prescribable not(String because) {
    return new Prescribable(Optional.empty(), because);
  }
}
