package app.korvel.bench;

import app.korvel.server.KorvelServer;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.context.ConfigurableApplicationContext;

/** What lists and pages cost with more clients and with more years behind them. */
final class YearsTime {
  private static final int WARM_UP = 3;
  private static final int ROUNDS = 15;

  /** Where one takes seconds, a few tell enough. */
  private static final double ENOUGH_MS = 8_000;

  private static final int FEWEST = 3;
  private static final int INSTRUCTORS = 20;
  private static final int TURNS = 15;
  private static final int[][] STUDIOS = {{20, 1}, {20, 5}, {500, 1}, {500, 5}};
  private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

  private final HttpClient http = HttpClient.newHttpClient();

  /** Clients and years, as {@code 500x5}; all four where none is named. */
  void run(String[] words) throws Exception {
    for (int[] studio : STUDIOS) {
      if (words.length == 0 || words[0].equals(studio[0] + "x" + studio[1])) {
        measure(studio[0], studio[1]);
      }
    }
  }

  private void measure(int clients, int years) throws Exception {
    long began = System.nanoTime();
    Path folder = YearsFolder.make(clients, years, 19);
    System.out.printf(
        "%d clients, %d years: %d MB, made in %d s%n",
        clients,
        years,
        Files.size(folder.resolve("korvel.db")) >> 20,
        (System.nanoTime() - began) / 1_000_000_000);
    try (ConfigurableApplicationContext server =
        KorvelServer.start("--server.port=0", "--korvel.data=" + folder)) {
      String address =
          "http://127.0.0.1:" + server.getEnvironment().getProperty("local.server.port") + "/api";
      System.out.printf(
          Locale.ROOT,
          "  %-44s %16.3f ms%n",
          "Today, nothing worked out yet",
          time(address + "/today"));
      Map<String, String> routes = routes(address);
      for (Map.Entry<String, String> route : routes.entrySet()) {
        measure(route.getKey(), address + route.getValue());
      }
      together(address, routes);
    } finally {
      Files.walk(folder).sorted(Comparator.reverseOrder()).forEach(p -> p.toFile().delete());
    }
  }

  private Map<String, String> routes(String address) throws Exception {
    Matcher ids = ID.matcher(ask(address + "/clients").body());
    ids.find();
    String one = ids.group(1);
    LocalDate day = LocalDate.now(ZoneOffset.UTC);
    Map<String, String> routes = new LinkedHashMap<>();
    routes.put("Today", "/today");
    routes.put("clients", "/clients");
    routes.put("clients, found by typing", "/clients?q=fen");
    routes.put("names", "/clients/names");
    routes.put("log", "/session-logs/open");
    routes.put(
        "calendar, a month",
        "/calendar?from=" + day.withDayOfMonth(1) + "&to=" + day.withDayOfMonth(28) + "&most=3");
    routes.put("calendar, a day", "/calendar?from=" + day + "&to=" + day);
    routes.put("class count of 12", classCount(address, ids, one));
    routes.put("a client", "/clients/" + one);
    routes.put("a client's screening", "/clients/" + one + "/screening");
    routes.put("a client's readings", "/clients/" + one + "/readings");
    routes.put("a client's bands", "/clients/" + one + "/bands");
    routes.put("a client's prescriptions", "/clients/" + one + "/prescriptions");
    routes.put("a client's programme", "/clients/" + one + "/programme");
    routes.put("a client's progress", "/clients/" + one + "/progress");
    routes.put("a client's check-in", "/clients/" + one + "/checkins");
    routes.put("a client's calendar file", "/clients/" + one + "/calendar.ics");
    return routes;
  }

