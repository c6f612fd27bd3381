package app.korvel.core.zone;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.zone.Zones.BandRates;
import app.korvel.core.zone.Zones.Place;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Several zone systems worked out for one span, and what they call the same rates. They are
 * compared by the guideline class of the band that a rate lies in.
 *
 * @param zone systems those that can be worked out for this span
 * @param without those that count from thresholds which are not known
 * @param stretches from rest to maximum, where no zone system changes its mind within one
 * @param agreements the rates over which all that have a band say the same class, from the lowest
 */
public record ZoneSystems(
    Reserve reserve,
    List<ZoneSystem> schools,
    List<Scheme> without,
    List<Stretch> stretches,
    List<Agreement> agreements) {

  /** How many zone systems must have a band before their saying the same counts as agreeing. */
  private static final int ENOUGH = 2;

  /**
   * A zone system and its bands for this span.
   *
   * @param scheme the zone system
   * @param bands in its own order
   */
  public record ZoneSystem(Scheme scheme, List<BandRates> bands) {
    public ZoneSystem {
      bands = List.copyOf(bands);
    }
  }

  /**
   * What one zone system calls a rate or a range.
   *
   * @param scheme the zone system
   * @param bands those it lies in; none where the zone system has nothing there
   * @param classes the guideline classes of those bands
   */
  public record Call(Scheme scheme, List<BandRates> bands, Set<GuidelineClass> classes) {
    private static Call of(Scheme scheme, List<BandRates> bands) {
      Set<GuidelineClass> classes = EnumSet.noneOf(GuidelineClass.class);
      for (BandRates band : bands) {
        classes.add(band.guidelineClass());
      }
      return new Call(scheme, bands, classes);
    }
  }

  /**
   * What every zone system calls a rate or a range.
   *
   * @param calls one for each zone system, in their order
   * @param words where they agree and where not, as a sentence
   */
  public record Saying(List<Call> calls, String words) {
    private static Saying of(List<Call> calls) {
      return new Saying(calls, ZoneSystems.words(calls));
    }
  }

  /**
   * Rates over which no zone system changes its mind, both ends included.
   *
   * @param saying what they say there
   */
  public record Stretch(int lowBpm, int highBpm, Saying saying) {}

  /**
   * Rates over which all that have a band say the same, both ends included.
   *
   * @param guidelineClass what they say
   */
  public record Agreement(GuidelineClass guidelineClass, int lowBpm, int highBpm) {}

  public ZoneSystems {
    schools = List.copyOf(schools);
    without = List.copyOf(without);
    stretches = List.copyOf(stretches);
    agreements = List.copyOf(agreements);
  }

  /**
   * Works them out for that span.
   *
   * @param cap a clinician's cap; see {@link Zones#of}
   * @throws InvalidValueException when the cap is out of range
   */
  public static ZoneSystems of(
      List<Scheme> schemes, Anchors anchors, Uncertainty uncertainty, OptionalInt cap) {
    Map<Boolean, List<Scheme>> known =
        schemes.stream()
            .collect(
                Collectors.partitioningBy(
                    scheme ->
                        anchors.thresholds().isPresent() || !scheme.basis().needsThresholds()));
    List<ZoneSystem> schools =
        known.get(true).stream()
            .map(scheme -> new ZoneSystem(scheme, Zones.bands(scheme, anchors, uncertainty, cap)))
            .toList();
    List<Stretch> stretches = stretches(anchors.reserve(), schools);
    return new ZoneSystems(
        anchors.reserve(), schools, known.get(false), stretches, agreements(stretches));
  }

  /**
   * What every zone system calls a range: the bands it lies in, but for those that it only touches
   * with one edge.
   *
   * @param lowBpm lower edge
   * @param highBpm upper edge; the same for a single rate
   */
  public Saying over(int lowBpm, int highBpm) {
    return Saying.of(
        schools.stream()
            .map(
                school ->
                    Call.of(
                        school.scheme,
                        school.bands.stream()
                            .filter(band -> shares(band, lowBpm, highBpm))
                            .toList()))
            .toList());
  }

  private static boolean shares(BandRates band, int lowBpm, int highBpm) {
    int both = Math.min(highBpm, band.highBpm()) - Math.max(lowBpm, band.lowBpm());
    boolean point = lowBpm == highBpm || band.lowBpm() == band.highBpm();
    return band.place() != Place.TOO_NARROW && (point ? both >= 0 : both > 0);
  }

  /** The agreements as a sentence. */
  public String summary() {
    if (agreements.isEmpty()) {
      return "They agree nowhere.";
    }
    return "They agree on "
        + agreements.stream()
            .map(
                each ->
                    each.guidelineClass.words()
                        + (each.lowBpm == each.highBpm ? " at " : " from ")
                        + each.lowBpm
                        + (each.lowBpm == each.highBpm ? "" : " to " + each.highBpm))
            .collect(Collectors.joining(", "))
        + "; elsewhere they differ.";
  }

  private static List<Stretch> stretches(Reserve reserve, List<ZoneSystem> schools) {
    List<Stretch> stretches = new ArrayList<>();
    List<List<BandRates>> held = null;
    int from = reserve.restingBpm();
    for (int bpm = reserve.restingBpm(); bpm <= reserve.maximumBpm(); bpm++) {
      List<List<BandRates>> now = holding(schools, bpm);
      if (held != null && !sameBands(held, now)) {
        stretches.add(stretch(from, bpm - 1, schools, held));
        from = bpm;
      }
      held = now;
    }
    stretches.add(stretch(from, reserve.maximumBpm(), schools, held));
    return stretches;
  }

  private static List<List<BandRates>> holding(List<ZoneSystem> schools, int bpm) {
    List<List<BandRates>> holding = new ArrayList<>(schools.size());
    for (ZoneSystem school : schools) {
      List<BandRates> bands = new ArrayList<>();
      for (BandRates band : school.bands) {
        if (band.holds(bpm)) {
          bands.add(band);
        }
      }
      holding.add(bands);
    }
    return holding;
  }

  /** Whether the same bands, one by one: they are the same objects. */
  private static boolean sameBands(List<List<BandRates>> some, List<List<BandRates>> others) {
    for (int i = 0; i < some.size(); i++) {
      List<BandRates> one = some.get(i);
      List<BandRates> other = others.get(i);
      if (one.size() != other.size()) {
        return false;
      }
      for (int j = 0; j < one.size(); j++) {
        if (one.get(j) != other.get(j)) {
          return false;
        }
      }
    }
    return true;
  }

  private static Stretch stretch(
      int from, int to, List<ZoneSystem> schools, List<List<BandRates>> held) {
    List<Call> calls = new ArrayList<>(schools.size());
    for (int i = 0; i < schools.size(); i++) {
      calls.add(Call.of(schools.get(i).scheme, held.get(i)));
    }
    return new Stretch(from, to, Saying.of(calls));
  }

  private static List<Agreement> agreements(List<Stretch> stretches) {
    List<Agreement> agreements = new ArrayList<>();
    for (Stretch stretch : stretches) {
      Optional<GuidelineClass> same = sameForAll(stretch.saying.calls);
      if (same.isEmpty()) {
        continue;
      }
      Agreement before = agreements.isEmpty() ? null : agreements.get(agreements.size() - 1);
      if (before != null
          && before.guidelineClass == same.get()
          && before.highBpm == stretch.lowBpm - 1) {
        agreements.remove(before);
        agreements.add(new Agreement(same.get(), before.lowBpm, stretch.highBpm));
      } else {
        agreements.add(new Agreement(same.get(), stretch.lowBpm, stretch.highBpm));
      }
    }
    return agreements;
  }

  /** The one class that all say which have a band, if they do and are enough. */
  private static Optional<GuidelineClass> sameForAll(List<Call> calls) {
    Set<GuidelineClass> all = EnumSet.noneOf(GuidelineClass.class);
    int saying = 0;
    for (Call call : calls) {
      all.addAll(call.classes);
      saying += call.classes.isEmpty() ? 0 : 1;
    }
    return saying >= ENOUGH && all.size() == 1
        ? Optional.of(all.iterator().next())
        : Optional.empty();
  }

  /** Those who say the same, by what they say: the lower class first. */
  private static Map<Set<GuidelineClass>, List<Call>> bySaying(List<Call> calls) {
    Map<Set<GuidelineClass>, List<Call>> groups = new TreeMap<>(LOWER_FIRST);
    for (Call call : calls) {
      groups.computeIfAbsent(call.classes, classes -> new ArrayList<>()).add(call);
    }
    return groups;
  }

  private static final Comparator<Set<GuidelineClass>> LOWER_FIRST =
      Comparator.comparingInt(ZoneSystems::rank);

  /** Another figure for every set: lower classes first, one class before it with higher ones. */
  private static int rank(Set<GuidelineClass> classes) {
    int lowest = classes.isEmpty() ? 0 : classes.iterator().next().ordinal();
    int rank = lowest << GuidelineClass.values().length;
    for (GuidelineClass each : classes) {
      rank += 1 << each.ordinal();
    }
    return rank;
  }

  /** What most say first, then the others by name, then those that have nothing there. */
  private static String words(List<Call> calls) {
    Map<Set<GuidelineClass>, List<Call>> bySaying = bySaying(calls);
    List<Call> nothing = bySaying.remove(Set.<GuidelineClass>of());
    int saying = calls.size() - (nothing == null ? 0 : nothing.size());
    if (saying == 0) {
      return "No zone system has a zone here.";
    }
    List<List<Call>> groups = new ArrayList<>(bySaying.values());
    groups.sort(Comparator.comparingInt(group -> -group.size()));
    StringBuilder words = new StringBuilder(200);
    if (groups.size() == 1) {
      words.append(
          saying == 1
              ? "The one zone system with a zone here calls it "
              : "All " + saying + " zone systems with a zone here call it ");
    } else {
      words
          .append(groups.get(0).size())
          .append(" of ")
          .append(saying)
          .append(" zone systems call it ");
    }
    words.append(classWords(groups.get(0))).append('.');
    for (List<Call> group : groups.subList(1, groups.size())) {
      String which = classWords(group);
      words
          .append(' ')
          .append(Character.toUpperCase(which.charAt(0)))
          .append(which, 1, which.length());
      appendNames(words, group);
    }
    if (nothing != null) {
      words.append(" No zone here");
      appendNames(words, nothing);
    }
    return words.toString();
  }

  /** What those of a group say: they say the same. */
  private static String classWords(List<Call> group) {
    StringBuilder words = new StringBuilder();
    for (GuidelineClass each : group.get(0).classes) {
      words.append(words.isEmpty() ? "" : " or ").append(each.words());
    }
    return words.toString();
  }

  private static void appendNames(StringBuilder words, List<Call> calls) {
    String before = ": ";
    for (Call call : calls) {
      words.append(before).append(call.scheme.name());
      before = "; ";
    }
    words.append('.');
  }
}
