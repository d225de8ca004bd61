package hightally.core.hazard;

import hightally.core.channel.Channel;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.quantity.Control;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisBox;
import hightally.core.signal.AxisPlaces;
import hightally.core.signal.Conditions;
import hightally.core.signal.InputRange;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.signal.StillCommand;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;

/**
 * What every switch can do: all positions of switches and all stretches of levers and sticks in
 * which nothing switches, all transitions of one of them, and in each wherever sticks and levers
 * can go: bounded where that can be proven, tried in the corners where it cannot. Of hazards of one
 * kind about one thing only the worst is kept, to within a few hundredths.
 *
 * <p>Searched by effect: what counts alike is looked at once, and every output over what it hangs
 * on only. What can hurt first comes first: motors, then linkages that lock, surfaces that touch
 * and jump. It is bounded by the work done, never by time.
 */
public final class HazardSearch {
  /** Version of what is looked for and how: what an older one found is worked out anew. */
  public static final int VERSION = 3;

  /** As much work as a search may do where nothing else is said: some minutes of it. */
  public static final long MOST_WORK = 20_000_000;

  private static final double PERCENT = 100;
  private static final double SAME_SIZE = 1e-6;
  private static final double LOOK_SECONDS = 1.2;

  private final SignalPath path;
  private final Setup setup;
  private final double standing;
  private final SwitchStates states;
  private final SwitchLogic logic;
  private final DecisionRegions regions;
  private final SearchBudget work;
  private final Map<String, Hazard> found = new LinkedHashMap<>();

  /**
   * The outcome.
   *
   * @param hazards worst kinds first, those that are accepted last
   * @param states how many switch and lever states were covered
   * @param evaluated how many moments had to be evaluated; all else was bounded
   * @param sampled in how many kinds of states, or of changes between them, no bound decides and
   *     places were tried
   * @param work all that was done: regions told apart, moments and parts looked at
   * @param motorWork as much of it until all that concerns motors was known; all where it was not
   * @param ending how it ended; only a whole search proves anything
   */
  @Copyable
  public record Outcome(
      List<Hazard> hazards,
      long states,
      long evaluated,
      long sampled,
      long work,
      long motorWork,
      Ending ending) {
    /** A copy to change, part by part. */
    public HazardSearchOutcomeCopy change() {
      return HazardSearchOutcomeCopy.from(this);
    }

    /** The same to be shown. */
    public Outcome shown() {
      return change().hazards(hazards.stream().map(Hazard::shown).toList()).done();
    }

    /** Whether it looked at everything it set out to. */
    public boolean complete() {
      return ending == Ending.WHOLE;
    }
  }

  /** How a search ends. */
  public enum Ending {
    /** Every state was looked at. */
    WHOLE,
    /** It was stopped on the way. */
    STOPPED,
    /** It did all the work it may without coming to an end. */
    TOO_LARGE
  }

  HazardSearch(SignalPath path, SearchBudget work) {
    this.path = path;
    this.work = work;
    setup = path.setup();
    standing = standing(setup);
    states = new SwitchStates(path);
    logic = new SwitchLogic(path, states);
    regions = new DecisionRegions(logic, states, work);
  }

  /** Searches to the end. */
  public static Outcome of(SignalPath path) {
    return of(path, () -> false, part -> {});
  }

  /**
   * Searches until told to stop.
   *
   * @param stop asked now and then
   * @param progress told the part done, 0 to 1
   */
  public static Outcome of(SignalPath path, BooleanSupplier stop, DoubleConsumer progress) {
    return of(path, MOST_WORK, stop, progress);
  }

  /**
   * Searches until told to stop or until so much is done.
   *
   * @param mostWork regions told apart, moments and parts looked at
   * @param stop asked now and then
   * @param progress told the part done, 0 to 1
   */
  public static Outcome of(
      SignalPath path, long mostWork, BooleanSupplier stop, DoubleConsumer progress) {
    SearchBudget work = new SearchBudget(mostWork, stop, progress);
    return new HazardSearch(path, work).search(mostWork);
  }

