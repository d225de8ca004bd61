package hightally.app.archive;

import hightally.app.platform.StartWords;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Violation;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Brings a whole archive back at a start, and says what came and what could not. */
@Component
public class BringBack implements ApplicationRunner {
  /** The setting that names the archive. */
  public static final String ARCHIVE = "high-tally.bring-back";

  private final ObjectProvider<Archives> reader;
  private final String file;

  BringBack(ObjectProvider<Archives> reader, @Value("${" + ARCHIVE + ":}") String file) {
    this.reader = reader;
    this.file = file;
  }

  @Override
  public void run(ApplicationArguments arguments) throws IOException, SQLException {
    if (file.isEmpty()) {
      return;
    }
    Path archive = Path.of(file);
    Archives archives = reader.getObject();
    try {
      Archives.Contents held = archives.look(archive, part -> {});
      Set<Long> sound =
          held.models().stream()
              .filter(one -> one.faults().isEmpty() && !one.here())
              .map(Archives.InArchive::number)
              .collect(Collectors.toSet());
      boolean practice = held.practiceFaults().isEmpty();
      archives.bring(archive, new Archives.Wanted(sound, Set.of(), practice), part -> {});
      tell(Said.of("restore.done", "count", sound.size(), "when", held.writtenAt()));
      for (Archives.InArchive one : held.models()) {
        for (Violation fault : one.faults()) {
          tell(Said.of("restore.leftOut", "name", one.name(), "why", fault.sentence()));
        }
      }
    } catch (InvalidInputException e) {
      tell(e.said());
    }
  }

  private static void tell(Said said) {
    System.out.println(StartWords.say(said));
  }
}
