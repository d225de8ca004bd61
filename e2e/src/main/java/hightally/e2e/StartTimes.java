package hightally.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * How long a start of empty data takes against an empty web application with a database, each with
 * its archive of classes and the same flags, in turn; and whether long work goes on at full speed
 * afterwards, against the quick compiler alone.
 */
final class StartTimes {
  private static final double LIMIT = 2.5;
  private static final double WORK_LIMIT = 1;
  private static final double GROWN_LIMIT = 2;
  private static final String LIBRARIES = "lib";

  /** What an empty web application with a database has none of. */
  private static final List<String> NOT_EMPTY =
      List.of(
          "core-0",
          "web-0",
          "icu-0",
          "springdoc",
          "swagger",
          "security",
          "websocket",
          "flyway",
          "caffeine",
          "commons-csv",
          "dataformat-yaml",
          "commons-lang3",
          "messaging");

  private final Path folder;
  private final int times;

  StartTimes(Path folder, int times) {
    this.folder = folder;
    this.times = times;
  }

  /** Measures and prints; answers whether all is within the limits. */
  boolean measure(Path grown) throws IOException, InterruptedException {
    List<String> empty = emptyApplication();
    List<Double> ours = new ArrayList<>();
    List<Double> bare = new ArrayList<>();
    List<Double> full = new ArrayList<>();
    for (int i = 0; i <= times; i++) {
      double one = seconds(started(folder.resolve("data-" + i)));
      double other = seconds(empty);
      double years = seconds(started(grown));
      if (i > 0) {
        ours.add(one);
        bare.add(other);
        full.add(years);
      }
    }
    boolean kept =
        Limits.told("Start of empty data against an empty application", ours, bare, LIMIT)
            & Limits.told("Start of a grown hangar against empty data", full, ours, GROWN_LIMIT);
    return kept & work();
  }

  /** Every part of it once: says that it runs, and nothing of how fast. */
  void once(RunningApp running) throws IOException, InterruptedException {
    List<Double> bare = List.of(seconds(emptyApplication()));
    List<Double> ours = List.of(seconds(started(folder.resolve("data"))));
    Limits.told("Start of empty data against an empty application", ours, bare, LIMIT);
    Limits.told("Long work", List.of(searched(running)), ours, WORK_LIMIT);
  }

  private static List<String> started(Path data) {
    List<String> command = RunningApp.packaged();
    command.addAll(List.of("--high-tally.demo=false", "--high-tally.data=" + data));
    command.addAll(List.of("--server.port=0", "--high-tally.exit-when-ready=true"));
    return command;
  }

  private static double seconds(List<String> command) throws IOException, InterruptedException {
    long begin = System.nanoTime();
    run(command);
    return (System.nanoTime() - begin) / 1e9;
  }

