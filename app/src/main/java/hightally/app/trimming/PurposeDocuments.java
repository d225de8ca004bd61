package hightally.app.trimming;

import hightally.app.aircraft.StoredDocument;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What a model is for, as it is stored. */
@Configuration
class PurposeDocuments {
  @Bean
  StoredDocument purposeDocument(Purposes purposes) {
    return new StoredDocument("wishes", "document", purposes::read);
  }
}
