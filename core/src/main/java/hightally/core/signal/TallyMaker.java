package hightally.core.signal;

import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Output;
import hightally.core.quantity.Control;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

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

  /** How far the arm is moved to feel the slope of the surface, degrees. */
  private static final double FEELER_DEGREES = 1e-4;

  private final SignalPath path;
  private final Moment moment;
  private final int surface;
  private final Surface surfacePart;
  private final Servo servo;
  private final ChannelPath channel;
  private final Output output;
  private final List<TallyLine> lines = new ArrayList<>();
  private double percent;
  private double degrees;
  private double mm;

  private TallyMaker(SignalPath path, Moment moment, int surface) {
    this.path = path;
    this.moment = moment;
    this.surface = surface;
    surfacePart = path.setup().surfaces().get(surface);
    servo = path.servoBehind(surface);
    channel = path.channel(path.channelBehind(surface));
    output = channel.output();
  }

  /** The tally of a surface, by its index, at a moment. */
  public static Tally of(SignalPath path, Moment moment, int surface) {
    return new TallyMaker(path, moment, surface).make();
  }

  private Tally make() {
    double command = commands();
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

  private double commands() {
    double command = 0;
    for (Control control : Control.values()) {
      if (channel.share(control) != 0) {
        double part = channel.responsePercent(control, path.responseOf(control, moment));
        command += part;
        add(Contribution.RESPONSE, name(control) + " stick", part, ideal(command));
      }
    }
    for (int lever = 0; lever < channel.leverCount(); lever++) {
      double part = channel.leverPercent(lever, moment);
      command += part;
      String input = path.setup().transmitter().inputs().get(channel.leverInput(lever)).name();
      add(Contribution.LEVER, capital(input), part, ideal(command));
    }
    if (channel.presetPercent() != 0) {
      command += channel.presetPercent();
      add(Contribution.PRESET, "Preset", channel.presetPercent(), ideal(command));
    }
    for (Control control : Control.values()) {
      if (channel.share(control) != 0) {
        double part = channel.trimPercent(control, moment.trims());
        command += part;
        add(Contribution.TRIM, name(control) + " trim", part, ideal(command));
      }
    }
    return command;
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

  private static String capital(String name) {
    return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
  }

  private static String name(Control control) {
    String name = control.name();
    return name.charAt(0) + name.substring(1).toLowerCase(Locale.ROOT);
  }
}
