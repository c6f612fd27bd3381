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
 * Somebody who looks at a session, a room or a test: a short queue and a thread of their own, so
 * that one who reads slowly holds nobody; what they are too late for is dropped, the oldest first.
 */
final class LiveViewer {
  private static final Logger LOG = LoggerFactory.getLogger(LiveViewer.class);
  private static final int WAITING = 4;

  private final WebSocketSession channel;
  private final BlockingQueue<String> queue = new ArrayBlockingQueue<>(WAITING);
  private final Thread sender;
  private volatile Optional<UUID> session = Optional.empty();
  private volatile Optional<UUID> room = Optional.empty();
  private volatile Optional<UUID> test = Optional.empty();

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

  Optional<UUID> test() {
    return test;
  }

  void lookAt(UUID id) {
    nothing();
    session = Optional.of(id);
  }

  void lookAtRoom(UUID id) {
    nothing();
    room = Optional.of(id);
  }

  void lookAtTest(UUID id) {
    nothing();
    test = Optional.of(id);
  }

  private void nothing() {
    session = Optional.empty();
    room = Optional.empty();
    test = Optional.empty();
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
