package hightally.app.standing;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import hightally.app.words.SaidData;
import hightally.core.preflight.Clearance.Kind;
import hightally.core.preflight.Clearance.Reason;
import hightally.core.preflight.SetupClearance;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** What the search for hazards found of a setup. */
@Entity
@Table(name = "setup_verdict")
class SetupClearanceEntity {
  private static final ObjectMapper JSON = new ObjectMapper();

  @Id private String contentKey;
  private String version;

  @Enumerated(EnumType.STRING)
  private SetupClearance.Search search;

  private String reasons;
  private Instant madeAt;

  protected SetupClearanceEntity() {}

  SetupClearanceEntity(String contentKey, SetupClearance verdict, Instant madeAt) {
    this.contentKey = contentKey;
    version = SetupClearance.VERSION;
    search = verdict.search();
    reasons = written(verdict.reasons());
    this.madeAt = madeAt;
  }

  private static String written(List<Reason> reasons) {
    ArrayNode all = JSON.createArrayNode();
    for (Reason one : reasons) {
      all.addObject()
          .put("id", one.id())
          .put("subject", one.subject())
          .put("words", SaidData.write(one.words()));
    }
    return all.toString();
  }

  /** The hazards found, whatever was accepted of them. */
  SetupClearance read() {
    try {
      List<Reason> found = new ArrayList<>();
      for (JsonNode one : JSON.readTree(reasons)) {
        found.add(
            new Reason(
                Kind.HAZARD,
                one.get("id").asText(),
                one.get("subject").asText(),
                SaidData.read(one.get("words").asText())));
      }
      return new SetupClearance(found, search, 1);
    } catch (JsonProcessingException e) {
      throw new UncheckedIOException(e);
    }
  }

  boolean ofThisProgram() {
    return version.equals(SetupClearance.VERSION);
  }
}
