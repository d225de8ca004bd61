package hightally.core.benchsetup;

import hightally.core.airframe.PartChange;
import hightally.core.airframe.Surface;
import hightally.core.channel.Lead;
import hightally.core.probe.Look;
import hightally.core.probe.LookAnswer;
import hightally.core.probe.LookAnswer.Sight;
import hightally.core.probe.Probe;
import hightally.core.probe.ProbeStage;
import hightally.core.probe.ProbeTold;
import hightally.core.probe.ProbeWords;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which surface moved and which way, as it was seen on one model: the looks that still say
 * something, and what follows.
 *
 * <p>Every look is kept as an answer of the set-up: its step names the look, its figures are the
 * ways of the surfaces in the order of the setup that was on the bench. A later one to the same
 * look counts instead of it; so does word that it was taken back, that a change voided it, or that
 * all begins again. They belong to the model and not to one set-up: what was seen stays seen until
 * what it was seen of is changed.
 */
public final class WaysSeen {
  /** The step whose looks they are. */
  public static final String STEP = StepKind.WAYS.step("", "");

  private static final String CARRIED = "carried";
  private static final String BACK = "back";
  private static final String VOID = "void";
  private static final String AGAIN = "again";

  /** Where directions were once seen surface by surface. */
  private static final String OLDER = "direction";

  /** The way of a surface that was not looked at. */
  private static final int UNSEEN = 2;

  private final Setup now;
  private Probe probe;
  private final Map<String, BenchLook> newest = new LinkedHashMap<>();
  private final Map<String, BenchLook> older = new LinkedHashMap<>();
  private final List<PartNoted> parts;
  private final List<LookAnswer> answers = new ArrayList<>();
  private boolean begun;
  private boolean changed;
  private Instant last = Instant.MIN;
  private ProbeTold told;

  private WaysSeen(Setup now, List<BenchLook> all, List<PartNoted> parts) {
    this.now = now;
    this.parts = List.copyOf(parts);
    Map<Setup, Probe> probes = new HashMap<>();
    for (BenchLook one : all) {
      String step = one.answer().step();
      if (step.equals(STEP) && one.answer().choice().equals(AGAIN)) {
        newest.clear();
        begun(one);
      } else if (isLook(one.answer())) {
        newest.remove(step);
        newest.put(step, one);
        begun(one);
      } else if (StepName.of(step).kind().equals(OLDER)) {
        older.put(step, one);
      }
    }
    newest.values().stream().filter(WaysSeen::counts).forEach(one -> take(one, probes));
  }

  private void begun(BenchLook one) {
    begun = true;
    last = one.at();
  }

  /** The probe of the model, made once somebody asks for it. */
  private Probe probe() {
    if (probe == null) {
      probe = Probe.ofSurfaces(now);
    }
    return probe;
  }

  /**
   * What was seen on a model as it is now.
   *
   * @param all that was ever answered of it, oldest first
   * @param parts that were changed on it
   */
  public static WaysSeen of(Setup now, List<BenchLook> all, List<PartNoted> parts) {
    return new WaysSeen(now, all, parts);
  }

  /** Whether an answer is about the looks: one to a look, or word about one or about all. */
  public static boolean isAbout(StepAnswer answer) {
    return isLook(answer) || answer.step().equals(STEP) && !answer.choice().isEmpty();
  }

  private static boolean isLook(StepAnswer answer) {
    return !look(answer).isEmpty();
  }

  /** The look an answer is about; empty for none. */
  private static String look(StepAnswer answer) {
    StepName name = StepName.of(answer.step());
    return name.kind().equals(STEP) ? name.about() : "";
  }

  /** Whether an answer stands in the log of what was done; a program's own bookkeeping does not. */
  public static boolean isTold(StepAnswer answer) {
    return !answer.choice().equals(CARRIED) && !answer.choice().equals(VOID);
  }

  private static boolean counts(BenchLook one) {
    return List.of("", CARRIED).contains(one.answer().choice())
        && one.answer().values().size() == one.then().surfaces().size();
  }

  private void take(BenchLook one, Map<Setup, Probe> probes) {
    String look = look(one.answer());
    Optional<Instant> swapped = swapped(look, one, probes);
    if (swapped.isEmpty() && holds(look, one.then(), probes)) {
      answers.add(answer(one));
    } else {
      changed = true;
      swapped.filter(last::isBefore).ifPresent(since -> last = since);
    }
  }

  /**
   * Whether a look still says something: the program moves in it what it moved, and nothing of the
   * description that decides which way those go has been told otherwise.
   */
  private boolean holds(String look, Setup then, Map<Setup, Probe> probes) {
    if (then.equals(now)) {
      return probe().look(look).isPresent();
    }
    List<Integer> was = probes.computeIfAbsent(then, Probe::ofSurfaces).described(look);
    if (was.isEmpty()
        || then.surfaces().size() != now.surfaces().size()
        || !was.equals(probe().described(look))) {
      return false;
    }
    for (int i = 0; i < now.surfaces().size(); i++) {
      String id = now.surfaces().get(i).id();
      boolean same = then.surfaces().get(i).id().equals(id);
      if (!same || was.get(i) != 0 && !directed(then, id).equals(directed(now, id))) {
        return false;
      }
    }
    return true;
  }

