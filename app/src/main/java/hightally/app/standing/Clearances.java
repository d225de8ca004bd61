package hightally.app.standing;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Revision;
import hightally.app.benchsetup.BenchSetUps;
import hightally.app.history.ClearanceSource;
import hightally.app.platform.BackgroundWork;
import hightally.app.platform.BackgroundWork.Job;
import hightally.app.platform.BackgroundWork.Stage;
import hightally.app.platform.ConflictException;
import hightally.app.preflight.Checks;
import hightally.app.program.EntryList;
import hightally.app.transfer.SetupDocuments;
import hightally.core.benchsetup.BenchLook;
import hightally.core.hazard.HazardSearch;
import hightally.core.preflight.Clearance;
import hightally.core.preflight.Clearance.Lack;
import hightally.core.preflight.Clearance.Reason;
import hightally.core.preflight.ModelClearance;
import hightally.core.preflight.SetupClearance;
import hightally.core.preflight.SetupClearance.Search;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Notebook;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The judgement that clears a model: its rules at once; the search for hazards in the background,
 * kept by what the setup says; and what was seen on the model since.
 */
@Component
class Clearances implements ClearanceSource {
  private static final Logger LOG = LoggerFactory.getLogger(Clearances.class);
  private static final int KEPT = 500;

  /** An answer waits this long for a search, so that most come with its outcome. */
  private static final long PATIENCE_MILLISECONDS = 300;

  private final Clock clock;
  private final Hangar hangar;
  private final Checks checks;
  private final BenchSetUps setUps;
  private final SetupClearanceRepository stored;
  private final ClearanceWordRepository words;
  private final SetupDocuments documents;
  private final EntryList entries;
  private final BackgroundWork work;
  private final Cache<Revised, String> keys = Caffeine.newBuilder().maximumSize(KEPT).build();
  private final Cache<Revised, List<Reason>> rules =
      Caffeine.newBuilder().maximumSize(KEPT).build();
  private final Cache<String, SetupClearance> known =
      Caffeine.newBuilder().maximumSize(KEPT).build();
  private final ConcurrentMap<String, Job> underWay = new ConcurrentHashMap<>();

  private record Revised(long aircraft, int revision) {}

  Clearances(
      Clock clock,
      Hangar hangar,
      Checks checks,
      BenchSetUps setUps,
      SetupClearanceRepository stored,
      ClearanceWordRepository words,
      SetupDocuments documents,
      EntryList entries,
      BackgroundWork work) {
    this.clock = clock;
    this.hangar = hangar;
    this.checks = checks;
    this.setUps = setUps;
    this.stored = stored;
    this.words = words;
    this.documents = documents;
    this.entries = entries;
    this.work = work;
  }

  /** The judgement of a model by its newest revision and by all that was seen on it. */
  @Override
  public Clearance of(long aircraft, Revision newest) {
    Setup setup = newest.setup();
    Revised which = new Revised(aircraft, newest.number());
    SetupClearance searched = searched(key(which, setup), setup);
    List<Reason> reasons =
        new ArrayList<>(rules.get(which, one -> SetupClearance.rules(SignalPath.of(setup))));
    reasons.addAll(SetupClearance.open(searched.reasons(), setup.notebook()));
    SetupClearance verdict = new SetupClearance(reasons, searched.search(), searched.searched());
    List<BenchLook> looks = setUps.looks(aircraft);
    ModelClearance.Seen seen =
        ModelClearance.of(
            setup,
            setUps.ways(aircraft, newest, looks),
            looks,
            checks.looks(aircraft),
            checks.due(aircraft),
            entries.open(aircraft, newest));
    Clearance bare = Clearance.of(verdict, seen, "");
    String because =
        words
            .findFirstByAircraftIdOrderByIdDesc(aircraft)
            .filter(one -> one.covers(newest.number(), lacks(bare)))
            .map(ClearanceWordEntity::because)
            .orElse("");
    return because.isEmpty() ? bare : Clearance.of(verdict, seen, because);
  }

  private static List<Lack> lacks(Clearance one) {
    return one.missing().stream().map(Clearance.Missing::lack).toList();
  }

  /** Begins what is to be worked out of some models, and waits for it a moment. */
  void prepare(Collection<Long> aircraft) {
    List<Job> begun = new ArrayList<>();
    for (long one : aircraft) {
      try {
        begun(one).ifPresent(begun::add);
      } catch (RuntimeException e) {
        LOG.debug("Model {} cannot be read, which its card says", one, e);
      }
    }
    work.await(begun, PATIENCE_MILLISECONDS);
  }

  private Optional<Job> begun(long aircraft) {
    Revision newest = hangar.newest(aircraft);
    String key = key(new Revised(aircraft, newest.number()), newest.setup());
    searched(key, newest.setup());
    return Optional.ofNullable(underWay.get(key));
  }

  /** What a setup says, whoever it belongs to and whatever was noted or accepted of it. */
  private String key(Revised which, Setup setup) {
    return keys.get(which, one -> digest(setup));
  }

  private String digest(Setup setup) {
    Setup bare = setup.change().notebook(Notebook.EMPTY).name("-").done();
    try {
      byte[] text = documents.write(bare).getBytes(StandardCharsets.UTF_8);
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(text));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private SetupClearance searched(String key, Setup setup) {
    SetupClearance found = known.getIfPresent(key);
    if (found == null) {
      found =
          stored
              .findById(key)
              .filter(SetupClearanceEntity::ofThisProgram)
              .map(SetupClearanceEntity::read)
              .orElse(null);
      if (found != null) {
        known.put(key, found);
      }
    }
    return found != null ? found : begun(key, setup);
  }

  private SetupClearance begun(String key, Setup setup) {
    Job job =
        underWay.computeIfAbsent(
            key, one -> work.begin("clearance " + one, mine -> search(one, setup, mine)));
    boolean failed = job.stage() == Stage.FAILED;
    return new SetupClearance(List.of(), failed ? Search.FAILED : Search.UNDER_WAY, job.part());
  }

  private void search(String key, Setup setup, Job job) {
    HazardSearch.Outcome outcome = HazardSearch.of(SignalPath.of(setup), job, job);
    if (outcome.ending() == HazardSearch.Ending.STOPPED) {
      underWay.remove(key);
      return;
    }
    SetupClearance verdict =
        new SetupClearance(
            SetupClearance.hazards(outcome),
            outcome.complete() ? Search.WHOLE : Search.NOT_PROVEN,
            1);
    known.put(key, verdict);
    stored.saveAndFlush(new SetupClearanceEntity(key, verdict, clock.instant()));
    underWay.remove(key);
  }

  /** Why a pilot flies a model though something is missing. */
  record Word(@Text(max = 300) String because) {}

  /** Keeps a pilot's reason, of the newest revision and of just what is missing now. */
  @Transactional
  public void say(long aircraft, Word word) {
    Validation.check(word);
    hangar.alone(aircraft);
    Revision newest = hangar.newest(aircraft);
    Clearance now = of(aircraft, newest);
    if (now.verdict() == Clearance.Verdict.GROUNDED
        || !lacks(now).stream().allMatch(Lack::canBeWaived)) {
      throw new ConflictException(Said.of("refused.reasonCannotClear"));
    }
    words.deleteByAircraftId(aircraft);
    words.save(
        new ClearanceWordEntity(
            aircraft, newest.number(), lacks(now), word.because(), clock.instant()));
  }

  /** Takes a pilot's reason back. */
  @Transactional
  public void takeBack(long aircraft) {
    hangar.alone(aircraft);
    words.deleteByAircraftId(aircraft);
  }
}
