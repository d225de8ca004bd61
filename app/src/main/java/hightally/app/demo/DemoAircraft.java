package hightally.app.demo;

import hightally.app.transfer.SetupDocuments;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** Reads the invented aircraft that ship with the program. */
@Component
public class DemoAircraft {
  private final SetupDocuments documents;

  DemoAircraft(SetupDocuments documents) {
    this.documents = documents;
  }

  /** One of them, by its file's name. */
  public Setup read(String name) {
    try (InputStream in = new ClassPathResource("demo/" + name).getInputStream()) {
      return documents.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
