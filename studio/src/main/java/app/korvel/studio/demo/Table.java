package app.korvel.studio.demo;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Rows of text, a line each, their cells between bars; a cell may be empty. */
record Table(List<Row> rows) {

  /** A row of it. */
  record Row(List<String> cells) {
    String text(int cell) {
      return cells.get(cell);
    }

    int number(int cell) {
      return Integer.parseInt(text(cell));
    }

    <E extends Enum<E>> E word(int cell, Class<E> type) {
      return Enum.valueOf(type, text(cell));
    }

    /** The same where the cell is not empty. */
    <E extends Enum<E>> Optional<E> wordIfAny(int cell, Class<E> type) {
      return text(cell).isEmpty() ? Optional.empty() : Optional.of(word(cell, type));
    }
  }

  static Table of(String block) {
    return new Table(
        block
            .lines()
            .map(line -> new Row(Arrays.stream(line.split("\\|", -1)).map(String::strip).toList()))
            .toList());
  }

  /** The rows whose first cell is that name. */
  List<Row> of(Named named) {
    return rows.stream().filter(row -> row.text(0).equals(named.name())).toList();
  }

  /** The first of them, if there is one. */
  Optional<Row> first(Named named) {
    return of(named).stream().findFirst();
  }

  /** Somebody with a name. */
  interface Named {
    String name();
  }
}
