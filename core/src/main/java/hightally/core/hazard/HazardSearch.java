package hightally.core.hazard;

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
 * What every switch can do: all positions of levers and switches, all transitions of one of them,
 * and in each the corners of the sticks.
 *
 * <p>Surfaces depend on a state only through the phase, what is active in it, and where the levers
 * stand; states that agree in these are looked at once. Of hazards of one kind about one thing only
 * the worst is kept.
 */
public final class HazardSearch {
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
   * @param evaluated how many distinct ones had to be evaluated
   * @param complete whether it was not stopped on the way
   */
  public record Outcome(List<Hazard> hazards, long states, long evaluated, boolean complete) {}

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
    boolean complete = true;
    for (long number = 0; number < count && complete; number++) {
      Moment moment = states.moment(number);
      power.state(number, moment);
      surfaces.state(moment);
      program.state(moment);
      if (number % 64 == 0) {
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
    return new Outcome(new ArrayList<>(hazards), count, surfaces.evaluated(), complete);
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

  /** Keeps a hazard if it is the worst of its kind about its subject. */
  void keep(
      HazardKind kind,
      String subject,
      double size,
      String words,
      List<String> way,
      List<Moment> moments) {
    String key = kind + " " + subject;
    Found before = found.get(key);
    if (before == null || size > before.size()) {
      found.put(key, new Found(new Hazard(kind, subject, words, kind.why(), way, moments), size));
    }
  }
}
