package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The launcher as a person runs it, in a process of its own. */
class LauncherTest {
  private static final Path LAUNCHER = Path.of("..", "korvel").toAbsolutePath().normalize();

  @TempDir Path folder;

  private ProcessBuilder launcher(String... arguments) {
    List<String> command = new ArrayList<>(List.of("/bin/sh", LAUNCHER.toString()));
    command.addAll(List.of(arguments));
    ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
    builder.environment().put("JAVA_TOOL_OPTIONS", "-Djava.io.tmpdir=" + folder);
    return builder;
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    }
  }

  private static String untilReady(Process process) throws IOException {
    BufferedReader lines = process.inputReader();
    StringBuilder all = new StringBuilder();
    for (String line = lines.readLine(); line != null; line = lines.readLine()) {
      all.append(line).append('\n');
      if (line.contains("ready")) {
        return line;
      }
    }
    throw new AssertionError("never ready:\n" + all);
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

  private static void stop(Process process) throws Exception {
    process.destroy();
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void demoStartsWithFreshDataAndLeavesNothingBehind() throws Exception {
    int port = freePort();
    Process demo = launcher("demo", "--port", String.valueOf(port)).start();
    try {
      assertThat(untilReady(demo)).contains("http://127.0.0.1:" + port).contains("demo data");
      assertThat(get(port, "/api/clients")).contains("Ines Okafor-Lund");
      try (var files = Files.list(folder)) {
        assertThat(files.filter(file -> file.toString().contains("korvel-demo-"))).hasSize(1);
      }
    } finally {
      stop(demo);
    }
    try (var files = Files.list(folder)) {
      assertThat(files.filter(file -> file.toString().contains("korvel-demo-"))).isEmpty();
    }
  }

  @Test
  void startKeepsItsDataAndSaysWhere() throws Exception {
    int port = freePort();
    Path data = folder.resolve("studio");
    String[] command = {"start", "--port", String.valueOf(port), "--data", data.toString()};
    Process first = launcher(command).start();
    try {
      assertThat(untilReady(first)).contains(data.toString());
      assertThat(get(port, "/api/clients")).contains("\"total\":0");
      HttpClient.newHttpClient()
          .send(
              HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/clients"))
                  .header("Content-Type", "application/json")
                  .POST(
                      HttpRequest.BodyPublishers.ofString(
                          """
                          {"name":"Kept Person","birthDate":"1980-01-01","sex":"not-given",
                           "activity":"some","heartCondition":false,"heartFailure":false,
                           "betaBlocker":false,"guardianConsent":false}
                          """))
                  .build(),
              BodyHandlers.discarding());
    } finally {
      stop(first);
    }
    Process second = launcher(command).start();
    try {
      untilReady(second);
      assertThat(get(port, "/api/clients")).contains("Kept Person");
    } finally {
      stop(second);
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
        launcher("start", "--port", "" + freePort(), "--data", file.toString()).start();
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