  /** When, after a look, a part was changed that can make it show something else. */
  private Optional<Instant> swapped(String look, BenchLook one, Map<Setup, Probe> probes) {
    return parts.stream()
        .filter(part -> part.change().asksWays() && part.at().isAfter(one.at()))
        .filter(part -> moves(part.change(), look, one.then(), probes))
        .map(PartNoted::at)
        .max(Comparator.naturalOrder());
  }

  /** Whether what hangs on a part moves in a look; one that is none of them may be any. */
  private static boolean moves(PartChange part, String look, Setup then, Map<Setup, Probe> probes) {
    List<Integer> ways = probes.computeIfAbsent(then, Probe::ofSurfaces).described(look);
    boolean known = false;
    boolean moves = false;
    for (int i = 0; i < then.surfaces().size() && i < ways.size(); i++) {
      boolean hangs = hangs(then, then.surfaces().get(i), part.subject());
      known |= hangs;
      moves |= hangs && ways.get(i) != 0;
    }
    return moves || !known;
  }

  /** Whether a surface, what drives it or its servo is called so. */
  private static boolean hangs(Setup setup, Surface surface, String subject) {
    Surface at = surface;
    while (at != null) {
      String driver = at.rod().driverId();
      if (subject.equalsIgnoreCase(at.name()) || subject.equals(at.id())) {
        return true;
      }
      if (setup
          .servo(driver)
          .filter(one -> subject.equals(one.id()) || subject.equalsIgnoreCase(one.name()))
          .isPresent()) {
        return true;
      }
      at = setup.surface(driver).orElse(null);
    }
    return false;
  }

  /** What the description says of the parts between a channel and a surface. */
  private static List<Object> directed(Setup setup, String id) {
    List<Object> facts = new ArrayList<>();
    Surface surface = setup.surface(id).orElse(null);
    while (surface != null) {
      String driver = surface.rod().driverId();
      facts.add(driver);
      facts.add(surface.rod().linkage().pushRaises());
      facts.add(surface.rod().linkage().opposite());
      setup
          .servo(driver)
          .ifPresent(
              servo -> {
                facts.add(servo.pullsOnIncrease());
                facts.add(servo.channel());
                facts.add(setup.wiring().lead(driver).map(Lead::reverser).orElse(false));
              });
      surface = setup.surface(driver).orElse(null);
    }
    return facts;
  }

  private static LookAnswer answer(BenchLook one) {
    List<Sight> seen = new ArrayList<>();
    for (int i = 0; i < one.then().surfaces().size(); i++) {
      int way = one.answer().values().get(i).intValue();
      if (way != UNSEEN) {
        seen.add(new Sight(one.then().surfaces().get(i).id(), way));
      }
    }
    return new LookAnswer(look(one.answer()), seen);
  }

  /** The answers that hold, oldest first. */
  public List<LookAnswer> answers() {
    return List.copyOf(answers);
  }

  /** Whether some look says nothing any more, since what it was at was changed. */
  public boolean changed() {
    return changed;
  }

  /** Where it stands. */
  public synchronized ProbeTold told() {
    if (told == null) {
      told = ProbeTold.of(probe(), now, answers);
    }
    return told;
  }

  /** Checks an answer for being one to a look at this model. */
  public synchronized void check(String field, LookAnswer answer) {
    ProbeTold.check(probe(), now, field, answer);
  }

  /** An answer as it is kept. */
  public StepAnswer kept(LookAnswer answer) {
    return row(now, answer, "");
  }

  private static StepAnswer row(Setup setup, LookAnswer answer, String choice) {
    List<Double> ways = new ArrayList<>();
    for (Surface surface : setup.surfaces()) {
      int way =
          answer.seen().stream()
              .filter(one -> one.surface().equals(surface.id()))
              .findFirst()
              .map(Sight::way)
              .orElse(UNSEEN);
      ways.add((double) way);
    }
    return new StepAnswer(StepKind.WAYS.step(answer.look(), ""), choice, ways);
  }

  /** Word that the last answer is taken back; nothing where there is none. */
  public Optional<StepAnswer> back() {
    return answers.isEmpty()
        ? Optional.empty()
        : Optional.of(word(answers.get(answers.size() - 1).look(), BACK));
  }

  private static StepAnswer word(String look, String choice) {
    return new StepAnswer(StepKind.WAYS.step(look, ""), choice, List.of());
  }

  /** Word that all begins again. */
  public static StepAnswer again() {
    return new StepAnswer(STEP, AGAIN, List.of());
  }

