package app.korvel.core.zone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.zone.OwnScheme.Row;
import app.korvel.core.zone.Scheme.Kind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.FieldSource;

/** A studio's own schemes: what is taken, and what is refused with its place. */
class OwnSchemeTest {
  static final List<Scheme> EVERY_SCHEME = Schemes.ALL;

  private static Row row(String name, String low, String high) {
    return new Row(name, new BigDecimal(low), new BigDecimal(high));
  }

  private static OwnScheme scheme(Kind kind, Basis basis, Row... rows) {
    return new OwnScheme("Sea wall", kind, basis, "", List.of(rows));
  }

  private static OwnScheme ladder(Row... rows) {
    return scheme(Kind.LADDER, Basis.RESERVE, rows);
  }

  private static List<String> faults(OwnScheme scheme) {
    InvalidValueException refused =
        catchThrowableOfType(InvalidValueException.class, () -> scheme.checked("id"));
    return refused.faults().stream()
        .map(fault -> fault.field() + " " + fault.message() + " | " + fault.accepted())
        .toList();
  }

  @Test
  void aLadderIsWorkedOutAsAnyOther() {
    Scheme checked =
        ladder(row(" Stroll ", "0", "42.5"), row("March", "42.50", "70"), row("Run", "70", "100"))
            .checked("id");
    assertThat(checked.own()).isTrue();
    assertThat(checked.bands())
        .extracting(Scheme.Band::id)
        .containsExactly("band-1", "band-2", "band-3");
    Zones zones = Zones.of(checked, Reserve.of(64, 176), Uncertainty.USUAL);
    // 64 + 0.425 × 112 = 111.6, 64 + 0.7 × 112 = 142.4
    assertThat(zones.bands())
        .extracting(band -> band.band().name() + " " + band.lowBpm() + "–" + band.highBpm())
        .containsExactly("Stroll 64–111", "March 112–141", "Run 142–176");
  }

  @Test
  void aLadderThatBeginsAtZeroBeginsAtRest() {
    Scheme checked =
        scheme(Kind.LADDER, Basis.MAXIMUM, row("Low", "0", "60"), row("High", "60", "100"))
            .checked("id");
    assertThat(checked.bands().get(0).fromRest()).isTrue();
    assertThat(Zones.of(checked, Reserve.of(64, 176), Uncertainty.USUAL).bands().get(0).lowBpm())
        .isEqualTo(64);
    assertThat(
            scheme(Kind.GOALS, Basis.MAXIMUM, row("Low", "0", "60"), row("High", "50", "100"))
                .checked("id")
                .bands()
                .get(0)
                .fromRest())
        .isFalse();
  }

  @Test
  void gapsAndOverlapsAreRefusedUnlessTheyAreGoals() {
    Row[] gap = {row("A", "40", "50"), row("B", "55", "70")};
    Row[] overlap = {row("A", "40", "60"), row("B", "55", "70")};
    assertThat(faults(ladder(gap)))
        .containsExactly("bands[1].low leaves a gap after “A” | 50, or zones declared as goals");
    assertThat(faults(ladder(overlap)))
        .containsExactly("bands[1].low overlaps “A” | 60, or zones declared as goals");
    assertThat(scheme(Kind.GOALS, Basis.RESERVE, gap).checked("id").bands()).hasSize(2);
    assertThat(scheme(Kind.GOALS, Basis.RESERVE, overlap).checked("id").bands()).hasSize(2);
  }

  @Test
  void outOfOrderIsRefusedOfEveryKind() {
    assertThat(faults(ladder(row("A", "60", "70"), row("B", "40", "60"))))
        .containsExactly("bands[1].low 40 lies out of order, after 60 | zones from the lowest up");
    assertThat(faults(ladder(row("A", "60", "50"), row("B", "50", "90"))))
        .contains("bands[0].high 50 is not above its lower edge of 60 | over 60, up to 110");
    assertThat(
            faults(scheme(Kind.GOALS, Basis.RESERVE, row("A", "60", "70"), row("B", "40", "60"))))
        .hasSize(1);
    assertThat(
            faults(scheme(Kind.POINTS, Basis.RESERVE, row("A", "60", "60"), row("B", "60", "60"))))
        .hasSize(1);
    assertThat(
            faults(scheme(Kind.POINTS, Basis.RESERVE, row("A", "60", "65"), row("B", "70", "70"))))
        .containsExactly(
            "bands[0].high is another figure than its lower edge | 60: a single rate has one");
  }

  @ParameterizedTest
  @CsvSource({"1,false", "2,true", "13,true", "14,false"})
  void twoToThirteenBands(int count, boolean taken) {
    List<Row> rows =
        IntStream.range(0, count)
            .mapToObj(i -> row("Zone " + i, "" + i * 7, "" + (i + 1) * 7))
            .toList();
    OwnScheme scheme = new OwnScheme("Many", Kind.LADDER, Basis.RESERVE, "", rows);
    if (taken) {
      assertThat(scheme.checked("id").bands()).hasSize(count);
    } else {
      assertThat(faults(scheme)).containsExactly("bands has " + count + " zones | 2 to 13 zones");
    }
  }

