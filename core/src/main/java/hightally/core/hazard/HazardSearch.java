package hightally.core.hazard;

import hightally.core.channel.Channel;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.mix.Mix;
import hightally.core.phase.Phase;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Conditions;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.signal.Stretch;
import java.util.ArrayList;
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
 * kind about one thing only the worst is kept.
 */
public final class HazardSearch {
  /** How many states pass before it is asked whether to stop. */
  static final int LOOK_UP = 64;

  private static final double LOOK_SECONDS = 1.2;

  private final SignalPath path;
  private final Setup setup;
  private final double standing;
  private final States states;
  private final Bends bends;
  private final Map<String, Found> found = new LinkedHashMap<>();

  private record Found(Hazard hazard, double size) {}

  /**
   * The outcome.
   *
   * @param hazards worst kinds first, those that are accepted last
   * @param states how many switch and lever states were covered
   * @param evaluated how many moments had to be evaluated; all else was bounded
   * @param sampled in how many kinds of states, or of changes between them, no bound decides and
   *     places were tried
   * @param ending how it ended; only a whole search proves anything
   */
  public record Outcome(
      List<Hazard> hazards, long states, long evaluated, long sampled, Ending ending) {
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
    /** More states than can be looked at in bounded time and memory: none was. */
    TOO_LARGE
  }

  HazardSearch(SignalPath path) {
    this.path = path;
    setup = path.setup();
    standing = standing(setup);
    states = new States(path);
    bends = new Bends(setup);
  }

  /** Searches to the end. */
  public static Outcome of(SignalPath path) {
    return of(path, () -> false, part -> {});
  }

  /**
   * Searches until told to stop.
   *
   * @param stop asked between states
   * @param progress told the part done, 0 to 1
   */
  public static Outcome of(SignalPath path, BooleanSupplier stop, DoubleConsumer progress) {
    return new HazardSearch(path).search(stop, progress);
  }

  private Outcome search(BooleanSupplier stop, DoubleConsumer progress) {
    long count = states.count();
    boolean tooLarge = count > States.MOST;
    PowerHazards power = new PowerHazards(this, tooLarge ? 0 : (int) count);
    StateHazards surfaces = new StateHazards(this);
    JumpHazards jumps = new JumpHazards(this, tooLarge ? 0 : (int) count);
    SteadyHazards steady = new SteadyHazards(this, tooLarge ? 0 : (int) count);
    ProgramHazards program = new ProgramHazards(this);
    StopHazards stops = new StopHazards(this);
    stops.look();
    program.written();
    boolean complete = !tooLarge;
    for (int number = 0; number < count && complete; number++) {
      State state = State.of(path, states, number);
      power.state(state);
      surfaces.state(state);
      jumps.state(state);
      steady.state(state);
      program.state(state);
      if (number % LOOK_UP == 0) {
        progress.accept((double) number / count);
        complete = !stop.getAsBoolean();
      }
    }
    complete = complete && power.changes(stop) && jumps.changes(stop) && steady.changes(stop);
    if (complete) {
      program.never();
      surfaces.dead();
      stops.throwsASurface(surfaces);
      progress.accept(1);
    }
    List<Hazard> hazards =
        found.values().stream()
            .map(Found::hazard)
            .sorted(
                Comparator.comparing((Hazard one) -> !one.acceptedBecause().isEmpty())
                    .thenComparing(Hazard::kind))
            .toList();
    return new Outcome(
        new ArrayList<>(hazards),
        count,
        surfaces.evaluated() + power.evaluated() + jumps.evaluated() + steady.evaluated(),
        surfaces.sampled() + power.sampled() + jumps.sampled() + steady.sampled(),
        tooLarge ? Ending.TOO_LARGE : complete ? Ending.WHOLE : Ending.STOPPED);
  }

  SignalPath path() {
    return path;
  }

  Setup setup() {
    return setup;
  }

  States states() {
    return states;
  }

  Bends bends() {
    return bends;
  }

  /** The axis the motors' control lies on. */
  int throttleAxis() {
    int lever = setup.transmitter().inputIndex(setup.power().throttleInput());
    return lever < 0 ? Places.THROTTLE : Places.THROTTLE + 1 + lever;
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

  /** A search for where something is largest, along some axes of a stretch. */
  Furthest furthest(Collection<Integer> axes, Stretch stretch) {
    List<double[]> places =
        axes.stream()
            .map(axis -> bends.within(axis, stretch.from()[axis], stretch.to()[axis]))
            .toList();
    return new Furthest(List.copyOf(axes), places);
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
    Found before = found.get(key);
    if (before == null || size > before.size()) {
      List<Moment> told = moments.stream().map(this::told).toList();
      Hazard.Showing showing = new Hazard.Showing(leadIn(told), standing, linkLost);
      Hazard hazard = new Hazard(kind, subject, words, kind.why(), way, told, showing, mends, "");
      found.put(key, new Found(hazard.acceptedIn(setup.notebook()), size));
    }
  }

  /** Where timers decide something a moment says what is true in it, so that a bench shows it. */
  private Moment told(Moment moment) {
    boolean counted = states.lines().stream().anyMatch(one -> one.kind() == Line.Kind.TIMER);
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