  private Outcome search(long mostWork) {
    List<HazardFinder> finders = finders();
    Ending ending = Ending.WHOLE;
    long motorWork = -1;
    finders.forEach(HazardFinder::written);
    try {
      work.spend(states.tooFine() ? mostWork + 1 : 0);
      int begun = 0;
      for (HazardFinder one : finders) {
        int share = one.sharePercent();
        if (share > 0) {
          work.stage(begun / PERCENT, (begun + share) / PERCENT);
          begun += share;
        }
        one.look();
        motorWork = one instanceof PowerHazards ? work.done() : motorWork;
      }
      finders.forEach(HazardFinder::afterwards);
      work.told(1);
    } catch (SearchBudget.Stopped e) {
      ending = work.done() > mostWork ? Ending.TOO_LARGE : Ending.STOPPED;
    }
    List<Hazard> hazards =
        found.values().stream()
            .sorted(
                Comparator.comparing((Hazard one) -> !one.acceptedBecause().isEmpty())
                    .thenComparing(Hazard::kind))
            .toList();
    return new Outcome(
        new ArrayList<>(hazards),
        states.count(),
        finders.stream().mapToLong(HazardFinder::evaluated).sum(),
        finders.stream().mapToLong(HazardFinder::sampled).sum(),
        work.done(),
        motorWork < 0 ? work.done() : motorWork,
        ending);
  }

  /** All that look, what can hurt first. */
  List<HazardFinder> finders() {
    StateHazards surfaces = new StateHazards(this);
    return List.of(
        new StopHazards(this, surfaces),
        new ProgramHazards(this),
        new PowerHazards(this),
        surfaces,
        new JumpHazards(this),
        new SteadyHazards(this));
  }

  SignalPath path() {
    return path;
  }

  Setup setup() {
    return setup;
  }

  SwitchStates states() {
    return states;
  }

  SwitchLogic logic() {
    return logic;
  }

  DecisionRegions regions() {
    return regions;
  }

  SearchBudget work() {
    return work;
  }

  /** The axis the motors' control lies on. */
  int throttleAxis() {
    int lever = setup.transmitter().inputIndex(setup.power().throttleInput());
    return lever < 0 ? AxisPlaces.THROTTLE : AxisPlaces.THROTTLE + 1 + lever;
  }

  /** What moves some surfaces: every axis their commands hang on. */
  Set<Integer> axesOf(int... surfaces) {
    Set<Integer> axes = new TreeSet<>();
    for (int surface : surfaces) {
      int carried = path.carriedBehind(surface);
      if (carried >= 0) {
        axes.addAll(path.program().hangs(carried).axes());
      }
    }
    return axes;
  }

  /**
   * How far each mix has come in the moment after a change: one with a fade of its own is as it was
   * before, all others as they are then.
   */
  double[] atOnce(Moment before, int phase) {
    double[] weights = new double[setup.mixes().size()];
    for (int i = 0; i < weights.length; i++) {
      boolean fades = setup.mixes().get(i).fadeSeconds() > 0;
      weights[i] = fades && !path.program().wanted(i, before, phase) ? 0 : 1;
    }
    return weights;
  }

  /**
   * A search for where something of some surfaces is largest, along some axes of a stretch: tried
   * where their commands bend, for what lies straight between needs no looking at.
   */
  MaximumSearch furthest(
      Collection<Integer> axes, AxisBox stretch, Moment state, int phase, int... surfaces) {
    List<StillCommand> commands =
        Arrays.stream(surfaces)
            .map(path::carriedBehind)
            .filter(carried -> carried >= 0)
            .mapToObj(carried -> path.program().still(carried, state, phase))
            .toList();
    List<double[]> places = new ArrayList<>();
    for (int axis : axes) {
      double from = stretch.from()[axis];
      double to = stretch.to()[axis];
      places.add(
          commands.stream()
              .flatMapToDouble(one -> Arrays.stream(one.bends(axis, from, to)))
              .sorted()
              .distinct()
              .toArray());
    }
    return new MaximumSearch(List.copyOf(axes), places);
  }

  /** Which switch, which lever, which stick leads to a moment. */
  List<Said> way(Moment moment) {
    List<Said> way = new ArrayList<>(states.words(moment));
    way.addAll(sticks(moment));
    if (moment.throttle() > 0) {
      way.add(Said.of("hazard.throttle", "at", Quantity.percent(100 * moment.throttle())));
    }
    return way;
  }

