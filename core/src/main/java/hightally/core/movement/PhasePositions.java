package hightally.core.movement;

import hightally.core.hazard.HandsMoved;
import hightally.core.program.Phase;
import hightally.core.quantity.Control;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.signal.Moment;
import hightally.core.signal.NearestMoment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import hightally.core.signal.TallyMaker;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where every surface stands in a phase, in the position nearest to the bench's in which it is on.
 *
 * @param phase its id
 * @param reached whether some position of switches, levers and throttle brings it
 * @param here whether it is on where the bench stands
 * @param moved what stands otherwise than on the bench, in words
 * @param moment what the hands do there, sticks centred; the bench's own where nothing brings it
 * @param surfaces one a surface, in the setup's order; none where nothing brings it
 */
public record PhasePositions(
    String phase,
    boolean reached,
    boolean here,
    List<Said> moved,
    Moment moment,
    List<Stand> surfaces) {

  /**
   * A surface there.
   *
   * @param restMm where it stands, of all that moves it, sticks centred
   * @param presetMm what the phase's preset adds: its line of the tally
   * @param presetDegrees the same in degrees
   * @param presetAsPair whether the surface that mirrors it has the same preset; true of one that
   *     has no pair
   * @param differentialAsPair the same of differential
   * @param full with one stick at an end
   * @param rollUp how far full roll raises it from rest
   * @param rollDown how far full roll lowers it from rest
   */
  @Copyable
  public record Stand(
      String surface,
      double restMm,
      double presetMm,
      double presetDegrees,
      boolean presetAsPair,
      boolean differentialAsPair,
      List<Full> full,
      Deflection rollUp,
      Deflection rollDown) {
    /** A copy to change, part by part. */
    public PhasePositionsStandCopy change() {
      return PhasePositionsStandCopy.from(this);
    }
  }

  /**
   * With one stick at both ends, all else as at rest; told of the sticks that move the surface.
   *
   * @param plusMm where it stands at the plus end
   * @param minusMm where it stands at the minus end
   */
  public record Full(Control control, double plusMm, double minusMm) {}

  /** Of every phase, in the setup's order. */
  public static List<PhasePositions> of(SignalPath path, Moment bench) {
    Moment still = MixEffect.centred(bench);
    List<PhasePositions> all = new ArrayList<>();
    for (int i = 0; i < path.setup().phases().size(); i++) {
      all.add(of(path, still, i));
    }
    return all;
  }

  private static PhasePositions of(SignalPath path, Moment still, int phase) {
    String id = path.setup().phases().get(phase).id();
    Optional<Moment> found = where(path, still, phase);
    if (found.isEmpty()) {
      return new PhasePositions(id, false, false, List.of(), still, List.of());
    }
    Moment moment = found.get();
    List<Said> moved = HandsMoved.between(path, still, moment);
    return new PhasePositions(id, true, moved.isEmpty(), moved, moment, stands(path, moment));
  }

  /** The nearest moment in which a phase is on, sticks centred. */
  static Optional<Moment> where(SignalPath path, Moment still, int phase) {
    return NearestMoment.where(path, still, moment -> path.phase(moment) == phase);
  }

  /**
   * Whether roll to the right raises a surface there, by what it does: by its share, a mix or a
   * linkage that is turned. One that roll does not move counts as raised.
   */
  static boolean rightRaises(SignalPath path, Moment rest, int surface) {
    return raises(
        path.evaluate(rest.with(Control.ROLL, 1)),
        path.evaluate(rest.with(Control.ROLL, -1)),
        surface);
  }

  private static boolean raises(Positions right, Positions left, int surface) {
    return right.travelMm()[surface] >= left.travelMm()[surface];
  }

  private static List<Stand> stands(SignalPath path, Moment rest) {
    Positions still = path.evaluate(rest);
    Control[] controls = Control.values();
    Positions[] plus = new Positions[controls.length];
    Positions[] minus = new Positions[controls.length];
    int roll = Control.ROLL.ordinal();
    for (Control control : controls) {
      plus[control.ordinal()] = path.evaluate(rest.with(control, 1));
      minus[control.ordinal()] = path.evaluate(rest.with(control, -1));
    }
    List<Stand> stands = new ArrayList<>();
    for (int i = 0; i < still.travelMm().length; i++) {
      List<Full> full = new ArrayList<>();
      for (Control control : controls) {
        double up = plus[control.ordinal()].travelMm()[i];
        double down = minus[control.ordinal()].travelMm()[i];
        if (up != still.travelMm()[i] || down != still.travelMm()[i]) {
          full.add(new Full(control, up, down));
        }
      }
      String surface = path.setup().surfaces().get(i).id();
      TallyMaker.Added preset = TallyMaker.ofPreset(path, rest, i);
      Deflection right = Deflection.between(still, plus[roll], i);
      Deflection left = Deflection.between(still, minus[roll], i);
      boolean rises = raises(plus[roll], minus[roll], i);
      stands.add(
          new Stand(
              surface,
              still.travelMm()[i],
              preset.mm(),
              preset.degrees(),
              true,
              true,
              full,
              rises ? right : left,
              rises ? left : right));
    }
    Phase phase = path.setup().phases().get(path.phase(rest));
    return stands.stream().map(one -> asPair(path, phase, one, stands)).toList();
  }

  /** What a surface has in common with its pair. */
  private static Stand asPair(SignalPath path, Phase phase, Stand one, List<Stand> all) {
    String pair = path.setup().surface(one.surface()).orElseThrow().pair();
    if (pair.isEmpty()) {
      return one;
    }
    Stand other = all.get(path.indexOf(pair));
    return one.change()
        .presetAsPair(
            Deflection.alike(
                phase.presetPercent(one.surface()),
                phase.presetPercent(pair),
                one.presetMm(),
                other.presetMm()))
        .differentialAsPair(
            Deflection.alike(
                phase.differential(one.surface()),
                phase.differential(pair),
                one.rollDown().mm(),
                other.rollDown().mm()))
        .done();
  }
}
