package hightally.core.signal;

import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Output;
import hightally.core.quantity.Said;
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

  /** Which mix each of the first lines belongs to, by number; -1 for what is none. */
  private final List<Integer> mixes = new ArrayList<>();

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

  /**
   * What one thing adds, of a tally.
   *
   * @param fromPercent the command it is added to
   */
  public record Added(double percent, double degrees, double mm, double fromPercent) {}

  private Added added(int at) {
    TallyLine line = lines.get(at);
    double from = lines.subList(0, at).stream().mapToDouble(TallyLine::percent).sum();
    return new Added(line.percent(), line.degrees(), line.mm(), from);
  }

  /** The line of one mix, by its number, in the tally of a surface; nothing where it has none. */
  public static Added ofMix(SignalPath path, Moment moment, int surface, int mix) {
    TallyMaker maker = new TallyMaker(path, moment, surface, path.phase(moment), Double.NaN);
    maker.commands();
    int at = maker.mixes.indexOf(mix);
    return at < 0 ? new Added(0, 0, 0, 0) : maker.added(at);
  }

  /** The line of a phase's preset in the tally of a surface; nothing where it has none. */
  public static Added ofPreset(SignalPath path, Moment moment, int surface) {
    TallyMaker maker = new TallyMaker(path, moment, surface, path.phase(moment), Double.NaN);
    maker.commands();
    for (int i = 0; i < maker.lines.size(); i++) {
      if (maker.lines.get(i).contribution() == Contribution.PRESET) {
        return maker.added(i);
      }
    }
    return new Added(0, 0, 0, 0);
  }

  private Tally make() {
    commands();
    if (!Double.isNaN(actual) && Math.abs(actual - command) > NOTHING_DEGREES) {
      command(Contribution.UNDER_WAY, Said.of("tally.underWay"), actual - command);
    }
    double shifted = (output.freePulse(command) - servo.centrePulseMicroseconds()) * servo.slope();
    arm(
        Contribution.CENTRE_SHIFT,
        Said.of("tally.centreShift"),
        shifted - idealArm(command),
        shifted,
        command);
    double offset = shifted + servo.armOffsetDegrees();
    arm(
        Contribution.ARM_OFFSET,
        Said.of("tally.armOffset"),
        servo.armOffsetDegrees(),
        offset,
        command);
    rod(offset, command);
    double real = realArm(command);
    if (Math.abs(real - offset) > NOTHING_DEGREES) {
      double cut = (real - offset) / armPerPercent(command);
      add(Contribution.LIMIT, Said.of("tally.limit"), cut, path.angleBehind(surface, real, true));
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
    Evaluation run = program.run(moment, phase, program.trims(moment, phase));
    for (Term term : program.target(carried).terms(phase)) {
      if (term.acts(run.standing())) {
        double part = term.value(run);
        if (part != 0 || term.kind() != Contribution.DIFFERENTIAL) {
          command(term.kind(), term.label(), part);
          mixes.add(term.mix());
        }
      }
    }
  }

  private void command(Contribution kind, Said label, double part) {
    command += part;
    add(kind, label, part, ideal(command));
  }

  private void arm(Contribution kind, Said label, double change, double arm, double command) {
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
      add(Contribution.ROD, Said.of("tally.rod"), part, after);
    }
  }

  private void add(Contribution kind, Said label, double part, double degreesAfter) {
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
