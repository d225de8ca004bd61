package hightally.e2e;

import static java.nio.file.StandardOpenOption.CREATE;
import static java.nio.file.StandardOpenOption.WRITE;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application in a process of its own, started as the script starts it. */
public final class RunningApp implements AutoCloseable {
  private static final String READY = "High Tally is ready at ";
  private static final String PORT = "--server.port=";

  /** The generations of the heap; the metaspace is told in lines of another form. */
  private static final Pattern USED = Pattern.compile("generation +total \\d+K, used (\\d+)K");

  private static final String LAN = "--high-tally.lan=true";
  private static final Path JAR = root().resolve("app/target/high-tally-boot.jar");
  private static final Path UNPACKED = root().resolve("e2e/target/run");

  /** Those of the packaged start. */
  static final List<String> FLAGS =
      List.of("-XX:+UseSerialGC", "-Dspring.aot.enabled=true", "-Xlog:disable");

  private static final Path BOOT = UNPACKED.resolve("high-tally-boot.jar");
  private static final Path LOCK = root().resolve("e2e/target/run.lock");

  /** What the first start of all has written into its empty folder: the demo data. */
  private static final Path FILLED = UNPACKED.resolve("filled");

  /** What each of those that run here has said so far. */
  private static final Map<Long, StringBuffer> SAID = new ConcurrentHashMap<>();

  /** The process that starts one after the other, once there is one. */
  private static Output host;

  private final Process process;
  private final String address;

  private RunningApp(Process process, String address) {
    this.process = process;
    this.address = address;
  }

  /** Keeps what applications started here have said, one file each, in a folder. */
  static void keep(Path folder) throws IOException {
    for (Map.Entry<Long, StringBuffer> one : SAID.entrySet()) {
      Files.writeString(folder.resolve("application-" + one.getKey() + ".log"), one.getValue());
    }
  }

  /** The folder the project stands in, from whichever of its folders this was started. */
  static Path root() {
    Path here = Path.of("").toAbsolutePath();
    return Files.exists(here.resolve("high-tally")) ? here : here.getParent();
  }

  /** Whether an application started here with a process of its own is still running. */
  static boolean anyLeft() {
    return ProcessHandle.current()
        .descendants()
        .filter(one -> one.isAlive() && (host == null || one.pid() != host.process.pid()))
        .anyMatch(one -> one.info().commandLine().orElse("").contains(UNPACKED.toString()));
  }

  /** Starts on a free port; a data folder that is new gets the demo data. */
  public static RunningApp start(Path data) {
    fill(data);
    return launch(shared(), demo(data));
  }

  /** The same with the flags of the packaged start. */
  static RunningApp startAsPackaged(Path data, String... flags) {
    fill(data);
    List<String> command = packaged();
    command.addAll(1, List.of(flags));
    command.addAll(demo(data));
    command.add(PORT + 0);
    return new Output(begun(command)).awaitRunning();
  }

  /** As the packaged start begins: its compilers are both there. */
  static List<String> packaged() {
    unpack();
    List<String> command = new ArrayList<>(List.of("java"));
    command.addAll(FLAGS);
    command.addAll(shared());
    command.addAll(List.of("-jar", BOOT.toString()));
    return command;
  }

  static Path unpacked() {
    unpack();
    return UNPACKED;
  }

  /** Bytes of the heap in use, once what is not used any more is gone. */
  long heapInUse() {
    String pid = Long.toString(process.pid());
    printed("jcmd", pid, "GC.run");
    Matcher used = USED.matcher(printed("jcmd", pid, "GC.heap_info"));
    long kilobytes = 0;
    while (used.find()) {
      kilobytes += Long.parseLong(used.group(1));
    }
    return kilobytes * 1024;
  }

