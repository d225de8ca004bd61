package hightally.app.kind;

import hightally.app.transfer.SetupDocuments;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/**
 * The kinds of airframe a new model can start from. A kind is a setup file in the folder {@code
 * kinds}; another file is another kind.
 */
@Component
class Kinds {
  private final SetupDocuments documents;

  Kinds(SetupDocuments documents) {
    this.documents = documents;
  }

  /** All kinds, by name. */
  List<Setup> all() {
    try {
      List<Setup> kinds = new ArrayList<>();
      Resource[] files =
          new PathMatchingResourcePatternResolver().getResources("classpath:kinds/*.json");
      for (Resource file : files) {
        kinds.add(documents.read(file.getContentAsString(StandardCharsets.UTF_8)));
      }
      kinds.sort(Comparator.comparing(setup -> setup.airframe().kind()));
      return kinds;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
