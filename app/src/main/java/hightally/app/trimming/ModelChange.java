package hightally.app.trimming;

import hightally.core.quantity.Absentable;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Violation;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TrimLever;
import java.time.Instant;
import java.util.function.Consumer;

/**
 * A change at the model that a trim test asked for: washers, balance, weight across.
 *
 * @param from where the lever stood, in its unit
 * @param to where it goes
 * @param resultRevision the revision that doing it made; absent where it made none
 * @param closedAt when it was done or given up; absent while it is open
 */
public record ModelChange(
    long id,
    TestCase test,
    TrimLever lever,
    double from,
    double to,
    State state,
    @Absentable Integer resultRevision,
    Instant createdAt,
    @Absentable Instant closedAt,
    int version)
    implements SelfChecked {
  /** How far it has come. */
  public enum State {
    OPEN,
    DONE,
    DROPPED
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (state != State.OPEN && closedAt == null) {
      found.accept(
          Violation.of(path + "closedAt", Said.of("given.missing"), Said.of("demand.given")));
    }
  }
}