  @ParameterizedTest
  @CsvSource({
    "RESERVE,110,true",
    "RESERVE,110.1,false",
    "MAXIMUM,-0.1,false",
    "RESTING,150,true",
    "RESTING,151,false",
    "THRESHOLD,110,true",
    "RESERVE,1e999999999,false",
    "RESERVE,-1e-999999999,false",
    "RESERVE,60.25,false",
    "RESERVE,1e-999999999,false",
  })
  void figuresKeepTheLimitsOfTheirBasis(Basis basis, String figure, boolean taken) {
    OwnScheme scheme = scheme(Kind.POINTS, basis, row("A", "10", "10"), row("B", figure, figure));
    if (taken) {
      assertThat(scheme.checked("id").bands()).hasSize(2);
    } else {
      assertThat(faults(scheme))
          .allSatisfy(fault -> assertThat(fault).startsWith("bands[1].").hasSizeLessThan(120))
          .hasSize(2);
    }
  }

  @ParameterizedTest
  @EnumSource(Basis.class)
  void onlyFourBasesAreForOwnSchemes(Basis basis) {
    OwnScheme scheme = scheme(Kind.POINTS, basis, row("A", "1", "1"), row("B", "2", "2"));
    if (basis == Basis.MEASURED) {
      assertThat(faults(scheme)).singleElement().asString().startsWith("basis ");
    } else {
      assertThat(scheme.checked("id").basis()).isEqualTo(basis);
    }
  }

  @Test
  void everyFaultIsToldAtOnce() {
    OwnScheme scheme =
        new OwnScheme(
            " ",
            Kind.LADDER,
            Basis.RESERVE,
            "x".repeat(161),
            List.of(
                row("", "0", "120"),
                row("y".repeat(200), "50", "60"),
                row("Y\u0007", "60", "70"),
                row("y\u0007", "70", "80")));
    assertThat(faults(scheme))
        .extracting(fault -> fault.split(" ")[0])
        .containsExactly(
            "name",
            "serves",
            "bands[0].name",
            "bands[0].high",
            "bands[1].name",
            "bands[2].name",
            "bands[3].name",
            "bands[3].name");
  }

  @ParameterizedTest
  @FieldSource("EVERY_SCHEME")
  void everySchemeThatShipsCanBeCopiedAndChanged(Scheme scheme) {
    OwnScheme written = OwnScheme.of(scheme);
    if (scheme.basis() != Basis.MEASURED && scheme.bands().size() > 1) {
      Scheme copy = written.checked("copy");
      Zones its = Zones.of(scheme, Reserve.of(58, 183), Uncertainty.USUAL);
      Zones mine = Zones.of(copy, Reserve.of(58, 183), Uncertainty.USUAL);
      assertThat(mine.bands())
          .extracting(band -> band.lowBpm() + "–" + band.highBpm())
          .isEqualTo(
              its.bands().stream().map(band -> band.lowBpm() + "–" + band.highBpm()).toList());
    }
  }

  /** Bands so narrow that no whole rate is left are a state of their own, never an error. */
  @Test
  void bandsNarrowerThanABeatHoldNoRate() {
    List<Row> rows = new ArrayList<>();
    for (int i = 0; i < 13; i++) {
      rows.add(row("Step " + i, "" + (50 + i), "" + (51 + i)));
    }
    Scheme narrow = new OwnScheme("Narrow", Kind.LADDER, Basis.RESERVE, "", rows).checked("id");
    Zones zones = Zones.of(narrow, Reserve.of(60, 100), Uncertainty.USUAL);
    assertThat(zones.bands())
        .extracting(Zones.BandRates::place)
        .contains(Zones.Place.TOO_NARROW, Zones.Place.WITHIN);
    assertThat(zones.readings())
        .allSatisfy(reading -> assertThat(reading.bands()).hasSizeLessThan(2));
    assertThat(zones.readings().get(80 - 60).bands()).hasSize(1);
  }

  @Test
  void bandsAboveTheMaximumAreAStateOfTheirOwn() {
    Scheme high =
        scheme(Kind.LADDER, Basis.MAXIMUM, row("Top", "80", "102"), row("Over", "102", "110"))
            .checked("id");
    assertThat(
            Zones.bands(
                high, Anchors.of(Reserve.of(64, 176)), Uncertainty.USUAL, OptionalInt.empty()))
        .extracting(Zones.BandRates::place)
        .containsExactly(Zones.Place.WITHIN, Zones.Place.ABOVE_MAXIMUM);
  }
}
