package hightally.core.hazard;

import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
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

/**
 * What every switch can do: all positions of switches and all stretches of levers and sticks in
 * which nothing switches, all transitions of one of them, and in each wherever sticks and levers
 * can go: bounded where that can be proven, tried in the corners where it cannot. Of hazards of one
 * kind about one thing only the worst is kept.
 */
public final class HazardSearch {
  /** How many states pass before it is asked whether to stop. */
  static final int LOOK_UP = 64;

  private final SignalPath path;
  private final Setup setup;
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
      program.state(state);
      if (number % LOOK_UP == 0) {
        progress.accept((double) number / count);
        complete = !stop.getAsBoolean();
      }
    }
    complete = complete && power.changes(stop) && jumps.changes(stop);
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
        surfaces.evaluated() + power.evaluated() + jumps.evaluated(),
        surfaces.sampled() + power.sampled() + jumps.sampled(),
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
   * How far each mix has come in the moment after a change: one with a fade of its own that did not
   * act before has not begun.
   *
   * @param acted the mixes that acted before, a bit each
   */
  double[] atOnce(long acted) {
    double[] weights = new double[setup.mixes().size()];
    for (int i = 0; i < weights.length; i++) {
      boolean fades = setup.mixes().get(i).fadeSeconds() > 0;
      weights[i] = fades && (acted & 1L << i) == 0 ? 0 : 1;
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
    String key = kind + " " + subject;
    Found before = found.get(key);
    if (before == null || size > before.size()) {
      List<Moment> bare = moments.stream().map(States::bare).toList();
      Hazard hazard = new Hazard(kind, subject, words, kind.why(), way, bare, mends, "");
      found.put(key, new Found(hazard.acceptedIn(setup.notebook()), size));
    }
  }

  /** A fade long enough, for a phase that comes on or mixes that change. */
  Mend fading(int phase, boolean phaseChanges, long mixes) {
    double seconds = setup.house().softFadeSeconds();
    List<Edit> edits = new ArrayList<>();
    if (phaseChanges) {
      edits.add(Edit.of(Figure.PHASE_FADE, setup.phases().get(phase).id(), seconds));
    } else {
      for (int i = 0; i < setup.mixes().size(); i++) {
        if ((mixes & 1L << i) != 0) {
          edits.add(Edit.of(Figure.MIX_FADE, setup.mixes().get(i).id(), seconds));
        }
      }
    }
    return new Mend(Said.of("hazard.letItFade", "fade", Quantity.seconds(seconds, 1)), edits);
  }
}
