package hightally.app.loop;

import hightally.app.aircraft.Revision;
import hightally.app.preflight.Checks;
import hightally.app.story.GroundingSource;
import hightally.core.ready.Grounding;
import hightally.core.signal.SignalPath;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * What grounds each model as it was last saved: worked out once a revision, and bounded in time;
 * and what its checks have found since.
 */
@Component
class Groundings implements GroundingSource {
  private static final int KEPT = 500;
  private static final Duration LONGEST = Duration.ofSeconds(3);
  private static final float LOAD = 0.75f;

  private final Clock clock;
  private final Checks checks;
  private final Map<Key, Grounding> known =
      new LinkedHashMap<>(16, LOAD, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Grounding> eldest) {
          return size() > KEPT;
        }
      };

  private record Key(long aircraft, int revision) {}

  Groundings(Clock clock, Checks checks) {
    this.clock = clock;
    this.checks = checks;
  }

  /** What grounds a model by its newest revision, and by what its checks have found. */
  @Override
  public Grounding of(long aircraft, Revision newest) {
    Key key = new Key(aircraft, newest.number());
    Grounding found = known(key);
    if (found == null) {
      Instant begun = clock.instant();
      found =
          Grounding.of(
              SignalPath.of(newest.setup()),
              () -> Duration.between(begun, clock.instant()).compareTo(LONGEST) > 0);
      keep(key, found);
    }
    return found.and(checks.grounding(aircraft));
  }

  private synchronized Grounding known(Key key) {
    return known.get(key);
  }

  private synchronized void keep(Key key, Grounding found) {
    known.put(key, found);
  }
}
