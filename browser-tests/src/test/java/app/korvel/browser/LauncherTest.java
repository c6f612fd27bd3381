package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.bench.KorvelProcess;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The launcher as a person runs it, in a process of its own. */
class LauncherTest {
  @TempDir Path folder;

  private ProcessBuilder launcher(String... words) {
    ProcessBuilder builder = KorvelProcess.launcher(words);
    builder.environment().put("JAVA_TOOL_OPTIONS", "-Djava.io.tmpdir=" + folder);
    return builder;
  }

  private static String said(Process process) throws Exception {
    String text = new String(process.getInputStream().readAllBytes());
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    return text.replaceAll("Picked up JAVA_TOOL_OPTIONS.*\n", "");
  }

  private static String get(int port, String path) throws Exception {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path)).build(),
            BodyHandlers.ofString())
        .body();
  }

  private List<Path> demoFolders() throws IOException {
    try (var files = Files.list(folder)) {
      return files.filter(file -> file.toString().contains("korvel-demo-")).toList();
    }
  }

  @Test
  void demoStartsWithFreshDataAndLeavesNothingBehind() throws Exception {
    int port = KorvelProcess.freePort();
    try (KorvelProcess demo = KorvelProcess.ready(launcher("demo", "--port", "" + port), port)) {
      assertThat(demo.readyLine()).contains("http://127.0.0.1:" + port).contains("demo data");
      assertThat(get(port, "/api/clients")).contains("Ines Okafor-Lund");
      assertThat(demoFolders()).hasSize(1);
    }
    assertThat(demoFolders()).isEmpty();
  }

  @Test
  void startIsEmptyAtFirstAndSaysWhereItsDataIs() throws Exception {
    Path data = folder.resolve("studio");
    try (KorvelProcess server = KorvelProcess.start(data)) {
      assertThat(server.readyLine()).contains(data.toString());
      assertThat(get(server.port(), "/api/clients")).contains("\"total\":0");
      assertThat(data.resolve("korvel.db")).exists();
    }
  }

  @Test
  void aPortInUseIsOneLineThatSaysWhatToDo() throws Exception {
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      Process refused = launcher("demo", "--port", "" + taken.getLocalPort()).start();
      assertThat(said(refused).lines()).singleElement().asString().contains("in use", "--port N");
      assertThat(refused.exitValue()).isEqualTo(2);
    }
  }

  @Test
  void aDataFolderThatCannotBeWrittenIsOneLine() throws Exception {
    Path file = Files.writeString(folder.resolve("file"), "");
    Process refused =
        launcher("start", "--port", "" + KorvelProcess.freePort(), "--data", file.toString())
            .start();
    assertThat(said(refused).lines()).singleElement().asString().contains("cannot be written");
    assertThat(refused.exitValue()).isEqualTo(2);
  }

  @Test
  void whatIsMissingOnTheMachineIsOneLine() throws Exception {
    Path bin = Files.createDirectory(folder.resolve("bin"));
    for (String tool : new String[] {"dirname", "sed", "find", "head", "cat", "id"}) {
      for (String place : new String[] {"/bin/", "/usr/bin/"}) {
        if (Files.exists(Path.of(place + tool)) && !Files.exists(bin.resolve(tool))) {
          Files.createSymbolicLink(bin.resolve(tool), Path.of(place + tool));
        }
      }
    }
    ProcessBuilder bare = launcher("demo");
    bare.environment().put("PATH", bin.toString());
    Process refused = bare.start();
    assertThat(said(refused).lines()).singleElement().asString().contains("JDK", "Install");
    assertThat(refused.exitValue()).isEqualTo(2);

    for (String tool : new String[] {"java", "javac"}) {
      Files.createSymbolicLink(
          bin.resolve(tool), Path.of(System.getProperty("java.home"), "bin", tool));
    }
    ProcessBuilder noMaven = launcher("test");
    noMaven.environment().put("PATH", bin.toString());
    assertThat(said(noMaven.start()).lines()).singleElement().asString().contains("Maven");
  }

  @Test
  void unknownWordsShowHowItIsUsed() throws Exception {
    assertThat(said(launcher("fly").start())).contains("./korvel demo", "./korvel test");
    assertThat(said(launcher("demo", "--fly").start())).contains("unknown option --fly");
  }
}
