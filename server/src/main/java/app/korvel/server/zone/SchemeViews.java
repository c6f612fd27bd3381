package app.korvel.server.zone;

import app.korvel.core.zone.Basis;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.server.zone.ZoneViews.ZonesView;
import app.korvel.store.StudioRepository.Settings;
import java.math.BigDecimal;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Schemes as they are sent and taken. */
final class SchemeViews {
  private SchemeViews() {}

  /**
   * A band as its zone system writes it down.
   *
   * @param rpe20 the effort the zone system ties to it; null where it ties none
   */
  record BandRow(String name, BigDecimal low, BigDecimal high, @Nullable List<Integer> rpe20) {
    private static BandRow of(Scheme.Band band) {
      return new BandRow(
          band.name(), band.low(), band.high(), band.rpe20().map(ZoneViews::span).orElse(null));
    }
  }

  /**
   * A scheme.
   *
   * @param version of the studio's own; null for one that ships
   * @param chosenFor names of the clients it was chosen for
   */
  record SchemeView(
      String id,
      @Nullable Integer version,
      String name,
      Scheme.Kind kind,
      Basis basis,
      String serves,
      String source,
      boolean own,
      List<BandRow> bands,
      List<String> chosenFor) {

    static SchemeView of(Scheme scheme, @Nullable Integer version, List<String> chosenFor) {
      return new SchemeView(
          scheme.id(),
          version,
          scheme.name(),
          scheme.kind(),
          scheme.basis(),
          scheme.serves(),
          scheme.source().citation(),
          scheme.own(),
          scheme.bands().stream().map(BandRow::of).toList(),
          chosenFor);
    }
  }

  /**
   * Every scheme, and what the studio has chosen.
   *
   * @param version of what the studio has chosen
   */
  record SchemeList(List<SchemeView> schemes, int version, String studio, RpeFamily rpeFamily) {}

  record BandRequest(String name, BigDecimal low, BigDecimal high) {}

  /** One of the studio's own, as it is written down. */
  record SchemeRequest(
      String name,
      Scheme.Kind kind,
      Basis basis,
      @Nullable String serves,
      List<BandRequest> bands) {

    OwnScheme written() {
      return new OwnScheme(
          name,
          kind,
          basis,
          serves == null ? "" : serves,
          bands.stream().map(band -> new OwnScheme.Row(band.name, band.low, band.high)).toList());
    }
  }

  /** A change of one, with the version that was read. */
  record SchemeChangeRequest(Integer version, SchemeRequest scheme) {}

  record SchemeArchiveRequest(Integer version, Boolean archived) {}

  /** What a file says: laid out in the editor, and kept when it is saved. */
  record WrittenScheme(
      String name, Scheme.Kind kind, Basis basis, String serves, List<BandRow> bands) {
    static WrittenScheme of(OwnScheme scheme) {
      return new WrittenScheme(
          scheme.name(),
          scheme.kind(),
          scheme.basis(),
          scheme.serves(),
          scheme.bands().stream()
              .map(row -> new BandRow(row.name(), row.low(), row.high(), null))
              .toList());
    }
  }

  /** A scheme tried on several clients; on an example where none is named. */
  record SchemeTrialRequest(SchemeRequest scheme, List<UUID> clients) {}

  /**
   * The scheme on one span.
   *
   * @param client whose; null for the example
   * @param zones null where there are none
   * @param why why there are none; empty where there are
   */
  record TrialRow(@Nullable UUID client, String label, @Nullable ZonesView zones, String why) {}

  record SchemeTrial(List<TrialRow> rows) {}

  /** What the studio chooses for everyone, with the version that was read. */
  record DisplaySettingsRequest(Integer version, String scheme, RpeFamily rpeFamily) {}

  record DisplaySettingsView(int version, String scheme, RpeFamily rpeFamily) {
    static DisplaySettingsView of(Settings settings) {
      return new DisplaySettingsView(
          settings.version(), settings.ways().scheme(), settings.ways().family());
    }
  }

  /** The scheme for one client; without one, the studio's. */
  record ClientSchemeRequest(@Nullable String scheme) {}
}
