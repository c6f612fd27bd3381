package app.korvel.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Somebody on a server who may train today, and a session that is opened for them. */
public final class LivePerson {
  private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

  private final HttpClient http = HttpClient.newHttpClient();
  private final String address;

  /** On the server at that address. */
  public LivePerson(String address) {
    this.address = address;
  }

  /** Asks, and gives the answer's text. */
  public String send(String method, String path, String body)
      throws IOException, InterruptedException {
    return http.send(
            HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .method(method, BodyPublishers.ofString(body))
                .build(),
            BodyHandlers.ofString())
        .body();
  }

  private static String id(String json) {
    Matcher id = ID.matcher(json);
    if (!id.find()) {
      throw new IllegalStateException("no id in " + json);
    }
    return id.group(1);
  }

  /** Adds and screens them, counts, prescribes, checks them in, and opens a session. */
  public String session() throws IOException, InterruptedException {
    return id(
        send(
            "POST",
            "/api/live",
            "{\"clientId\":\"" + ready("On The Clock") + "\",\"source\":\"strap\"}"));
  }

  /** Makes them ready, and opens a test of two minutes on a chair. */
  public String twoMinutes() throws IOException, InterruptedException {
    return id(
        send(
            "POST",
            "/api/clients/" + ready("On A Chair") + "/tests",
            "{\"kind\":\"two-minute\",\"source\":\"strap\",\"activity\":\"sit-to-stand\","
                + "\"present\":true}"));
  }

  /** Adds and screens them, counts, prescribes and checks them in; their id. */
  String ready(String name) throws IOException, InterruptedException {
    String person =
        id(
            send(
                "POST",
                "/api/clients",
                "{\"name\":\"" + name + "\",\"birthDate\":\"1985-01-01\",\"sex\":\"not-given\"}"));
    String client = "/api/clients/" + person;
    send("PUT", client + "/screening", "{\"version\":0,\"answers\":{\"activity\":\"some\"}}");
    send(
        "POST",
        client + "/readings",
        "{\"source\":\"count\",\"beats\":64,\"windowSeconds\":60,\"posture\":\"seated\","
            + "\"minutesRested\":5,\"disturbances\":[]}");
    send(
        "POST",
        client + "/prescriptions",
        "{\"goal\":\"general-fitness\",\"approach\":\"guideline\",\"lowPercent\":40,"
            + "\"highPercent\":50,\"minutes\":30,\"days\":3,\"type\":\"steady\",\"mode\":\"run\"}");
    send("POST", client + "/checkins", "{\"pulseBpm\":64,\"recounted\":true}");
    return person;
  }
}
