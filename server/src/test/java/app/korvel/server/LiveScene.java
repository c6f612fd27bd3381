package app.korvel.server;

import static app.korvel.server.TestClients.PARTS;
import static app.korvel.server.TestClients.added;
import static app.korvel.server.TestClients.counted;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.time.Instant;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Clients who may train today, their sessions, and what happens in them, over HTTP. */
record LiveScene(TestServer server) {
  /** 64 at rest, an estimated maximum of 176, 40 to 50 % of reserve: 109 to 120. */
  String client(String name) {
    String client = added(server, name, 46, "some", "");
    counted(server, client, 64);
    server.post(client + "/prescriptions", PARTS.formatted(40, 50));
    return client;
  }

  String ready(String name) {
    String client = client(name);
    checkedIn(client, 64);
    return client;
  }

  void checkedIn(String client, int bpm) {
    Answer kept =
        server.post(
            client + "/checkins",
            """
            {"pulseBpm":%d,"recounted":true}
            """
                .formatted(bpm));
    assertThat(kept.status()).as(kept.json().toString()).isEqualTo(201);
  }

  Answer opened(String client) {
    return server.post(
        "/api/live",
        "{\"clientId\":\"%s\",\"source\":\"strap\"}"
            .formatted(client.substring(client.lastIndexOf('/') + 1)));
  }

  String session(String client) {
    Answer opened = opened(client);
    assertThat(opened.status()).as(opened.json().toString()).isEqualTo(201);
    return "/api/live/" + opened.at("/sheet/id");
  }

  Answer happens(String session, Instant at, String kind, String more) {
    return event(session, UUID.randomUUID(), at, kind, more);
  }

  Answer event(String session, UUID id, Instant at, String kind, String more) {
    return server.put(
        session + "/events/" + id, "{\"at\":\"%s\",\"kind\":\"%s\"%s}".formatted(at, kind, more));
  }

  Instant begun(String session) {
    Instant at = SetClock.now();
    assertThat(happens(session, at, "begun", "").status()).isEqualTo(200);
    return at;
  }

  /** A sample each second from a moment on. */
  String samples(Instant from, int seconds, int bpm) {
    String at =
        IntStream.range(0, seconds)
            .mapToObj(n -> String.valueOf(from.plusSeconds(n).toEpochMilli()))
            .collect(Collectors.joining(","));
    String rates =
        IntStream.range(0, seconds)
            .mapToObj(n -> String.valueOf(bpm))
            .collect(Collectors.joining(","));
    return "{\"at\":[%s],\"bpm\":[%s]}".formatted(at, rates);
  }

  Answer send(String session, long sequence, String body) {
    return server.put(session + "/samples/" + sequence, body);
  }

  /** What is told to whoever looks at a session or a room, message by message. */
  BlockingQueue<String> looking(String what) throws Exception {
    BlockingQueue<String> heard = new LinkedBlockingQueue<>();
    HttpClient.newHttpClient()
        .newWebSocketBuilder()
        .buildAsync(
            URI.create(server.address().replace("http", "ws") + "/api/live/channel"),
            new Listener(heard, new StringBuilder()))
        .get(10, TimeUnit.SECONDS)
        .sendText(what, true)
        .get(10, TimeUnit.SECONDS);
    return heard;
  }

  private record Listener(BlockingQueue<String> heard, StringBuilder part)
      implements WebSocket.Listener {
    @Override
    public CompletionStage<?> onText(WebSocket socket, CharSequence text, boolean last) {
      part.append(text);
      if (last) {
        heard.add(part.toString());
        part.setLength(0);
      }
      socket.request(1);
      return null;
    }
  }
}
