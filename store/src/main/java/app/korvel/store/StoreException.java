package app.korvel.store;

import java.sql.SQLException;
import java.util.Arrays;
import java.util.Set;
import org.sqlite.SQLiteErrorCode;

/** The database did not do what was asked; nothing was half written. */
public final class StoreException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** What kept it from doing so, where a person can do something about it. */
  public enum Reason {
    /** There is no room left on the disk. */
    DISK_FULL(SQLiteErrorCode.SQLITE_FULL),
    /** The file is damaged. */
    DAMAGED(SQLiteErrorCode.SQLITE_CORRUPT, SQLiteErrorCode.SQLITE_NOTADB),
    OTHER;

    private final Set<Integer> codes;

    Reason(SQLiteErrorCode... codes) {
      this.codes = Set.copyOf(Arrays.stream(codes).map(code -> code.code).toList());
    }

    /** Extended result codes hold the primary one in their lowest byte. */
    private static Reason of(SQLException failure) {
      return Arrays.stream(values())
          .filter(reason -> reason.codes.contains(failure.getErrorCode() & 0xFF))
          .findFirst()
          .orElse(OTHER);
    }
  }

  private final Reason reason;

  StoreException(String message, SQLException cause) {
    super(message + ": " + cause.getMessage(), cause);
    this.reason = Reason.of(cause);
  }

  /** What kept it from doing so. */
  public Reason reason() {
    return reason;
  }
}
