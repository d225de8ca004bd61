package hightally.core.hazard;

import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
  private static final int LOOK_UP = 64;

  private final SignalPath path;
  private final Setup setup;
  private final States states;
  private final Map<String, Found> found = new LinkedHashMap<>();

  private record Found(Hazard hazard, double size) {}

  /**
   * The outcome.
   *
   * @param hazards worst kinds first
   * @param states how many switch and lever states were covered
   * @param evaluated how many moments had to be evaluated; all else was bounded
   * @param sampled in how many distinct states a bound could not decide and corners were tried
   * @param ending how it ended; only a whole search proves anything
   * @param notLookedAt what this setup has and the search leaves out: nothing is proven of that
   */
  public record Outcome(
      List<Hazard> hazards,
      long states,
      long evaluated,
      long sampled,
      Ending ending,
      List<LeftOut> notLookedAt) {
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
    states = new States(setup);
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
    PowerHazards power = new PowerHazards(this);
    StateHazards surfaces = new StateHazards(this);
    power.settings();
    ProgramHazards program = new ProgramHazards(this);
    program.written();
    long count = states.count();
    boolean tooLarge = count > States.MOST;
    boolean complete = !tooLarge;
    for (long number = 0; number < count && complete; number++) {
      Moment moment = states.moment(number);
      power.state(number, moment);
      surfaces.state(number, moment);
      program.state(moment);
      if (number % LOOK_UP == 0) {
        progress.accept((double) number / count);
        complete = !stop.getAsBoolean();
      }
    }
    if (complete) {
      program.never();
      surfaces.dead();
      progress.accept(1);
    }
    List<Hazard> hazards =
        found.values().stream()
            .map(Found::hazard)
            .sorted(Comparator.comparing(Hazard::kind))
            .toList();
    return new Outcome(
        new ArrayList<>(hazards),
        count,
        surfaces.evaluated(),
        surfaces.sampled(),
        tooLarge ? Ending.TOO_LARGE : complete ? Ending.WHOLE : Ending.STOPPED,
        LeftOut.of(setup));
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

  /** Which switch, which lever, which stick leads to a moment. */
  List<Said> way(Moment moment) {
    List<Said> way = new ArrayList<>(states.words(moment));
    for (Control control : Control.values()) {
      double stick = moment.of(control);
      if (stick != 0) {
        way.add(Said.of("hazard.stick", "control", control, "at", Quantity.percent(100 * stick)));
      }
    }
    if (moment.throttle() > 0) {
      way.add(Said.of("hazard.throttle", "at", Quantity.percent(100 * moment.throttle())));
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
    String key = kind + " " + subject;
    Found before = found.get(key);
    if (before == null || size > before.size()) {
      found.put(key, new Found(new Hazard(kind, subject, words, kind.why(), way, moments), size));
    }
  }
}
