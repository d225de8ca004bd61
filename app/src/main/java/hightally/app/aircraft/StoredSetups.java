package hightally.app.aircraft;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import hightally.app.transfer.SetupDocuments;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import org.springframework.stereotype.Component;

/** The setups of revisions, by the number of the row; a stored one never changes. */
@Component
class StoredSetups {
  private static final int KEPT = 256;

  private final RevisionDocumentRepository stored;
  private final SetupDocuments documents;
  private final Cache<Long, Setup> read = Caffeine.newBuilder().maximumSize(KEPT).build();

  StoredSetups(RevisionDocumentRepository stored, SetupDocuments documents) {
    this.stored = stored;
    this.documents = documents;
  }

  Setup of(RevisionEntity revision) {
    return read.get(revision.id(), id -> documents.read(stored.findById(id).orElseThrow().setup()));
  }

  void store(RevisionEntity revision, Setup setup) {
    String text = documents.write(setup);
    if (text.length() > SetupDocuments.LARGEST_CHARACTERS) {
      throw InvalidInputException.of(
          "setup",
          Said.of("given.size", "count", text.length()),
          Said.of("demand.mostCharactersDocument", "least", SetupDocuments.LARGEST_CHARACTERS));
    }
    stored.save(new RevisionDocumentEntity(revision.id(), text));
  }
}
