package app.korvel.server;

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
