package app.korvel.core.zone;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.zone.Zones.BandRates;
import app.korvel.core.zone.Zones.Place;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Several schools worked out for one span, and what they call the same rates. They are compared by
 * the guideline class of the band that a rate lies in.
 *
 * @param schools those that can be worked out for this span
 * @param without those that count from thresholds which are not known
 * @param stretches from rest to maximum, where no school changes its mind within one
 * @param agreements the rates over which all that have a band say the same class, from the lowest
 */
public record Schools(
    Reserve reserve,
    List<School> schools,
    List<Scheme> without,
    List<Stretch> stretches,
    List<Agreement> agreements) {

  /** How many schools must have a band before their saying the same counts as agreeing. */
  private static final int ENOUGH = 2;

  /**
   * A school and its bands for this span.
   *
   * @param scheme the school
   * @param bands in its own order
   */
  public record School(Scheme scheme, List<BandRates> bands) {
    public School {
      bands = List.copyOf(bands);
    }
  }

  /**
   * What one school calls a rate or a range.
   *
   * @param scheme the school
   * @param bands those it lies in; none where the school has nothing there
   * @param classes the guideline classes of those bands
   */
  public record Call(Scheme scheme, List<BandRates> bands, Set<GuidelineClass> classes) {
    private static Call of(Scheme scheme, List<BandRates> bands) {
      return new Call(
          scheme,
          bands,
          bands.stream()
              .map(BandRates::guidelineClass)
              .collect(Collectors.toCollection(() -> EnumSet.noneOf(GuidelineClass.class))));
    }
  }

  /**
   * What every school calls a rate or a range.
   *
   * @param calls one for each school, in their order
   * @param words where they agree and where not, as a sentence
   */
  public record Saying(List<Call> calls, String words) {
    private static Saying of(List<Call> calls) {
      return new Saying(calls, Schools.words(calls));
    }
  }

  /**
   * Rates over which no school changes its mind, both ends included.
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

  public Schools {
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
  public static Schools of(
      List<Scheme> schemes, Anchors anchors, Uncertainty uncertainty, OptionalInt cap) {
    Map<Boolean, List<Scheme>> known =
        schemes.stream()
            .collect(
                Collectors.partitioningBy(
                    scheme ->
                        anchors.thresholds().isPresent() || !scheme.basis().needsThresholds()));
    List<School> schools =
        known.get(true).stream()
            .map(scheme -> new School(scheme, Zones.bands(scheme, anchors, uncertainty, cap)))
            .toList();
    List<Stretch> stretches = stretches(anchors.reserve(), schools);
    return new Schools(
        anchors.reserve(), schools, known.get(false), stretches, agreements(stretches));
  }

  /**
   * What every school calls a range: the bands it lies in, but for those that it only touches with
   * one edge.
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

  private static List<Stretch> stretches(Reserve reserve, List<School> schools) {
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

  private static List<List<BandRates>> holding(List<School> schools, int bpm) {
    List<List<BandRates>> holding = new ArrayList<>(schools.size());
    for (School school : schools) {
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
      int from, int to, List<School> schools, List<List<BandRates>> held) {
    List<Call> calls = new ArrayList<>(schools.size());
    for (int i = 0; i < schools.size(); i++) {
      calls.add(Call.of(schools.get(i).scheme, held.get(i)));
    }
    return new Stretch(from, to, Saying.of(calls));
  }

  private static List<Agreement> agreements(List<Stretch> stretches) {
    List<Agreement> agreements = new ArrayList<>();
    for (Stretch stretch : stretches) {
      Set<Set<GuidelineClass>> said = said(stretch.saying.calls);
      long saying = stretch.saying.calls.stream().filter(call -> !call.bands.isEmpty()).count();
      if (said.size() != 1 || saying < ENOUGH || said.iterator().next().size() != 1) {
        continue;
      }
      GuidelineClass same = said.iterator().next().iterator().next();
      Agreement before = agreements.isEmpty() ? null : agreements.get(agreements.size() - 1);
      if (before != null && before.guidelineClass == same && before.highBpm == stretch.lowBpm - 1) {
        agreements.set(agreements.size() - 1, new Agreement(same, before.lowBpm, stretch.highBpm));
      } else {
        agreements.add(new Agreement(same, stretch.lowBpm, stretch.highBpm));
      }
    }
    return agreements;
  }

  private static Set<Set<GuidelineClass>> said(List<Call> calls) {
    return calls.stream()
        .map(Call::classes)
        .filter(classes -> !classes.isEmpty())
        .collect(Collectors.toSet());
  }

  /** What most say first, then the others by name, then those that have nothing there. */
  private static String words(List<Call> calls) {
    Map<String, List<Call>> byWord = new LinkedHashMap<>();
    calls.stream()
        .filter(call -> !call.classes.isEmpty())
        .sorted(Comparator.comparing(call -> call.classes.iterator().next()))
        .forEach(
            call ->
                byWord
                    .computeIfAbsent(classWords(call.classes), word -> new ArrayList<>())
                    .add(call));
    int saying = byWord.values().stream().mapToInt(List::size).sum();
    if (saying == 0) {
      return "No school has a band here.";
    }
    List<Map.Entry<String, List<Call>>> groups = new ArrayList<>(byWord.entrySet());
    groups.sort(Comparator.comparingInt(group -> -group.getValue().size()));
    String most = groups.get(0).getKey();
    StringBuilder words = new StringBuilder();
    if (groups.size() == 1) {
      words
          .append(saying == 1 ? "The one school" : "All " + saying + " schools")
          .append(saying == 1 ? " with a band here calls it " : " with a band here call it ")
          .append(most)
          .append('.');
    } else {
      words
          .append(groups.get(0).getValue().size())
          .append(" of ")
          .append(saying)
          .append(" schools call it ")
          .append(most)
          .append('.');
      groups.subList(1, groups.size()).stream()
          .map(group -> " " + capital(group.getKey()) + ": " + names(group.getValue()) + ".")
          .forEach(words::append);
    }
    List<Call> nothing = calls.stream().filter(call -> call.classes.isEmpty()).toList();
    if (!nothing.isEmpty()) {
      words.append(" No band here: ").append(names(nothing)).append('.');
    }
    return words.toString();
  }

  private static String classWords(Set<GuidelineClass> classes) {
    return classes.stream().map(GuidelineClass::words).collect(Collectors.joining(" or "));
  }

  private static String names(List<Call> calls) {
    return calls.stream().map(call -> call.scheme.name()).collect(Collectors.joining("; "));
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }
}