  private String classCount(String address, Matcher ids, String one) throws Exception {
    StringBuilder people = new StringBuilder("\"" + one + "\"");
    for (int more = 1; more < 12 && ids.find(); more++) {
      people.append(",\"").append(ids.group(1)).append('"');
    }
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(address + "/class-counts"))
            .header("Content-Type", "application/json")
            .POST(
                HttpRequest.BodyPublishers.ofString(
                    "{\"moment\":\"before\",\"windowSeconds\":15,\"posture\":\"seated\","
                        + "\"settled\":true,\"people\":["
                        + people
                        + "]}"))
            .build();
    Matcher made = ID.matcher(http.send(request, BodyHandlers.ofString()).body());
    if (!made.find()) {
      throw new IOException("no class count was made");
    }
    return "/class-counts/" + made.group(1);
  }

  private HttpResponse<String> ask(String address) throws Exception {
    HttpResponse<String> answer =
        http.send(HttpRequest.newBuilder(URI.create(address)).build(), BodyHandlers.ofString());
    if (answer.statusCode() != 200) {
      throw new IOException(address + ": " + answer.statusCode() + " " + answer.body());
    }
    return answer;
  }

  private double time(String address) throws Exception {
    long from = System.nanoTime();
    ask(address);
    return (System.nanoTime() - from) / 1e6;
  }

  /** Twenty instructors who read pages and check people in, all at once. */
  private void together(String address, Map<String, String> routes) throws Exception {
    List<String> pages =
        List.of("Today", "clients, found by typing", "calendar, a day", "a client", "log");
    List<Double> reads = Collections.synchronizedList(new ArrayList<>());
    List<Double> writes = Collections.synchronizedList(new ArrayList<>());
    List<String> failed = Collections.synchronizedList(new ArrayList<>());
    Matcher ids = ID.matcher(ask(address + "/clients").body());
    List<String> people = new ArrayList<>();
    while (ids.find()) {
      people.add(ids.group(1));
    }
    List<Thread> instructors = new ArrayList<>();
    for (int instructor = 0; instructor < INSTRUCTORS; instructor++) {
      int number = instructor;
      Thread thread =
          new Thread(
              () -> {
                try {
                  for (int turn = 0; turn < TURNS; turn++) {
                    String page = pages.get((number + turn) % pages.size());
                    reads.add(time(address + routes.get(page)));
                    String person = people.get((number * TURNS + turn) % people.size());
                    long from = System.nanoTime();
                    int status = checkIn(address + "/clients/" + person + "/checkins");
                    writes.add((System.nanoTime() - from) / 1e6);
                    if (status != 201) {
                      failed.add("a check-in: " + status);
                    }
                  }
                } catch (Exception failure) {
                  failed.add(failure.toString());
                }
              });
      instructors.add(thread);
      thread.start();
    }
    for (Thread thread : instructors) {
      thread.join();
    }
    System.out.println("  " + INSTRUCTORS + " instructors at once; failed: " + failed);
    System.out.println("  " + new Sample("a page meanwhile", "ms", array(reads)).line());
    System.out.println("  " + new Sample("a check-in meanwhile", "ms", array(writes)).line());
  }

  private static double[] array(List<Double> values) {
    return values.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private int checkIn(String address) throws Exception {
    return http.send(
            HttpRequest.newBuilder(URI.create(address))
                .header("Content-Type", "application/json")
                .POST(
                    HttpRequest.BodyPublishers.ofString(
                        "{\"pulseBpm\":62,\"posture\":\"seated\",\"source\":\"count\","
                            + "\"settled\":true,\"recounted\":false,\"rhythm\":\"steady\"}"))
                .build(),
            BodyHandlers.ofString())
        .statusCode();
  }

  private void measure(String name, String address) throws Exception {
    double[] took = new double[ROUNDS];
    int done = 0;
    double all = 0;
    for (int round = -WARM_UP; done < ROUNDS && (done < FEWEST || all < ENOUGH_MS); round++) {
      double ms = time(address);
      all += ms;
      if (round >= 0 || all > ENOUGH_MS) {
        took[done++] = ms;
      }
    }
    System.out.println("  " + new Sample(name, "ms", Arrays.copyOf(took, done)).line());
  }
}
