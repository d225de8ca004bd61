package hightally.app.trimming;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.PageOfModel;
import hightally.app.platform.ConflictException;
import hightally.app.platform.JsonProblems;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.trimming.Purpose;
import java.io.UncheckedIOException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What every model is for. */
@Service
public class Purposes implements PageOfModel {
  private final PurposeRepository wishes;
  private final Hangar hangar;
  private final ObjectMapper json;

  Purposes(PurposeRepository wishes, Hangar hangar, ObjectMapper json) {
    this.wishes = wishes;
    this.hangar = hangar;
    this.json = json;
  }

  /** Wishes as they were stored, and the version they were. */
  public record Kept(Purpose wishes, int version) {}

  /** A model's; none where nothing was noted yet, with version -1. */
  @Transactional(readOnly = true)
  public Kept of(long aircraftId) {
    hangar.newestHeader(aircraftId);
    return wishes
        .findById(aircraftId)
        .map(found -> new Kept(read(found.document()), found.version()))
        .orElse(new Kept(Purpose.NONE, -1));
  }

  /** Notes them; {@code version} is the one the pilot saw. */
  @Transactional
  public Kept note(long aircraftId, int version, Purpose changed) {
    Validation.check(changed);
    hangar.alone(aircraftId);
    if (of(aircraftId).version() != version) {
      throw new ConflictException(Said.of("refused.wishesChanged"));
    }
    PurposeEntity found =
        wishes.findById(aircraftId).orElseGet(() -> new PurposeEntity(aircraftId, ""));
    found.write(written(changed));
    return new Kept(changed, wishes.saveAndFlush(found).version());
  }

  /** One as it is stored. */
  Purpose read(String document) {
    try {
      return Validation.check(json.readValue(document, Purpose.class));
    } catch (JsonProcessingException e) {
      throw JsonProblems.explained(e);
    }
  }

  private String written(Purpose changed) {
    try {
      return json.writeValueAsString(changed);
    } catch (JsonProcessingException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public String told() {
    return "wishes";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    of(aircraftId);
  }
}
