package app.korvel.server.live;

import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;

/**
 * Somebody who looks at a session or a room: a short queue and a thread of their own, so that one
 * who reads slowly holds nobody; what they are too late for is dropped, the oldest first.
 */
final class LiveViewer {
  private static final Logger LOG = LoggerFactory.getLogger(LiveViewer.class);
  private static final int WAITING = 4;

  private final WebSocketSession channel;
  private final BlockingQueue<String> queue = new ArrayBlockingQueue<>(WAITING);
  private final Thread sender;
  private volatile Optional<UUID> session = Optional.empty();
  private volatile Optional<UUID> room = Optional.empty();

  LiveViewer(WebSocketSession channel) {
    this.channel = channel;
    this.sender = new Thread(this::send, "live-viewer");
    sender.setDaemon(true);
    sender.start();
  }

  Optional<UUID> session() {
    return session;
  }

  Optional<UUID> room() {
    return room;
  }

  void lookAt(UUID id) {
    session = Optional.of(id);
    room = Optional.empty();
  }

  void lookAtRoom(UUID id) {
    room = Optional.of(id);
    session = Optional.empty();
  }

  boolean looksAt(UUID id) {
    return session.filter(id::equals).isPresent();
  }

  void tell(String message) {
    while (!queue.offer(message)) {
      queue.poll();
    }
  }

  private void send() {
    try {
      while (channel.isOpen()) {
        channel.sendMessage(new TextMessage(queue.take()));
      }
    } catch (InterruptedException closed) {
      Thread.currentThread().interrupt();
    } catch (IOException | IllegalStateException gone) {
      LOG.debug("Somebody who looked at a session is gone.");
    }
  }

  void close() {
    sender.interrupt();
    try {
      channel.close(CloseStatus.SERVICE_RESTARTED);
    } catch (IOException gone) {
      LOG.debug("Somebody who looked at a session was gone already.");
    }
  }
}
