package app.korvel.server.live;

import java.io.IOException;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.adapter.standard.StandardWebSocketSession;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.ServletWebSocketHandlerRegistry;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/**
 * The channel on which a page is told what happens in a session, a room or a test: it sends the id
 * of what it looks at. What a page has to say itself goes by plain requests, which are answered
 * when it is on disk.
 */
final class LiveChannel extends TextWebSocketHandler {
  /** A reader who is stuck holds the thread of their own no longer than this. */
  private static final long STUCK_MS = 3_000L;

  /** Before the id of a room, and of a test. */
  private static final String ROOM = "room:";

  private static final String TEST = "test:";

  private final LiveHub hub;
  private final Map<String, LiveViewer> viewers = new ConcurrentHashMap<>();

  LiveChannel(LiveHub hub) {
    this.hub = hub;
  }

  @Override
  public void afterConnectionEstablished(WebSocketSession channel) {
    if (channel instanceof StandardWebSocketSession standard) {
      standard
          .getNativeSession()
          .getUserProperties()
          .put("org.apache.tomcat.websocket.BLOCKING_SEND_TIMEOUT", STUCK_MS);
    }
    viewers.put(channel.getId(), new LiveViewer(channel));
  }

  @Override
  protected void handleTextMessage(WebSocketSession channel, TextMessage message)
      throws IOException {
    try {
      LiveViewer viewer = viewers.get(channel.getId());
      String wanted = message.getPayload();
      if (wanted.startsWith(ROOM)) {
        viewer.lookAtRoom(UUID.fromString(wanted.substring(ROOM.length())));
      } else if (wanted.startsWith(TEST)) {
        viewer.lookAtTest(UUID.fromString(wanted.substring(TEST.length())));
      } else {
        viewer.lookAt(UUID.fromString(wanted));
      }
      hub.watch(viewer);
    } catch (IllegalArgumentException noId) {
      channel.close(
          CloseStatus.BAD_DATA.withReason(
              "accepted: the id of a session; or room: or test: and the id of one"));
    }
  }

  @Override
  public void afterConnectionClosed(WebSocketSession channel, CloseStatus status) {
    LiveViewer viewer = viewers.remove(channel.getId());
    if (viewer != null) {
      hub.leave(viewer);
    }
  }

  /** Where it is found. Only pages of this very address are let in. */
  @Configuration(proxyBeanMethods = false)
  @EnableWebSocket
  static class Settings {
    @Bean
    WebSocketConfigurer liveChannel(LiveHub hub) {
      return registry -> {
        // Before the sessions, which are found by their ids at the same place.
        ((ServletWebSocketHandlerRegistry) registry).setOrder(-1);
        registry.addHandler(new LiveChannel(hub), "/api/live/channel");
      };
    }
  }
}
