package hightally.app.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;

/**
 * Documents of older forms, brought up to today's, against the millimetres that were recorded when
 * their form was the newest: {@code positions.gz} holds, file by file in the order of their names,
 * a thousand moments' travel of every surface as big-endian doubles.
 */
class MovesAsBeforeTest {
  private static final Path OLDER = Path.of("src/test/resources/older");
  private static final Path RECORDED = OLDER.resolve("positions.gz");
  private static final int MOMENTS = 1000;
  private static final double MM = 1e-9;

  private final SetupDocuments documents = new SetupDocuments(new ObjectMapper());

  @Test
  void everySetupOfAnOlderFormMovesAsBefore() throws IOException {
    if (Boolean.getBoolean("record")) {
      record();
    }
    int compared = 0;
    try (DataInputStream before =
        new DataInputStream(new GZIPInputStream(Files.newInputStream(RECORDED)))) {
      for (Path file : files()) {
        for (double[] now : travels(documents.read(Files.readString(file)))) {
          for (double mm : now) {
            double was = before.readDouble();
            assertThat(Math.abs(mm - was)).as("%s: %s was %s", file, mm, was).isLessThan(MM);
            compared++;
          }
        }
      }
      assertThat(before.read()).as("nothing left over").isEqualTo(-1);
    }
    assertThat(compared).isGreaterThan(100 * MOMENTS);
  }

  private static List<Path> files() throws IOException {
    try (Stream<Path> all = Files.walk(OLDER)) {
      return all.filter(one -> one.toString().endsWith(".json")).sorted().toList();
    }
  }

  private void record() throws IOException {
    try (DataOutputStream out =
        new DataOutputStream(new GZIPOutputStream(Files.newOutputStream(RECORDED)))) {
      for (Path file : files()) {
        for (double[] now : travels(documents.read(Files.readString(file)))) {
          for (double mm : now) {
            out.writeDouble(mm);
          }
        }
      }
    }
  }

  private static List<double[]> travels(Setup setup) {
    SignalPath path = SignalPath.of(setup);
    Random random = new Random(setup.surfaces().size() * 1000L + setup.channels().size());
    List<double[]> all = new ArrayList<>();
    for (int i = 0; i < MOMENTS; i++) {
      all.add(path.evaluate(moment(setup, random)).travelMm());
    }
    return all;
  }

  private static Moment moment(Setup setup, Random random) {
    List<Double> inputs = new ArrayList<>();
    setup.transmitter().inputs().forEach(one -> inputs.add(random.nextInt(5) / 4.0));
    return new Moment(
        2 * random.nextDouble() - 1,
        2 * random.nextDouble() - 1,
        2 * random.nextDouble() - 1,
        random.nextDouble(),
        random.nextBoolean(),
        new Trims(random.nextInt(41) - 20, random.nextInt(41) - 20, random.nextInt(41) - 20),
        inputs,
        Readings.NORMAL);
  }
}
