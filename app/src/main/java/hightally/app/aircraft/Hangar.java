package hightally.app.aircraft;

import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.app.platform.Page;
import hightally.core.flightlog.TrimsStillValid;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.time.Clock;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The aircraft and their revisions. */
@Service
public class Hangar implements PageOfModel {
  /** How long what was deleted can be brought back. */
  public static final Duration WAY_BACK = Duration.ofDays(30);

  private final AircraftRepository aircraft;
  private final RevisionRepository revisions;
  private final StoredSetups setups;
  private final List<RevisionHold> holds;
  private final Clock clock;

  Hangar(
      AircraftRepository aircraft,
      RevisionRepository revisions,
      StoredSetups setups,
      List<RevisionHold> holds,
      Clock clock) {
    this.aircraft = aircraft;
    this.revisions = revisions;
    this.setups = setups;
    this.holds = holds;
    this.clock = clock;
  }

  /** Whether there is none. */
  @Transactional(readOnly = true)
  public boolean isEmpty() {
    return aircraft.count() == 0;
  }

  /** Those that are set aside or deleted, the latest first. */
  @Transactional(readOnly = true)
  public List<PutAway> putAway() {
    return aircraft.findByPlaceNotOrderByPlaceSinceDesc(Place.IN_USE).stream()
        .map(
            one ->
                new PutAway(
                    one.id(),
                    one.name(),
                    one.place(),
                    one.placeSince(),
                    one.place() == Place.DELETED ? one.placeSince().plus(WAY_BACK) : null))
        .toList();
  }

  /** Sets a model aside, deletes it, or brings it back; put where it is nothing happens. */
  @Transactional
  public void put(long id, Place place) {
    AircraftEntity found = locked(id);
    if (place == Place.DELETED) {
      refuseUnderWork(id);
    }
    found.put(place, clock.instant());
    aircraft.save(found);
  }

  /** What it is called. */
  @Transactional(readOnly = true)
  public String name(long id) {
    return find(id).name();
  }

  /** Where a model is. */
  @Transactional(readOnly = true)
  public Place place(long id) {
    return find(id).place();
  }

  /** Numbers of the aircraft in use whose name has a part, oldest first. */
  @Transactional(readOnly = true)
  public Page<Long> named(String part, Page.Asked asked) {
    var found =
        aircraft.findByPlaceAndNameContainingIgnoreCaseOrderByAttentionAscIdAsc(
            Place.IN_USE, part, PageRequest.of(asked.page(), asked.size()));
    return new Page<>(found.map(AircraftEntity::id).getContent(), found.getTotalElements());
  }

  /**
   * Keeps how soon a model wants its pilot, smaller for sooner: the order of the hangar. Nothing is
   * written where it stands so already.
   */
  @Transactional
  public void attend(long id, int attention) {
    aircraft.attend(id, (short) attention);
  }

  /** Adds an aircraft with its first revision and answers with its number. */
  @Transactional
  public long add(Setup setup, String reason) {
    return add(setup, reason, null);
  }

  /** The same for a request with a key, or null. */
  @Transactional
  public long add(Setup setup, String reason, String requestKey) {
    Validation.check(setup);
    AircraftEntity added =
        aircraft.saveAndFlush(new AircraftEntity(setup.name(), clock.instant(), requestKey));
    store(added, setup, reason, null, Making.EDIT);
    return added.id();
  }

  /** The aircraft a request with that key has added. */
  @Transactional(readOnly = true)
  public Optional<Long> addedBy(String requestKey) {
    return aircraft.findByRequestKey(requestKey).map(AircraftEntity::id);
  }

  /**
   * Saves a new revision.
   *
   * @param basedOn the revision the change was made on; it must still be the newest
   */
  @Transactional
  public Revision revise(long aircraftId, int basedOn, Setup setup, String reason) {
    AircraftEntity found = current(aircraftId, basedOn);
    refuseUnderWork(aircraftId);
    return store(found, setup, reason, null, Making.EDIT);
  }

  /** Goes back to an earlier state, its trims with it. */
  @Transactional
  public Revision restore(long aircraftId, int basedOn, Setup setup, String reason) {
    AircraftEntity found = current(aircraftId, basedOn);
    refuseUnderWork(aircraftId);
    return store(found, setup, reason, null, Making.RESTORE);
  }

  /** Marks a revision as one that flew well, or takes the mark away. */
  @Transactional
  public RevisionHeader flewWell(long aircraftId, int number, boolean well) {
    RevisionEntity found = entity(aircraftId, number);
    found.flewWell(well);
    return revisions.save(found).header();
  }

  /** Saves what an adjustment has made of the newest revision. */
  @Transactional
  public Revision adjusted(long aircraftId, int basedOn, Setup setup, String reason, long from) {
    return store(current(aircraftId, basedOn), setup, reason, from, Making.ADJUST);
  }

  /** Saves what a flight has taught about the description: the model itself is as it was. */
  @Transactional
  public Revision correct(long aircraftId, int basedOn, Setup setup, String reason) {
    AircraftEntity found = current(aircraftId, basedOn);
    refuseUnderWork(aircraftId);
    return store(found, setup, reason, null, Making.CORRECT);
  }

