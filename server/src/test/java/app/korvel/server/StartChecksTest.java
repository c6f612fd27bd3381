package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StartChecksTest {
  @TempDir Path folder;

  @ParameterizedTest
  @ValueSource(strings = {"x", "-1", "65536", "8080 ", "99999999"})
  void whatIsNoPortIsSaidInOneLine(String option) {
    assertThatThrownBy(() -> StartChecks.port(option))
        .hasMessageContaining("is not a port")
        .hasMessageNotContaining("\n");
  }

  @Test
  void aPortInUseIsSaidWithWhatToDo() throws Exception {
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      String port = String.valueOf(taken.getLocalPort());
      assertThatThrownBy(() -> StartChecks.port(port))
          .hasMessageContaining("port " + port + " is in use")
          .hasMessageContaining("--port");
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "  "})
  void anEmptyDataFolderIsNone(String option) {
    assertThatThrownBy(() -> StartChecks.dataFolder(option))
        .hasMessageContaining("wants a folder")
        .hasMessageNotContaining("\n");
  }

  /** The second server says which process has the folder; once that is gone it is free. */
  @Test
  void oneServerHasAFolder() throws Exception {
    try (FolderLock lock = StartChecks.dataFolder(folder.toString()).orElseThrow()) {
      assertThat(lock).isNotNull();
      assertThatThrownBy(() -> StartChecks.dataFolder(folder.toString()))
          .hasMessageContaining("is in use by process " + ProcessHandle.current().pid())
          .hasMessageContaining("--data")
          .hasMessageNotContaining("\n");
    }
    StartChecks.dataFolder(folder.toString()).orElseThrow().close();
    assertThat(StartChecks.dataFolder(null)).isEmpty();
  }

  @Test
  void aFileThatCannotBeUsedIsSaidInOneLineAndLeftAlone() throws Exception {
    Path file = folder.resolve("korvel.db");
    Files.writeString(file, "not a database, whatever its name says");
    assertThatThrownBy(() -> StartChecks.dataFolder(folder.toString()))
        .isInstanceOf(StartChecks.RefusedStart.class)
        .hasMessageStartingWith("Korvel: ")
        .hasMessageContaining("not a data file of Korvel")
        .hasMessageNotContaining("\n");
    assertThat(Files.readString(file)).startsWith("not a database");
  }

  @Test
  void aDataFolderIsMadeAndOneThatCannotBeWrittenIsRefused() throws Exception {
    assertThatCode(() -> StartChecks.dataFolder(folder.resolve("a/b").toString()))
        .doesNotThrowAnyException();
    Path file = Files.writeString(folder.resolve("file"), "");
    assertThatThrownBy(() -> StartChecks.dataFolder(file.toString()))
        .hasMessageContaining("cannot be written")
        .hasMessageContaining("--data");
  }
}
