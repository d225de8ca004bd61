package hightally.app.benchsetup;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Revision;
import hightally.app.platform.ConflictException;
import hightally.app.words.ReaderWords;
import hightally.core.benchsetup.StepAnswer;
import hightally.core.benchsetup.WaysSeen;
import hightally.core.benchsetup.WaysSeen.WaysMended;
import hightally.core.probe.LookAnswer;
import hightally.core.probe.ProbeTold;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which surface moves and which way, looked at within a guided set-up. */
@Service
class BenchWays {
  private static final int MOST_LETTERS = 200;

  private final BenchSetUps setUps;
  private final Hangar hangar;
  private final ReaderWords words;

  BenchWays(BenchSetUps setUps, Hangar hangar, ReaderWords words) {
    this.setUps = setUps;
    this.hangar = hangar;
    this.words = words;
  }

  /**
   * Where it stands.
   *
   * @param version of the set-up; a change names it
   * @param revision the newest of the model; a change made names it
   * @param seen how many looks still say something
   * @param changed whether some do not any more, since what they were at was changed
   */
  record WaysStanding(int version, int revision, int seen, boolean changed, ProbeTold told) {}

  /** Where it stands on the set-up under way. */
  @Transactional(readOnly = true)
  public WaysStanding standing(long aircraftId) {
    return standing(aircraftId, setUps.version(aircraftId));
  }

  private WaysStanding standing(long aircraftId, int version) {
    Revision newest = hangar.newest(aircraftId);
    WaysSeen seen = seen(aircraftId, newest);
    return new WaysStanding(
        version, newest.number(), seen.answers().size(), seen.changed(), seen.told());
  }

  private WaysSeen seen(long aircraftId, Revision newest) {
    return setUps.ways(aircraftId, newest, setUps.looks(aircraftId));
  }

  /** Keeps what was seen in a look. */
  @Transactional
  public WaysStanding keep(long aircraftId, int version, LookAnswer answer) {
    Revision newest = begun(aircraftId, version);
    WaysSeen seen = seen(aircraftId, newest);
    seen.check("answer", Validation.check(answer));
    return kept(aircraftId, version, newest, List.of(seen.kept(answer)));
  }

  /** Takes the last look back; where there is none, nothing happens. */
  @Transactional
  public WaysStanding back(long aircraftId, int version) {
    Revision newest = begun(aircraftId, version);
    return kept(aircraftId, version, newest, seen(aircraftId, newest).back().stream().toList());
  }

  /** Begins again with nothing seen. */
  @Transactional
  public WaysStanding again(long aircraftId, int version) {
    Revision newest = begun(aircraftId, version);
    return kept(aircraftId, version, newest, List.of(WaysSeen.again()));
  }

  /**
   * Takes over what is to be changed as done: a revision where the description is another.
   *
   * @param basedOn the revision the pilot saw
   */
  @Transactional
  public WaysStanding mended(long aircraftId, int version, int basedOn) {
    Revision newest = begun(aircraftId, version);
    WaysMended mended =
        seen(aircraftId, newest)
            .mended()
            .orElseThrow(() -> new ConflictException(Said.of("refused.setUpMoved")));
    Revision made =
        mended.setup().equals(newest.setup())
            ? newest
            : hangar.revise(
                aircraftId,
                basedOn,
                mended.setup(),
                words.of(Said.of("guide.waysReason"), MOST_LETTERS));
    return kept(aircraftId, version, made, mended.words());
  }

  private Revision begun(long aircraftId, int version) {
    hangar.alone(aircraftId);
    setUps.atWays(aircraftId, version);
    return hangar.newest(aircraftId);
  }

  private WaysStanding kept(long aircraftId, int version, Revision on, List<StepAnswer> answers) {
    return standing(aircraftId, setUps.keepWays(aircraftId, version, on.number(), answers));
  }
}