  /**
   * Keeps everyone else from beginning work on an aircraft or saving a revision of it until this
   * transaction has ended.
   */
  @Transactional
  public void alone(long aircraftId) {
    locked(aircraftId);
  }

  private AircraftEntity locked(long id) {
    return aircraft
        .findLockedById(id)
        .orElseThrow(() -> new NotFoundException("missing.aircraft", id));
  }

  private void refuseUnderWork(long aircraftId) {
    for (RevisionHold hold : holds) {
      hold.why(aircraftId)
          .ifPresent(
              why -> {
                throw new ConflictException(why);
              });
    }
  }

  private AircraftEntity current(long aircraftId, int basedOn) {
    AircraftEntity found = locked(aircraftId);
    if (found.newestRevision() != basedOn) {
      throw new ConflictException(
          Said.of(
              "refused.olderRevision",
              "made",
              String.valueOf(basedOn),
              "saved",
              String.valueOf(found.newestRevision())));
    }
    return found;
  }

  /** The newest revision of an aircraft. */
  @Transactional(readOnly = true)
  public Revision newest(long aircraftId) {
    return revision(aircraftId, find(aircraftId).newestRevision());
  }

  /** The header of the newest revision. */
  @Transactional(readOnly = true)
  public RevisionHeader newestHeader(long aircraftId) {
    return entity(aircraftId, find(aircraftId).newestRevision()).header();
  }

  /** One revision of an aircraft. */
  @Transactional(readOnly = true)
  public Revision revision(long aircraftId, int number) {
    RevisionEntity found = entity(aircraftId, number);
    return new Revision(found.header(), setups.of(found));
  }

  /** Headers of an aircraft's revisions, newest first. */
  @Transactional(readOnly = true)
  public Page<RevisionHeader> headers(long aircraftId, Page.Asked asked) {
    var found =
        revisions.findByAircraftIdOrderByNumberDesc(
            find(aircraftId).id(), PageRequest.of(asked.page(), asked.size()));
    return new Page<>(found.map(RevisionEntity::header).getContent(), found.getTotalElements());
  }

  /** Headers of some of an aircraft's revisions. */
  @Transactional(readOnly = true)
  public List<RevisionHeader> headers(long aircraftId, List<Integer> numbers) {
    return revisions.findByAircraftIdAndNumberIn(aircraftId, numbers).stream()
        .map(RevisionEntity::header)
        .toList();
  }

  /** Setups of some of an aircraft's revisions, by their numbers. */
  @Transactional(readOnly = true)
  public Map<Integer, Setup> setups(long aircraftId, Collection<Integer> numbers) {
    Map<Integer, Setup> found =
        revisions.findByAircraftIdAndNumberIn(aircraftId, List.copyOf(numbers)).stream()
            .collect(Collectors.toMap(one -> one.header().number(), setups::of));
    for (int number : numbers) {
      if (!found.containsKey(number)) {
        throw new NotFoundException("missing.revision", number);
      }
    }
    return found;
  }

  private RevisionEntity entity(long aircraftId, int number) {
    return revisions
        .findByAircraftIdAndNumber(aircraftId, number)
        .orElseThrow(() -> new NotFoundException("missing.revision", number));
  }

  /** Where a revision comes from. */
  private enum Making {
    EDIT,
    ADJUST,
    CORRECT,
    RESTORE
  }

  private Revision store(
      AircraftEntity owner, Setup setup, String reason, Long adjustmentId, Making making) {
    Validation.check(setup);
    int before = owner.newestRevision();
    int number = owner.nextRevision(setup.name());
    boolean corrects = making == Making.CORRECT;
    Setup old = before == 0 ? setup : setups.of(entity(owner.id(), before));
    List<TrimsStillValid.Parted> parted = corrects ? List.of() : TrimsStillValid.parted(old, setup);
    boolean sets = making == Making.ADJUST || making == Making.RESTORE || !sameTrims(old, setup);
    boolean holds = before > 0 && adjustmentId == null && parted.isEmpty();
    int since = holds ? entity(owner.id(), before).trimsHoldSince() : number;
    RevisionEntity saved =
        revisions.save(
            new RevisionEntity(
                    owner.id(), number, reason, adjustmentId, corrects, clock.instant(), since)
                .trims(parted, sets, making == Making.RESTORE));
    setups.store(saved, setup);
    return new Revision(saved.header(), setup);
  }

  private static boolean sameTrims(Setup before, Setup after) {
    return before.trims().equals(after.trims())
        && after.phases().stream()
            .allMatch(
                one ->
                    before
                        .phase(one.id())
                        .filter(
                            then ->
                                then.effective(before.trims()).equals(one.effective(after.trims())))
                        .isPresent());
  }

  private AircraftEntity find(long id) {
    return aircraft.findById(id).orElseThrow(() -> new NotFoundException("missing.aircraft", id));
  }

  @Override
  public String told() {
    return "aircraft";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    newest(aircraftId);
    putAway();
  }
}
