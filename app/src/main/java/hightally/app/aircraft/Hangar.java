package hightally.app.aircraft;

import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.app.transfer.SetupDocuments;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The aircraft and their revisions. */
@Service
public class Hangar {
  private final AircraftRepository aircraft;
  private final RevisionRepository revisions;
  private final SetupDocuments documents;
  private final Clock clock;

  Hangar(
      AircraftRepository aircraft,
      RevisionRepository revisions,
      SetupDocuments documents,
      Clock clock) {
    this.aircraft = aircraft;
    this.revisions = revisions;
    this.documents = documents;
    this.clock = clock;
  }

  /** Numbers of all aircraft, oldest first. */
  @Transactional(readOnly = true)
  public List<Long> all() {
    return aircraft.findAll().stream().map(AircraftEntity::id).sorted().toList();
  }

  /** Adds an aircraft with its first revision and answers with its number. */
  @Transactional
  public long add(Setup setup, String reason) {
    Validation.check(setup);
    AircraftEntity added = aircraft.save(new AircraftEntity(setup.name(), clock.instant()));
    store(added, setup, reason, null, false);
    return added.id();
  }

  /**
   * Saves a new revision.
   *
   * @param basedOn the revision the change was made on; it must still be the newest
   * @param adjustmentId the adjustment it comes from, or null
   */
  @Transactional
  public Revision revise(
      long aircraftId, int basedOn, Setup setup, String reason, Long adjustmentId) {
    return store(current(aircraftId, basedOn), setup, reason, adjustmentId, false);
  }

  /** Saves what a flight has taught about the description: the model itself is as it was. */
  @Transactional
  public Revision correct(long aircraftId, int basedOn, Setup setup, String reason) {
    return store(current(aircraftId, basedOn), setup, reason, null, true);
  }

  private AircraftEntity current(long aircraftId, int basedOn) {
    AircraftEntity found = find(aircraftId);
    if (found.newestRevision() != basedOn) {
      throw new ConflictException(
          "This change was made on revision "
              + basedOn
              + ", and revision "
              + found.newestRevision()
              + " has been saved since. Nothing was stored; your changes are still on this page.");
    }
    return found;
  }

  /** The newest revision of an aircraft. */
  @Transactional(readOnly = true)
  public Revision newest(long aircraftId) {
    return revision(aircraftId, find(aircraftId).newestRevision());
  }

  /** One revision of an aircraft. */
  @Transactional(readOnly = true)
  public Revision revision(long aircraftId, int number) {
    return revisions
        .findByAircraftIdAndNumber(aircraftId, number)
        .map(this::read)
        .orElseThrow(() -> new NotFoundException("revision of this aircraft with number", number));
  }

  /** All revisions of an aircraft, newest first. */
  @Transactional(readOnly = true)
  public List<Revision> revisions(long aircraftId) {
    find(aircraftId);
    return revisions.findByAircraftIdOrderByNumberDesc(aircraftId).stream()
        .map(this::read)
        .toList();
  }

  private Revision store(
      AircraftEntity owner, Setup setup, String reason, Long adjustmentId, boolean corrects) {
    Validation.check(setup);
    int number = owner.nextRevision(setup.name());
    RevisionEntity saved =
        new RevisionEntity(
            owner.id(),
            number,
            reason,
            adjustmentId,
            corrects,
            clock.instant(),
            documents.write(setup));
    return read(revisions.save(saved));
  }

  private AircraftEntity find(long id) {
    return aircraft.findById(id).orElseThrow(() -> new NotFoundException("aircraft", id));
  }

  private Revision read(RevisionEntity entity) {
    return new Revision(
        entity.number(),
        entity.reason(),
        entity.adjustmentId() != null,
        entity.corrects(),
        entity.createdAt(),
        documents.read(entity.setup()));
  }
}
