package hightally.core.movement;

import hightally.core.airframe.Surface;
import hightally.core.program.FeelSet;
import hightally.core.program.Phase;
import hightally.core.quantity.Control;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.signal.Moment;
import hightally.core.signal.NearestMoment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Every way a stick can move a surface: one line for each phase and each set of rates that can be
 * had in it, drawn from the bench's own answers.
 *
 * @param surface the one it is drawn at; empty where the control moves none
 * @param plusSide the side a throw is told of that is the same both ways: with roll the one on
 *     which the surface goes up, since differential takes from the other; else the plus side
 * @param throwWords what such a throw is called
 * @param sticks places of the stick, -1 to 1
 * @param lines those that are alike told once, with all their phases
 */
public record StickResponses(
    String surface, boolean plusSide, Said throwWords, List<Double> sticks, List<Line> lines) {
  private static final int PLACES = 20;

  /** Two lines no further apart than this are one: nothing a ruler shows. */
  private static final double SAME_MM = 1e-6;

  /**
   * One way.
   *
   * @param set id of the set that decides; empty for the plain rates
   * @param phases ids of the phases it is had in
   * @param here whether the bench stands there
   * @param moment where levers and switches stand, sticks centred
   * @param plus how far the full plus stick brings it from rest
   * @param minus how far the full minus stick brings it from rest
   * @param mm where the surface stands at each place of the stick
   */
  @Copyable
  public record Line(
      String set,
      List<String> phases,
      boolean here,
      Moment moment,
      Deflection plus,
      Deflection minus,
      List<Double> mm) {
    /** A copy to change, part by part. */
    public StickResponsesLineCopy change() {
      return StickResponsesLineCopy.from(this);
    }

    Line and(List<String> more) {
      List<String> all = new ArrayList<>(phases);
      all.addAll(more);
      return change().phases(all).done();
    }
  }

  private record Way(int phase, int set) {}

  /**
   * Of a control, at a surface.
   *
   * @param surface id of the surface; empty for the one the control moves most
   */
  public static StickResponses of(SignalPath path, Moment bench, Control control, String surface) {
    List<Double> sticks = new ArrayList<>();
    for (int i = -PLACES; i <= PLACES; i++) {
      sticks.add((double) i / PLACES);
    }
    String at = surface.isEmpty() ? most(path, control) : surface;
    if (at.isEmpty()) {
      return new StickResponses("", true, Said.of("movement.throwBoth"), sticks, List.of());
    }
    int index = path.indexOf(at);
    Moment still = MixEffect.centred(bench);
    Set<Way> seen = new HashSet<>();
    List<Line> lines = new ArrayList<>();
    for (Moment moment : NearestMoment.around(path, still)) {
      Way way = way(path, moment, control);
      if (seen.add(way)) {
        add(lines, line(path, moment, control, index, way, lines.isEmpty()));
      }
    }
    Surface drawn = path.setup().surfaces().get(index);
    boolean rolls = control == Control.ROLL && !drawn.sideways();
    return new StickResponses(
        at,
        !rolls || PhasePositions.rightRaises(path, still, index),
        Said.of(rolls ? "movement.throwUp" : "movement.throwBoth"),
        sticks,
        lines);
  }

  private static Way way(SignalPath path, Moment moment, Control control) {
    int phase = path.phase(moment);
    int set = path.program().decided(moment, phase).feel().get(control.ordinal());
    return new Way(phase, set);
  }

  private static Line line(
      SignalPath path, Moment moment, Control control, int surface, Way way, boolean here) {
    Positions rest = path.evaluate(moment);
    List<FeelSet> sets = path.setup().feelSets();
    Phase phase = path.setup().phases().get(way.phase());
    return new Line(
        way.set() < 0 ? "" : sets.get(way.set()).id(),
        List.of(phase.id()),
        here,
        moment,
        Deflection.between(rest, path.evaluate(moment.with(control, 1)), surface),
        Deflection.between(rest, path.evaluate(moment.with(control, -1)), surface),
        MixEffect.swept(path, moment, control, surface, PLACES));
  }

  /** Joins it to the one it is like, if there is one. */
  private static void add(List<Line> lines, Line line) {
    for (int i = 0; i < lines.size(); i++) {
      Line other = lines.get(i);
      if (other.set().equals(line.set()) && alike(other, line)) {
        lines.set(i, other.and(line.phases()));
        return;
      }
    }
    lines.add(line);
  }

  private static boolean alike(Line one, Line other) {
    for (int i = 0; i < one.mm().size(); i++) {
      if (Math.abs(one.mm().get(i) - other.mm().get(i)) > SAME_MM) {
        return false;
      }
    }
    return true;
  }

  private static String most(SignalPath path, Control control) {
    String found = "";
    double most = 0;
    for (Surface surface : path.setup().surfaces()) {
      double share = Math.abs(surface.shares().of(control));
      if (share > most) {
        most = share;
        found = surface.id();
      }
    }
    return found;
  }
}
