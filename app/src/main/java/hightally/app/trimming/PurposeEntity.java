package hightally.app.trimming;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;

/** What a model is for, as one document. */
@Entity
@Table(name = "wishes")
class PurposeEntity {
  @Id private Long aircraftId;
  private String document;
  @Version private Integer version;

  protected PurposeEntity() {}

  PurposeEntity(long aircraftId, String document) {
    this.aircraftId = aircraftId;
    this.document = document;
  }

  void write(String changed) {
    document = changed;
  }

  String document() {
    return document;
  }

  int version() {
    return version;
  }
}
