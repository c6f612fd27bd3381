package app.korvel.bench;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;

/** What {@code ./korvel bench} runs: one measurement by name, or all but the long ones. */
public final class Bench {
  private Bench() {}

  /** A measurement; prints what it found. */
  @FunctionalInterface
  interface Driver {
    void run(String[] words) throws Exception;
  }

  /** Run by name only. */
  private static final Set<String> LONG = Set.of("years", "durability");

  private static final Map<String, Driver> DRIVERS = new LinkedHashMap<>();

  static {
    DRIVERS.put("core", words -> org.openjdk.jmh.Main.main(new String[] {"CoreBenchmark"}));
    DRIVERS.put("zones", words -> new ServerTime().run());
    DRIVERS.put("schools", words -> new ZoneSystemsTime().run());
    DRIVERS.put("sheets", words -> new SheetTime().run());
    DRIVERS.put("page", words -> new PageTime().run());
    DRIVERS.put("calendar", words -> new CalendarTime().run());
    DRIVERS.put("taps", words -> new TapTime().run());
    DRIVERS.put("live", words -> new LiveTime().run());
    DRIVERS.put("learned", words -> new LearnedTime().run());
    DRIVERS.put("tests", words -> new TestSheetTime().run());
    DRIVERS.put("import", words -> new ImportTime().run());
    DRIVERS.put("forecast", words -> new ForecastTime().run());
    DRIVERS.put("room", words -> new RoomTime().run(words));
    DRIVERS.put("start", words -> new StartTime().run());
    DRIVERS.put("years", words -> new YearsTime().run(words));
    DRIVERS.put("durability", Durability::main);
  }

  public static void main(String[] args) throws Exception {
    if (args.length == 0) {
      for (String name : DRIVERS.keySet()) {
        if (!LONG.contains(name)) {
          DRIVERS.get(name).run(args);
        }
      }
      System.exit(0);
    }
    Driver driver = DRIVERS.get(args[0]);
    if (driver == null) {
      System.err.println(
          "Korvel: there is no measurement “"
              + args[0]
              + "”. There are: "
              + String.join(", ", DRIVERS.keySet())
              + ".");
      System.exit(2);
    }
    driver.run(Arrays.copyOfRange(args, 1, args.length));
    System.exit(0);
  }
}
