package hightally.core.signal;

import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Output;
import hightally.core.quantity.Control;
import hightally.core.quantity.Words;
import java.util.ArrayList;
import java.util.List;

/**
 * Explains one surface at one moment.
 *
 * <p>The path is walked with one more stage switched on at a time: commands first, on an ideal
 * output stage (no sub-trim, no arm offset, rods as at neutral, no limits), then each of those. A
 * line is the difference its stage makes, so the lines sum to the position by construction, to
 * rounding.
 */
public final class TallyMaker {
  /** A stage that moves the arm by less than this is not listed, degrees. */
  private static final double NOTHING_DEGREES = 1e-9;

  private static final double PERCENT = 100;

  /** How far the arm is moved to feel the slope of the surface, degrees. */
  private static final double FEELER_DEGREES = 1e-4;

  private final SignalPath path;
  private final Moment moment;
  private final int surface;
  private final Surface surfacePart;
  private final Servo servo;
  private final Program program;
  private final int phase;

  /** The command the channel is at, percent; NaN where it is at the one the program gives. */
  private final double actual;

  private final int carried;
  private final Output output;
  private final List<TallyLine> lines = new ArrayList<>();
  private double command;
  private double percent;
  private double degrees;
  private double mm;

  private TallyMaker(SignalPath path, Moment moment, int surface, int phase, double actual) {
    this.path = path;
    this.moment = moment;
    this.surface = surface;
    surfacePart = path.setup().surfaces().get(surface);
    servo = path.servoBehind(surface);
    program = path.program();
    this.phase = phase;
    this.actual = actual;
    carried = path.carriedBehind(surface);
    output = path.output(path.channelBehind(surface));
  }

  /** The tally of a surface, by its index, at a moment. */
  public static Tally of(SignalPath path, Moment moment, int surface) {
    return new TallyMaker(path, moment, surface, path.phase(moment), Double.NaN).make();
  }

  /**
   * The tally while something is under way: a phase fades in, a channel is slowed, the link is
   * lost.
   *
   * @param phase the one that is on
   * @param actual the command the surface's channel is at, percent
   */
  public static Tally underWay(
      SignalPath path, Moment moment, int surface, int phase, double actual) {
    return new TallyMaker(path, moment, surface, phase, actual).make();
  }

  private Tally make() {
    commands();
    if (!Double.isNaN(actual) && Math.abs(actual - command) > NOTHING_DEGREES) {
      command(Contribution.UNDER_WAY, "Still under way", actual - command);
    }
    double shifted = (output.freePulse(command) - servo.centrePulseMicroseconds()) * servo.slope();
    arm(Contribution.CENTRE_SHIFT, "Centre shift", shifted - idealArm(command), shifted, command);
    double offset = shifted + servo.armOffsetDegrees();
    arm(Contribution.ARM_OFFSET, "Arm off square", servo.armOffsetDegrees(), offset, command);
    rod(offset, command);
    double real = realArm(command);
    if (Math.abs(real - offset) > NOTHING_DEGREES) {
      double cut = (real - offset) / armPerPercent(command);
      add(Contribution.LIMIT, "Cut off by a limit", cut, path.angleBehind(surface, real, true));
    }
    double atHigh = travel(output.commandLimit());
    double atLow = travel(-output.commandLimit());
    return new Tally(
        surfacePart.id(),
        List.copyOf(lines),
        percent,
        degrees,
        mm,
        Math.max(0, Math.max(atHigh, atLow) - mm),
        Math.max(0, mm - Math.min(atHigh, atLow)));
  }

  private void commands() {
    for (Control control : Control.values()) {
      if (program.share(carried, control) != 0) {
        response(control);
      }
    }
    for (int lever = 0; lever < program.leverCount(carried); lever++) {
      int input = program.leverInput(carried, lever);
      String name = path.setup().transmitter().inputs().get(input).name();
      command(Contribution.LEVER, Words.capital(name), program.leverPart(carried, lever, moment));
    }
    if (program.preset(carried, phase) != 0) {
      command(Contribution.PRESET, "Preset", program.preset(carried, phase));
    }
    for (Program.MixPart mix : program.mixParts(carried, moment, phase)) {
      command(Contribution.MIX, mix.name(), mix.percent());
    }
    double click = path.setup().transmitter().clickStepPercent();
    for (Control control : Control.values()) {
      double share = program.share(carried, control);
      if (share != 0) {
        double part = click * share * program.trims(moment, phase).of(control);
        command(Contribution.TRIM, Words.capital(control.word()) + " trim", part);
      }
    }
  }

  private void response(Control control) {
    double value = program.response(control, moment, phase);
    double plain = PERCENT * program.share(carried, control) * value;
    command(Contribution.RESPONSE, Words.capital(control.word()) + " stick", plain);
    if (control == Control.ROLL) {
      double differs = program.rollPart(carried, phase, value) - plain;
      if (differs != 0) {
        command(Contribution.DIFFERENTIAL, "Differential", differs);
      }
    }
  }

  private void command(Contribution kind, String label, double part) {
    command += part;
    add(kind, label, part, ideal(command));
  }

  private void arm(Contribution kind, String label, double change, double arm, double command) {
    if (Math.abs(change) > NOTHING_DEGREES) {
      double part = change / armPerPercent(command);
      add(kind, label, part, path.angleBehind(surface, arm, false));
    }
  }

  /** The rod's percent are the command that would move the surface as far, at its present slope. */
  private void rod(double arm, double command) {
    double before = degrees;
    double after = path.angleBehind(surface, arm, true);
    if (Math.abs(after - before) > NOTHING_DEGREES) {
      double feeler = path.angleBehind(surface, arm + FEELER_DEGREES, true) - after;
      double perPercent = feeler / FEELER_DEGREES * armPerPercent(command);
      double part = perPercent == 0 ? 0 : (after - before) / perPercent;
      add(Contribution.ROD, "In the rods", part, after);
    }
  }

  private void add(Contribution kind, String label, double part, double degreesAfter) {
    double mmAfter = surfacePart.travelMm(degreesAfter);
    lines.add(new TallyLine(kind, label, part, degreesAfter - degrees, mmAfter - mm));
    percent += part;
    degrees = degreesAfter;
    mm = mmAfter;
  }

  private double ideal(double command) {
    return path.angleBehind(surface, idealArm(command), false);
  }

  private double idealArm(double command) {
    return (output.unshiftedPulse(command) - output.centre()) * servo.slope();
  }

  private double realArm(double command) {
    return servo.armDegrees(output.pulse(command));
  }

  private double armPerPercent(double command) {
    return output.plainSlope(command) * servo.slope();
  }

  private double travel(double command) {
    return surfacePart.travelMm(path.angleBehind(surface, realArm(command), true));
  }
}
