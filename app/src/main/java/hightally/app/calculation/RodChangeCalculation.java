package hightally.app.calculation;

import static hightally.app.calculation.LinkageCalculation.finite;

import hightally.core.adjustment.RodDirection;
import hightally.core.airframe.Servo;
import hightally.core.channel.Output;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.RodChange;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Unit;

/** Kind {@code rodChange}: a trim carried over into a rod. */
final class RodChangeCalculation {
  private RodChangeCalculation() {}

  /** A rod's end: pitch in mm per turn, or for a sliding stopper its step in mm. */
  record RodEndGiven(RodEndKind kind, Double pitch, Double step) {
    RodEnd end(String path) {
      RodEndKind given = Given.need(path + "kind", kind);
      boolean slide = given == RodEndKind.SLIDE;
      String field = path + (slide ? "step" : "pitch");
      double size = Given.number(field, slide ? step : pitch, 0.05, 2, Unit.MILLIMETRES);
      return new RodEnd(given, size);
    }
  }

  /** Chord in mm; commands in percent. */
  record RodChangeGiven(
      LinkageGiven linkage,
      OutputGiven output,
      ServoGiven servo,
      RodEndGiven rodEnd,
      Double chord,
      Double neutralCommand,
      Double trimCommand) {}

  /** Angles in degrees, travels and lengths in mm, the trim left over in percent; null: locked. */
  record RodChangeFound(
      @Absentable Double targetAngle,
      @Absentable Double untrimmedAngle,
      @Absentable Double targetTravel,
      @Absentable Double gaugeChange,
      @Absentable Double rodChange,
      @Absentable RodDirection direction,
      @Absentable Double turnsExact,
      @Absentable Long steps,
      @Absentable Double rodChangeApplied,
      @Absentable Double angleAfter,
      @Absentable Double travelError,
      @Absentable Double trimLeftCommand) {}

  static RodChangeFound of(RodChangeGiven given) {
    FourBar bar = Given.need("linkage", given.linkage()).bar("linkage.");
    Output output = Given.need("output", given.output()).output("output.");
    Servo servo = Given.need("servo", given.servo()).servo("servo.");
    RodEnd end = Given.need("rodEnd", given.rodEnd()).end("rodEnd.");
    double chord = Given.number("chord", given.chord(), 1, 2000, Unit.MILLIMETRES);
    double neutral =
        Given.number(
            "neutralCommand", Given.or(given.neutralCommand(), 0.0), -200, 200, Unit.PERCENT);
    double trim = Given.number("trimCommand", given.trimCommand(), -200, 200, Unit.PERCENT);
    double with = servo.armDegrees(output.pulse(neutral + trim));
    double without = servo.armDegrees(output.pulse(neutral));
    double armPerPercent = output.slope(neutral) * servo.slope();
    return found(RodChange.of(bar, end, chord, with, without), armPerPercent);
  }

  static RodChangeFound found(RodChange change, double armPerPercent) {
    if (!(change instanceof RodChange.Found it)) {
      return new RodChangeFound(
          null, null, null, null, null, null, null, null, null, null, null, null);
    }
    return new RodChangeFound(
        it.targetDegrees(),
        it.todayDegrees(),
        it.targetTravelMm(),
        it.gaugeChangeMm(),
        it.changeMm(),
        RodDirection.of(it.changeMm()),
        it.turnsExact(),
        it.steps(),
        it.appliedMm(),
        finite(it.afterDegrees()),
        finite(it.errorMm()),
        finite(it.driverLeftDegrees() / armPerPercent));
  }
}
