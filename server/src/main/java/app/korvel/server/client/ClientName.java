package app.korvel.server.client;

import app.korvel.core.screening.Client;
import java.util.List;
import java.util.UUID;

/** Somebody to pick. */
public record ClientName(UUID id, String name) {

  /** The same of several, in their order. */
  public static List<ClientName> of(List<Client> clients) {
    return clients.stream()
        .map(client -> new ClientName(client.id(), client.details().name()))
        .toList();
  }
}