  /**
   * A model on which was changed what was to be changed.
   *
   * @param setup its description from then on
   * @param words what is kept of it: the looks that still say something, and those that do not
   */
  public record WaysMended(Setup setup, List<StepAnswer> words) {
    public WaysMended {
      words = List.copyOf(words);
    }
  }

  /** The model once what is to be changed has been; nothing where nothing is. */
  public synchronized Optional<WaysMended> mended() {
    if (told().stage() != ProbeStage.MENDING) {
      return Optional.empty();
    }
    ProbeTold.Mended mended = ProbeTold.mended(probe(), now, answers);
    List<StepAnswer> words = new ArrayList<>();
    for (LookAnswer one : answers) {
      words.add(
          mended.answers().stream()
              .filter(left -> left.look().equals(one.look()))
              .findFirst()
              .map(left -> row(mended.setup(), left, CARRIED))
              .orElseGet(() -> word(one.look(), VOID)));
    }
    return Optional.of(new WaysMended(mended.setup(), words));
  }

  /** What they come to as the answer to their step; nothing while something is looked at. */
  public synchronized Optional<StepResult> verdict() {
    if (!begun || told().stage() == ProbeStage.LOOKING) {
      return Optional.empty();
    }
    return Optional.of(
        told().stage() == ProbeStage.AGREED
            ? StepResult.agrees(STEP, told().words())
            : StepResult.differs(STEP, told().words()));
  }

  /** What is said of looks, and of words about them, in the log; in the same order. */
  public static List<Said> log(List<BenchLook> looks) {
    Map<Setup, Probe> probes = new HashMap<>();
    return looks.stream()
        .map(one -> log(one, probes.computeIfAbsent(one.then(), Probe::ofSurfaces)))
        .toList();
  }

  private static Said log(BenchLook one, Probe then) {
    if (!isLook(one.answer())) {
      return Said.of("probe.begunAgain");
    }
    ProbeWords words = new ProbeWords(one.then());
    return then.look(look(one.answer()))
        .map(
            found ->
                counts(one)
                    ? words.saw(found, answer(one))
                    : Said.of("probe.takenBack", "title", words.title(found)))
        .orElseGet(() -> Said.of("guide.ways"));
  }

  /** The surface, or look, that was seen to go otherwise than it must, of those that hold. */
  private Optional<Said> wrong() {
    return switch (told().stage()) {
      case AGREED, CONTRADICTED -> Optional.empty();
      case MENDING, UNMENDED -> Optional.of(Said.of("ready.waysWrong"));
      case LOOKING ->
          answers.stream()
              .map(one -> probe().look(one.look()).orElseThrow())
              .filter(this::otherwise)
              .findFirst()
              .map(look -> Said.of("ready.seenWrong", "title", new ProbeWords(now).title(look)));
    };
  }

  private boolean otherwise(Look look) {
    LookAnswer answer =
        answers.stream().filter(one -> one.look().equals(look.id())).findFirst().orElseThrow();
    return !answer.seen().stream().allMatch(look::asDrawn);
  }

  /**
   * What they leave.
   *
   * @param wrong what was seen wrong, or is to be changed, and has not been seen right since
   * @param open whether something could still be otherwise
   */
  public record WaysLeft(List<Said> wrong, boolean open) {
    public WaysLeft {
      wrong = List.copyOf(wrong);
    }
  }

  /**
   * What they leave of the model.
   *
   * @param checked when it was last checked as a whole and passed
   */
  public synchronized WaysLeft left(Instant checked) {
    if (!begun) {
      return new WaysLeft(older(checked), false);
    }
    if (!last.isAfter(checked)) {
      return new WaysLeft(List.of(), false);
    }
    if (told().stage() == ProbeStage.AGREED) {
      return new WaysLeft(List.of(), false);
    }
    List<Said> wrong = new ArrayList<>(wrong().stream().toList());
    wrong.addAll(older(checked));
    return new WaysLeft(wrong, wrong.isEmpty());
  }

  /** The surfaces that were once seen to go the wrong way, one by one, and not right since. */
  private List<Said> older(Instant checked) {
    return older.values().stream()
        .filter(one -> one.answer().choice().equals(BenchSetUp.WRONG) && one.at().isAfter(checked))
        .flatMap(one -> about(one).stream())
        .map(title -> Said.of("ready.seenWrong", "title", title))
        .toList();
  }

  /** What an older answer was about; nothing where its surface is gone. */
  private Optional<Said> about(BenchLook one) {
    StepName about = StepName.of(StepName.of(one.answer().step()).about());
    int input = now.transmitter().inputIndex(about.about());
    String lever = input < 0 ? about.about() : now.transmitter().inputs().get(input).name();
    Said on =
        Stream.of(Control.values())
            .filter(each -> each.word().equals(about.about()))
            .findFirst()
            .map(each -> Said.of("control", "control", each))
            .orElseGet(() -> Said.text(lever));
    return now.surface(about.kind())
        .map(surface -> Said.of("guide.way", "surface", surface.name(), "on", on));
  }
}