  private static String printed(String... command) {
    try {
      Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
      String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      process.waitFor();
      return said;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * Starts on data of its own, the demo data, in the one process of these tests: whichever was
   * started so before is ended.
   */
  static RunningApp next(Path data) {
    unpack();
    copyTree(FILLED, data);
    return inHost(data, List.of(PORT + 0));
  }

  /** The same on a port of its own, for devices on the local network as well. */
  static RunningApp nextForDevices(Path data, int port) {
    fill(data);
    return inHost(data, List.of(LAN, PORT + port));
  }

  private static synchronized RunningApp inHost(Path data, List<String> with) {
    if (host == null) {
      List<String> command = java(shared());
      String classes = root().resolve("e2e/target/classes").toString();
      command.addAll(List.of("-cp", BOOT + ":" + classes, Host.class.getName()));
      host = new Output(begun(command));
    }
    List<String> arguments = new ArrayList<>(demo(data));
    arguments.addAll(with);
    host.tell(String.join("\t", arguments));
    return host.awaitRunning();
  }

  private static List<String> demo(Path data) {
    return List.of("--high-tally.demo=true", "--high-tally.data=" + data);
  }

  /**
   * Starts on data it cannot make larger than a size: the operating system refuses the writing as
   * it does on a full disk.
   */
  static RunningApp startWithRoomFor(long kilobytes, Path data) {
    unpack();
    String limited = "ulimit -f " + kilobytes + "; exec \"$@\"";
    return launch(List.of("bash", "-c", limited, "bash"), shared(), demo(data));
  }

  /** Tries to start without the right to write where the folder does not give it. */
  static Ended startWithoutRights(Path data) {
    return startAndEnd(
        List.of("setpriv", "--bounding-set=-dac_override,-dac_read_search"),
        demo(data).toArray(String[]::new));
  }

  /** Starts on a port of its own, for devices on the local network as well. */
  public static RunningApp startForDevices(Path data, int port) {
    fill(data);
    List<String> arguments = new ArrayList<>(demo(data));
    arguments.addAll(List.of(LAN, PORT + port));
    return launch(shared(), arguments);
  }

  /** A folder that is new gets the demo data. */
  private static void fill(Path data) {
    unpack();
    if (!Files.exists(data)) {
      copyTree(FILLED, data);
    }
  }

  /** Starts on a free port with an empty hangar. */
  public static RunningApp startEmpty(Path data) {
    unpack();
    return launch(shared(), List.of("--high-tally.demo=false", "--high-tally.data=" + data));
  }

  private static List<String> shared() {
    return List.of("-XX:SharedArchiveFile=" + UNPACKED.resolve("classes.jsa"));
  }

  /** Tries to start where it cannot: what it prints, and the code it ends with. */
  static Ended startAndEnd(String... arguments) {
    return startAndEnd(List.of(), arguments);
  }

  private static Ended startAndEnd(List<String> within, String... arguments) {
    unpack();
    List<String> command = new ArrayList<>(within);
    command.addAll(List.of("java", "-XX:TieredStopAtLevel=1", "-Dspring.aot.enabled=true"));
    command.add("-XX:SharedArchiveFile=" + UNPACKED.resolve("classes.jsa"));
    command.addAll(List.of("-jar", BOOT.toString()));
    command.addAll(List.of(arguments));
    try {
      Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
      String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      return new Ended(process.waitFor(), said);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** How a start ended that failed. */
  record Ended(int code, String said) {}

  /** Starting from the unpacked application with its class archive takes a third of the time. */
  private static synchronized void unpack() {
    Path archive = UNPACKED.resolve("classes.jsa");
    // Several test processes may come here at once: the first does it, the others wait.
    try (FileChannel channel = FileChannel.open(LOCK, CREATE, WRITE)) {
      channel.lock();
      if (Files.exists(archive) && Files.getLastModifiedTime(archive).toMillis() > builtAt()) {
        return;
      }
      deleteTree(UNPACKED);
      run(
          "java",
          "-Djarmode=tools",
          "-jar",
          JAR.toString(),
          "extract",
          "--destination",
          UNPACKED.toString());
      launch(
              List.of("-XX:ArchiveClassesAtExit=" + archive, "-Dhigh-tally.exit-when-ready=true"),
              List.of("--high-tally.demo=true", "--high-tally.data=" + FILLED))
          .process
          .waitFor();
      // What it has kept by itself meanwhile may be from before all was filled.
      deleteTree(FILLED.resolve("backups"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * The boot jar's own time is fixed for reproducible builds; the plain jar's tells when it was
   * made.
   */
  private static long builtAt() throws IOException {
    return Files.getLastModifiedTime(root().resolve("app/target/high-tally.jar")).toMillis();
  }

  private static RunningApp launch(List<String> flags, List<String> arguments) {
    return launch(List.of(), flags, arguments);
  }

  private static RunningApp launch(
      List<String> within, List<String> flags, List<String> arguments) {
    List<String> command = new ArrayList<>(within);
    command.addAll(java(flags));
    command.addAll(List.of("-jar", BOOT.toString()));
    if (arguments.stream().noneMatch(one -> one.startsWith(PORT))) {
      command.add(PORT + 0);
    }
    command.addAll(arguments);
    return new Output(begun(command)).awaitRunning();
  }

  private static List<String> java(List<String> flags) {
    List<String> command = new ArrayList<>(List.of("java", "-XX:TieredStopAtLevel=1"));
    command.addAll(FLAGS);
    command.addAll(flags);
    return command;
  }

  /** Whatever becomes of this program, the one it started ends with it. */
  private static Process begun(List<String> command) {
    try {
      Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
      Runtime.getRuntime().addShutdownHook(new Thread(process::destroyForcibly));
      return process;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What a process says, line by line, and the addresses at which it is ready. */
  private static final class Output {
    private final Process process;
    private final StringBuffer said = new StringBuffer();
    private final BlockingQueue<String> addresses = new LinkedBlockingQueue<>();

    Output(Process process) {
      this.process = process;
      SAID.put(process.pid(), said);
      Thread reader = new Thread(this::read);
      reader.setDaemon(true);
      reader.start();
    }

    private void read() {
      try (BufferedReader lines = process.inputReader(StandardCharsets.UTF_8)) {
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
          said.append(line).append('\n');
          if (line.startsWith(READY)) {
            addresses.add(line.substring(READY.length()).strip());
          } else if (line.equals(Host.ENDED)) {
            addresses.add("");
          }
        }
      } catch (IOException e) {
        said.append(e).append('\n');
      } finally {
        addresses.add("");
      }
    }

    void tell(String line) {
      BufferedWriter told = process.outputWriter(StandardCharsets.UTF_8);
      try {
        told.write(line + "\n");
        told.flush();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    /** Once the application in the process has ended, or the process. */
    void awaitEnded() {
      try {
        addresses.take();
      } catch (InterruptedException e) {
        throw new IllegalStateException(e);
      }
    }

    RunningApp awaitRunning() {
      try {
        String address = addresses.take();
        if (!address.isEmpty()) {
          return new RunningApp(process, address);
        }
      } catch (InterruptedException e) {
        said.append(e).append('\n');
      }
      process.destroyForcibly();
      throw new IllegalStateException("The application ended before it was ready:\n" + said);
    }
  }

  /** Address of the page, ending in a slash. */
  public String address() {
    return address;
  }

  /** Ends the process with SIGKILL: no shutdown hook runs. */
  public void kill() {
    SAID.remove(process.pid());
    process.destroyForcibly();
    try {
      process.waitFor();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Ends it, where others are started in the same process as well. */
  void end() {
    if (isInHost()) {
      host.tell("");
      host.awaitEnded();
    } else {
      kill();
    }
  }

  private boolean isInHost() {
    return host != null && process == host.process;
  }

  /** Ends it; where others are started in the same process, the next one ends it. */
  @Override
  public void close() {
    if (!isInHost()) {
      kill();
    }
  }

  private static void run(String... command) throws IOException, InterruptedException {
    int exit = new ProcessBuilder(command).inheritIO().start().waitFor();
    if (exit != 0) {
      throw new IllegalStateException(String.join(" ", command) + " ended with " + exit);
    }
  }

  private static void copyTree(Path from, Path to) {
    try (var files = Files.walk(from)) {
      for (Path file : (Iterable<Path>) files::iterator) {
        Files.copy(file, to.resolve(from.relativize(file).toString()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void deleteTree(Path folder) throws IOException {
    if (Files.exists(folder)) {
      try (var files = Files.walk(folder)) {
        files.sorted(java.util.Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
      }
    }
  }
}