  /** Which sticks are not centred. */
  List<Said> sticks(Moment moment) {
    List<Said> way = new ArrayList<>();
    for (Control control : Control.values()) {
      double stick = moment.of(control);
      if (stick != 0) {
        way.add(Said.of("hazard.stick", "control", control, "at", Quantity.percent(100 * stick)));
      }
    }
    return way;
  }

  /** Keeps a hazard if it is the worst of its kind about its subject. */
  void keep(
      HazardKind kind,
      String subject,
      double size,
      Said words,
      List<Said> way,
      List<Moment> moments) {
    keep(kind, subject, size, words, way, moments, List.of());
  }

  /** The same with what mends it. */
  void keep(
      HazardKind kind,
      String subject,
      double size,
      Said words,
      List<Said> way,
      List<Moment> moments,
      List<Mend> mends) {
    keep(kind, subject, size, words, way, moments, mends, false);
  }

  /** The same for what happens when the link is lost. */
  void keep(
      HazardKind kind,
      String subject,
      double size,
      Said words,
      List<Said> way,
      List<Moment> moments,
      List<Mend> mends,
      boolean linkLost) {
    String key = kind + " " + subject;
    Hazard before = found.get(key);
    // Of equals the first stays: fewest things moved.
    if (before == null || size > before.size() + SAME_SIZE) {
      List<Moment> told = moments.stream().map(this::told).toList();
      Hazard.Showing showing = new Hazard.Showing(leadIn(told), standing, linkLost);
      Hazard hazard =
          new Hazard(kind, subject, words, kind.why(), way, told, showing, size, mends, "");
      found.put(key, hazard.acceptedIn(setup.notebook()));
    }
  }

  /** Where timers decide something a moment says what is true in it, so that a bench shows it. */
  private Moment told(Moment moment) {
    boolean counted = states.lines().stream().anyMatch(one -> one.kind() == InputRange.Kind.TIMER);
    return counted && moment.readings().truths().isEmpty()
        ? moment.with(moment.readings().withTruths(truths(moment)))
        : moment;
  }

  private List<Boolean> truths(Moment moment) {
    Conditions conditions = path.program().conditions();
    int phase = path.phase(moment);
    return IntStream.range(0, conditions.count())
        .mapToObj(i -> conditions.isTrue(i, moment, phase))
        .toList();
  }

  /** The first moment with the throttle control at rest, so that nothing holds the motors in it. */
  private List<Moment> leadIn(List<Moment> moments) {
    if (moments.isEmpty()) {
      return List.of();
    }
    Moment first = moments.get(0);
    int lever = setup.transmitter().inputIndex(setup.power().throttleInput());
    return List.of(lever < 0 ? first.withThrottle(0, false) : first.withInput(lever, 0));
  }

  /** How long it takes until all that fades or is slowed has arrived, and a look besides. */
  private static double standing(Setup setup) {
    double longest = 0;
    for (Phase phase : setup.phases()) {
      longest = Math.max(longest, phase.fadeSeconds());
    }
    for (Mix mix : setup.mixes()) {
      longest = Math.max(longest, mix.fadeSeconds());
    }
    for (Channel channel : setup.channels()) {
      longest = Math.max(longest, channel.slowedSeconds());
    }
    return LOOK_SECONDS + longest;
  }

  /** A fade long enough, for a phase that comes on or mixes that change. */
  Mend fading(int phase, boolean phaseChanges, long mixes) {
    double seconds = setup.house().softFadeSeconds();
    List<Edit> edits = new ArrayList<>();
    if (phaseChanges) {
      edits.add(Edit.of(Figure.PHASE_FADE, setup.phases().get(phase).id(), seconds));
    } else {
      for (int i = 0; i < setup.mixes().size(); i++) {
        boolean quick = setup.mixes().get(i).fadeSeconds() < seconds;
        if (quick && (mixes & 1L << i) != 0) {
          edits.add(Edit.of(Figure.MIX_FADE, setup.mixes().get(i).id(), seconds));
        }
      }
    }
    return new Mend(Said.of("hazard.letItFade", "fade", Quantity.seconds(seconds, 1)), edits);
  }
}
