package hightally.core.adjustment;

import hightally.core.airframe.Servo;
import hightally.core.channel.Output;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.RodChange;
import hightally.core.linkage.RodEnd;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import java.util.ArrayList;
import java.util.List;

/**
 * Trims of every phase: the reference phase's trim goes into the rods, every other phase gets the
 * clicks with which its surfaces stand where they stood.
 *
 * <p>Per servo the rod change of {@link RodChange}, whole steps made; then in every phase the
 * command that brings the old surface angle with the new rod, exact by the linkage's inverse; then
 * the clicks per control by least squares over the servos, equal weights, in percent of command;
 * whole clicks, halves away from zero. A control whose clicks do nothing another one would not do
 * gets none. Derived in {@code docs/computation.md}.
 */
public final class Retrim {
  private final List<Driven> servos;
  private final double clickStep;
  private final List<RodChange> changes = new ArrayList<>();
  private final FourBar[] after;

  /**
   * A servo and the surface its rod moves.
   *
   * @param shares of roll, pitch and yaw
   */
  public record Driven(
      String name,
      double[] shares,
      FourBar bar,
      Output output,
      Servo servo,
      RodEnd end,
      double chordMm) {
    double arm(double command) {
      return servo.armDegrees(output.pulse(command));
    }

    double travel(double degrees) {
      return chordMm * Math.sin(Math.toRadians(degrees));
    }
  }

  /**
   * A phase as flown.
   *
   * @param restPercent command of every servo, sticks centred, without trim
   */
  public record FlownPhase(String name, Trims trims, double[] restPercent) {}

  /**
   * A phase with the new rods.
   *
   * @param trimAfter whole clicks
   * @param exact before rounding, clicks for roll, pitch, yaw
   * @param travelErrorMm per servo against where it stood; NaN where the linkage cannot reach
   */
  public record PhaseAfter(String name, Trims trimAfter, double[] exact, double[] travelErrorMm) {}

  /**
   * The outcome.
   *
   * @param changes per servo
   * @param armPerPercent per servo, at the reference phase's neutral
   */
  public record Retrimmed(
      List<RodChange> changes, double[] armPerPercent, List<PhaseAfter> phases) {}

  private Retrim(List<Driven> servos, double clickStep) {
    this.servos = servos;
    this.clickStep = clickStep;
    after = new FourBar[servos.size()];
  }

  /**
   * Works it out.
   *
   * @param reference index of the phase whose trim goes into the rods
   * @param common whether one trim serves all phases: then the reference decides
   */
  public static Retrimmed of(
      List<Driven> servos,
      List<FlownPhase> phases,
      int reference,
      double clickStepPercent,
      boolean common) {
    Retrim retrim = new Retrim(servos, clickStepPercent);
    double[] slopes = retrim.turn(phases.get(reference));
    double[] decided = retrim.exact(phases.get(reference));
    List<PhaseAfter> found = new ArrayList<>();
    for (FlownPhase phase : phases) {
      double[] exact = common ? decided : retrim.exact(phase);
      found.add(retrim.after(phase, exact));
    }
    return new Retrimmed(List.copyOf(retrim.changes), slopes, found);
  }

  private double[] turn(FlownPhase phase) {
    double[] slopes = new double[servos.size()];
    for (int i = 0; i < servos.size(); i++) {
      Driven one = servos.get(i);
      double rest = phase.restPercent()[i];
      RodChange change =
          RodChange.of(
              one.bar(),
              one.end(),
              one.chordMm(),
              one.arm(rest + trim(one, phase.trims())),
              one.arm(rest));
      changes.add(change);
      after[i] =
          change instanceof RodChange.Found found
              ? one.bar().withRod(one.bar().rodLengthMm() + found.appliedMm())
              : one.bar();
      slopes[i] = one.output().slope(rest) * one.servo().slope();
    }
    return slopes;
  }

  private double trim(Driven one, Trims trims) {
    double sum = 0;
    for (Control control : Control.values()) {
      sum += one.shares()[control.ordinal()] * trims.of(control);
    }
    return clickStep * sum;
  }

  private double stood(int i, FlownPhase phase) {
    Driven one = servos.get(i);
    double command = phase.restPercent()[i] + trim(one, phase.trims());
    return one.bar().surfaceAngle(one.arm(command));
  }

  private double[] exact(FlownPhase phase) {
    ClickFit fit = new ClickFit(clickStep);
    for (int i = 0; i < servos.size(); i++) {
      Driven one = servos.get(i);
      double rest = phase.restPercent()[i];
      double near = one.arm(rest + trim(one, phase.trims()));
      double command = ClickFit.command(after[i], one.output(), one.servo(), stood(i, phase), near);
      fit.servo(one.shares(), command - rest);
    }
    return fit.exact();
  }

  private PhaseAfter after(FlownPhase phase, double[] exact) {
    Trims clicks = ClickFit.whole(exact);
    double[] errors = new double[servos.size()];
    for (int i = 0; i < errors.length; i++) {
      Driven one = servos.get(i);
      double command = phase.restPercent()[i] + trim(one, clicks);
      double now = after[i].surfaceAngle(one.arm(command));
      errors[i] = one.travel(now) - one.travel(stood(i, phase));
    }
    return new PhaseAfter(phase.name(), clicks, exact, errors);
  }
}
