package hightally.app.aircraft;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.Immutable;

/** The setup of one revision, apart from its header; never changed. */
@Entity
@Immutable
@Table(name = "revision_document")
class RevisionDocumentEntity {
  @Id private long revisionId;
  private String setup;

  protected RevisionDocumentEntity() {}

  RevisionDocumentEntity(long revisionId, String setup) {
    this.revisionId = revisionId;
    this.setup = setup;
  }

  String setup() {
    return setup;
  }
}
