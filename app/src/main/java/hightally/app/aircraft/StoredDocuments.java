package hightally.app.aircraft;

import hightally.app.transfer.SetupDocuments;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The documents of models. */
@Configuration
class StoredDocuments {
  @Bean
  StoredDocument revisionDocument(SetupDocuments documents) {
    return new StoredDocument("revision_document", "setup", documents::read);
  }

  @Bean
  StoredDocument practiceDocument(SetupDocuments documents) {
    return new StoredDocument("school_run", "setup", documents::read);
  }
}
