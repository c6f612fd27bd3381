package app.korvel.core.zone;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Texts;
import app.korvel.core.zone.Scheme.Band;
import app.korvel.core.zone.Scheme.Kind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A scheme as a studio writes it down, before it is checked.
 *
 * @param name 1 to {@value #NAME_LENGTH} characters
 * @param kind how its bands relate
 * @param basis one of {@link Basis#OF_OWN_SCHEMES}
 * @param serves when it serves, up to {@value #SERVES_LENGTH} characters; may be empty
 * @param bands {@link Limit#SCHEME_BANDS}, from the lowest up
 */
public record OwnScheme(String name, Kind kind, Basis basis, String serves, List<Row> bands) {

  public static final int NAME_LENGTH = 60;
  public static final int SERVES_LENGTH = 160;
  public static final int BAND_NAME_LENGTH = 40;

  /** More decimals than this say nothing: a tenth of a percent is less than a beat. */
  private static final int DECIMALS = 1;

  /**
   * One band as it is written down.
   *
   * @param name 1 to {@value #BAND_NAME_LENGTH} characters, in no other band
   * @param low lower edge, accepted by the basis
   * @param high upper edge, accepted by the basis
   */
  public record Row(String name, BigDecimal low, BigDecimal high) {}

  public OwnScheme {
    bands = List.copyOf(bands);
  }

  /** A scheme written down again, to be changed. */
  public static OwnScheme of(Scheme scheme) {
    return new OwnScheme(
        scheme.name(),
        scheme.kind(),
        scheme.basis(),
        scheme.serves(),
        scheme.bands().stream()
            .map(band -> new Row(band.name(), band.low(), band.high()))
            .toList());
  }

  /**
   * The scheme, under that id. A ladder that begins at 0 begins at the resting rate.
   *
   * @throws InvalidValueException with every fault at once, each with its place: out of range, out
   *     of order, and in a ladder gaps and overlaps
   */
  public Scheme checked(String id) {
    List<Fault> faults = new ArrayList<>();
    Texts.check(faults, "name", name.strip(), 1, NAME_LENGTH);
    Texts.check(faults, "serves", serves.strip(), 0, SERVES_LENGTH);
    if (!Basis.OF_OWN_SCHEMES.contains(basis)) {
      faults.add(
          new Fault(
              "basis",
              "is not one that a studio's own zone system counts in",
              Basis.OF_OWN_SCHEMES.stream().map(Basis::words).collect(Collectors.joining(", "))));
    }
    if (!Limit.SCHEME_BANDS.accepts(bands.size())) {
      faults.add(
          new Fault("bands", "has " + bands.size() + " zones", Limit.SCHEME_BANDS.accepted()));
    }
    Set<String> names = new HashSet<>();
    boolean figures = true;
    for (int i = 0; i < bands.size(); i++) {
      Row row = bands.get(i);
      Texts.check(faults, place(i, "name"), row.name.strip(), 1, BAND_NAME_LENGTH);
      if (!names.add(row.name.strip().toLowerCase(Locale.ROOT))) {
        faults.add(new Fault(place(i, "name"), "stands twice", "a name for each zone"));
      }
      // Both are looked at, so that every fault is told.
      figures &=
          checkFigure(faults, place(i, "low"), row.low)
              & checkFigure(faults, place(i, "high"), row.high);
    }
    if (figures) {
      checkOrder(faults);
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    List<Band> checked = new ArrayList<>();
    for (int i = 0; i < bands.size(); i++) {
      Row row = bands.get(i);
      Band band = Band.of("band-" + (i + 1), row.name.strip(), plain(row.low), plain(row.high));
      boolean fromRest = kind == Kind.LADDER && i == 0 && row.low.signum() == 0;
      checked.add(fromRest ? band.beginningAtRest() : band);
    }
    return new Scheme(id, name.strip(), kind, basis, checked, serves.strip(), Source.STUDIO);
  }

  private boolean checkFigure(List<Fault> faults, String place, BigDecimal figure) {
    if (!basis.limit().accepts(figure)) {
      // A figure of a million places is not written out.
      boolean printable = Math.abs((long) figure.precision() - figure.scale()) <= 12;
      faults.add(
          new Fault(
              place,
              (printable ? written(figure) : "it") + " is outside the accepted range",
              basis.limit().accepted()));
      return false;
    }
    if (figure.signum() != 0 && figure.stripTrailingZeros().scale() > DECIMALS) {
      faults.add(
          new Fault(place, "has too many decimals", basis.limit().accepted() + ", one decimal"));
      return false;
    }
    return true;
  }

  private void checkOrder(List<Fault> faults) {
    for (int i = 0; i < bands.size(); i++) {
      Row row = bands.get(i);
      int edges = row.high.compareTo(row.low);
      if (kind == Kind.POINTS && edges != 0) {
        faults.add(
            new Fault(
                place(i, "high"),
                "is another figure than its lower edge",
                written(row.low) + ": a single rate has one"));
      } else if (kind == Kind.LADDER ? edges <= 0 : edges < 0) {
        faults.add(
            new Fault(
                place(i, "high"),
                written(row.high) + " is not above its lower edge of " + written(row.low),
                "over " + written(row.low) + ", up to " + basis.limit().highest()));
      }
      if (i > 0) {
        checkAfter(faults, i, bands.get(i - 1), row);
      }
    }
  }

  private void checkAfter(List<Fault> faults, int i, Row before, Row row) {
    if (row.low.compareTo(before.low) < 0
        || (kind == Kind.POINTS && row.low.compareTo(before.low) == 0)) {
      faults.add(
          new Fault(
              place(i, "low"),
              written(row.low) + " lies out of order, after " + written(before.low),
              "zones from the lowest up"));
    } else if (kind == Kind.LADDER && row.low.compareTo(before.high) != 0) {
      boolean gap = row.low.compareTo(before.high) > 0;
      faults.add(
          new Fault(
              place(i, "low"),
              (gap ? "leaves a gap after " : "overlaps ") + "“" + before.name.strip() + "”",
              written(before.high) + ", or zones declared as goals"));
    }
  }

  private static String place(int band, String field) {
    return "bands[" + band + "]." + field;
  }

  private static String written(BigDecimal figure) {
    return plain(figure).toPlainString();
  }

  /** Without trailing zeros, and not as a power of ten. */
  private static BigDecimal plain(BigDecimal figure) {
    BigDecimal stripped = figure.stripTrailingZeros();
    return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
  }
}
