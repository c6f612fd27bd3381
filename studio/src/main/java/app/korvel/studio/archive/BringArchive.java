package app.korvel.studio.archive;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.exchange.archive.ArchiveReader;
import app.korvel.exchange.archive.Manifest;
import app.korvel.exchange.archive.Manifest.Scope;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.StoreException;
import app.korvel.store.WholeTables;
import app.korvel.store.WholeTables.Table;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Takes an archive in: a client who is not here, or a whole studio into an empty one. */
public record BringArchive(Studio studio) {
  private static final String ACCEPTED = "an archive that this version of Korvel wrote";

  /**
   * What came in.
   *
   * @param client whose it was, for one of a client
   * @param rows of all tables
   */
  public record Came(Scope scope, Optional<UUID> client, long rows) {}

  /**
   * Takes it in, whole or not at all.
   *
   * @throws InvalidValueException where it is no archive, of another version, or what it is of is
   *     here already
   * @throws IOException where it cannot be got at
   */
  public Came by(Actor who, InputStream in) throws IOException {
    return studio.write(
        who,
        () -> {
          WholeTables tables = new WholeTables(studio.store().database());
          tables.inAnyOrder();
          Taking taking = new Taking(tables);
          ArchiveReader.read(in, taking);
          if (!tables.dangling().isEmpty()) {
            throw off("names records that are not in it: " + String.join(", ", tables.dangling()));
          }
          check(taking.clients);
          return new Came(
              taking.manifest.scope(), taking.manifest.client().map(UUID::fromString), taking.rows);
        });
  }

  /** Whether what came in is what Korvel reads: a table takes more than its records may hold. */
  private void check(List<UUID> clients) {
    for (UUID client : clients) {
      try {
        studio.head(client).due();
        studio.store().logs().of(client);
        studio.store().recordings().of(client);
        studio.store().live().of(client, Integer.MAX_VALUE).stream()
            .map(Opened::id)
            .forEach(studio.store().live()::events);
        studio.store().assessments().of(client, Integer.MAX_VALUE).stream()
            .map(OpenedTest::id)
            .forEach(studio.store().assessments()::events);
      } catch (StoreException failed) {
        throw failed;
      } catch (RuntimeException unreadable) {
        throw off("holds records of client " + client + " that cannot be read");
      }
    }
  }

  private static InvalidValueException off(String what) {
    return InvalidValueException.of("file", what, ACCEPTED);
  }

  private final class Taking implements ArchiveReader.Sink {
    private final WholeTables tables;
    private final Map<String, Table> known;
    private final List<UUID> clients = new ArrayList<>();
    private Manifest manifest;
    private long rows;

    Taking(WholeTables tables) {
      this.tables = tables;
      this.known = tables.tables();
    }

    @Override
    public void begin(Manifest told) {
      manifest = told;
      if (told.schema() != tables.version()) {
        throw off(
            "is of version "
                + told.schema()
                + " of the records, and this is version "
                + tables.version());
      }
      if (told.scope() == Scope.STUDIO) {
        boolean empty =
            studio.store().clients().count(false) == 0 && studio.store().clients().count(true) == 0;
        if (!empty) {
          throw InvalidValueException.of(
              "file", "is a whole studio, and there are clients here", "an empty studio");
        }
        tables.replaceSettings();
      } else if (client(told).flatMap(studio.store().clients()::get).isPresent()) {
        throw InvalidValueException.of(
            "file", "is of a client who is here already", "a client who is not; erase them first");
      }
    }

    private Optional<UUID> client(Manifest told) {
      try {
        return told.client().map(UUID::fromString);
      } catch (IllegalArgumentException none) {
        throw off("names no client that could be one");
      }
    }

    @Override
    public void row(String name, List<String> columns, List<String> values) {
      Table table = known.get(name);
      if (table == null || !table.columns().equals(columns)) {
        throw off("has a table “" + name + "” that is not known, or has other columns");
      }
      try {
        tables.add(table, values);
      } catch (StoreException failed) {
        if (failed.reason() != StoreException.Reason.OTHER) {
          throw failed;
        }
        throw off("table " + name + ", row " + (rows + 1) + ": cannot be a record here");
      } catch (IllegalArgumentException refused) {
        throw off("table " + name + ", row " + (rows + 1) + ": cannot be a record here");
      }
      if (name.equals("client")) {
        clients.add(UUID.fromString(values.get(columns.indexOf("id"))));
      }
      rows++;
    }
  }
}
