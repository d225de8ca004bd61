package hightally.app.benchsetup;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.PageOfModel;
import hightally.app.platform.NotFoundException;
import hightally.core.airframe.PartChange;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Parts that were changed, and the checks that had to be done again. */
@Service
public class PartChanges implements PageOfModel {
  private final PartChangeRepository changes;
  private final Hangar hangar;
  private final Clock clock;

  PartChanges(PartChangeRepository changes, Hangar hangar, Clock clock) {
    this.changes = changes;
    this.hangar = hangar;
    this.clock = clock;
  }

  /** All of a model's, newest first. */
  @Transactional(readOnly = true)
  public List<NotedPartChange> of(long aircraftId) {
    return changes.findByAircraftIdOrderByIdDesc(aircraftId).stream()
        .map(PartChangeEntity::read)
        .toList();
  }

  /** Notes a change on the model as it is now, for a request with a key or null. */
  @Transactional
  public NotedPartChange note(long aircraftId, PartChange change, String requestKey) {
    return note(aircraftId, change, LocalDate.now(clock), requestKey);
  }

  /** The same for one that was done on a day that has been. */
  @Transactional
  public NotedPartChange note(
      long aircraftId, PartChange change, LocalDate day, String requestKey) {
    Validation.check(change);
    LocalDate latest = LocalDate.now(clock).plusDays(1);
    if (day.isAfter(latest)) {
      throw InvalidInputException.of(
          "changedOn", day, Said.of("demand.notAfter", "latest", latest));
    }
    int revision = hangar.newestHeader(aircraftId).number();
    return changes
        .saveAndFlush(
            new PartChangeEntity(aircraftId, revision, change, day, clock.instant(), requestKey))
        .read();
  }

  /** The change a request with that key has noted. */
  @Transactional(readOnly = true)
  public Optional<NotedPartChange> notedBy(long aircraftId, String requestKey) {
    return changes
        .findByAircraftIdAndRequestKey(aircraftId, requestKey)
        .map(PartChangeEntity::read);
  }

  /** Marks one of its checks as done again, or not. */
  @Transactional
  public NotedPartChange mark(long aircraftId, long changeId, int check, boolean done) {
    PartChangeEntity found =
        changes
            .findById(changeId)
            .filter(one -> one.aircraftId() == aircraftId)
            .orElseThrow(() -> new NotFoundException("missing.change", changeId));
    int count = found.read().checks().size();
    if (check < 0 || check >= count) {
      throw InvalidInputException.of(
          "check", check, Said.of("demand.zeroToCount", "count", (count - 1)));
    }
    found.mark(check, done);
    return changes.save(found).read();
  }

  @Override
  public String told() {
    return "part_change";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    of(aircraftId);
  }
}