  private static void run(List<String> command) throws IOException, InterruptedException {
    Process process =
        new ProcessBuilder(command)
            .directory(RunningApp.unpacked().toFile())
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes());
    if (process.waitFor() != 0) {
      throw new IllegalStateException(String.join(" ", command) + "\n" + said);
    }
  }

  /** Written, prepared as ours is, and started once for its archive of classes. */
  private List<String> emptyApplication() throws IOException, InterruptedException {
    Path classes = Files.createDirectories(folder.resolve("classes"));
    Path made = Files.createDirectories(folder.resolve("made"));
    List<String> sources = new ArrayList<>();
    for (String name : List.of("EmptyApp", "Thing", "Things", "ThingController")) {
      Path source = folder.resolve(name + ".java");
      try (InputStream in = StartTimes.class.getResourceAsStream("/empty/" + name + ".java.txt")) {
        Files.copy(in, source);
      }
      sources.add(source.toString());
    }
    String libraries = libraries();
    run(command("javac -parameters -cp", libraries, "-d", classes.toString(), sources));
    run(
        command(
            "java -cp",
            classes + File.pathSeparator + libraries,
            "org.springframework.boot.SpringApplicationAotProcessor empty.EmptyApp",
            made + "/s " + made + "/r " + made + "/c a b",
            List.of()));
    Files.createDirectories(made.resolve("c"));
    List<String> prepared;
    try (Stream<Path> files = Files.walk(made.resolve("s"))) {
      prepared = files.filter(Files::isRegularFile).map(Path::toString).toList();
    }
    String both = classes + File.pathSeparator + made + "/c" + File.pathSeparator + libraries;
    run(command("javac -nowarn -parameters -cp", both, "-d", made + "/c", prepared));
    Path jar = folder.resolve("empty.jar");
    run(
        command(
            "jar cf", jar.toString(), "-C " + classes + " .", "-C " + made + "/r .", List.of()));
    run(command("jar uf", jar.toString(), "-C", made + "/c", List.of(".")));
    Path archive = folder.resolve("empty.jsa");
    List<String> start = new ArrayList<>(RunningApp.FLAGS);
    start.addAll(List.of("-cp", jar + File.pathSeparator + libraries, "empty.EmptyApp"));
    start.addAll(
        List.of(
            "--server.port=0",
            "--server.address=127.0.0.1",
            "--spring.datasource.url=jdbc:h2:file:" + folder.resolve("things"),
            "--spring.jpa.hibernate.ddl-auto=update",
            "--spring.jpa.open-in-view=false",
            "--spring.main.banner-mode=off",
            "--logging.level.root=warn"));
    run(java("-XX:ArchiveClassesAtExit=" + archive, start));
    return java("-XX:SharedArchiveFile=" + archive, start);
  }

  private static List<String> java(String flag, List<String> rest) {
    List<String> command = new ArrayList<>(List.of("java", flag));
    command.addAll(rest);
    return command;
  }

  private static List<String> command(
      String first, String path, String then, String last, List<String> rest) {
    List<String> command = new ArrayList<>(Arrays.asList(first.split(" ")));
    command.add(path);
    command.addAll(Arrays.asList(then.split(" ")));
    command.addAll(Arrays.asList(last.split(" ")));
    command.addAll(rest);
    return command;
  }

  private static String libraries() throws IOException {
    try (Stream<Path> files = Files.list(RunningApp.unpacked().resolve(LIBRARIES))) {
      return files
          .map(Path::toString)
          .filter(one -> NOT_EMPTY.stream().noneMatch(one::contains))
          .sorted()
          .collect(Collectors.joining(File.pathSeparator));
    }
  }

  /** The same searches for hazards in the program as it is started and with the quick compiler. */
  private boolean work() throws IOException, InterruptedException {
    double full;
    double quick;
    try (RunningApp app = RunningApp.startAsPackaged(folder.resolve("full"))) {
      full = searched(app);
    }
    try (RunningApp app = RunningApp.start(folder.resolve("quick"))) {
      quick = searched(app);
    }
    System.out.printf(
        Locale.ROOT,
        "Long work in the started program against the quick compiler alone: %.2f s against %.2f s;"
            + " %.2f times as long (limit %.2f)%n",
        full,
        quick,
        full / quick,
        WORK_LIMIT);
    return full / quick <= WORK_LIMIT * Limits.BEYOND;
  }

  /** Searches one after the other, each of another program; the later ones count. */
  private double searched(RunningApp app) throws IOException, InterruptedException {
    ObjectMapper json = new ObjectMapper();
    JsonNode setup;
    try (InputStream in = StartTimes.class.getResourceAsStream("/largest.json")) {
      setup = json.readTree(in);
    }
    List<Double> took = new ArrayList<>();
    for (int i = 0; i < 4 * times; i++) {
      ((ObjectNode) setup.at("/surfaces/0")).put("chordMm", 40 + i / 10.0);
      ObjectNode asked = json.createObjectNode();
      asked.set("setup", setup);
      URI searches = URI.create(app.address() + "api/program/hazards/searches");
      long begin = System.nanoTime();
      JsonNode search =
          answered(
              HttpRequest.newBuilder(searches)
                  .header("Content-Type", "application/json")
                  .POST(HttpRequest.BodyPublishers.ofString(asked.toString())));
      while (search.get("end").isNull()) {
        Thread.sleep(2);
        URI one = URI.create(searches + "/" + search.get("id").asLong());
        search = answered(HttpRequest.newBuilder(one));
      }
      if (i >= 2 * times) {
        took.add((System.nanoTime() - begin) / 1e9);
      }
    }
    return Limits.median(took);
  }

  private static JsonNode answered(HttpRequest.Builder request)
      throws IOException, InterruptedException {
    HttpResponse<String> answer =
        HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() / 100 != 2) {
      throw new IllegalStateException(answer.body());
    }
    return new ObjectMapper().readTree(answer.body());
  }
}
