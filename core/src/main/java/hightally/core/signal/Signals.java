package hightally.core.signal;

import hightally.core.program.Curve;
import hightally.core.program.CurvePoint;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.Sources;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;

/** The sources there are, each made once for a setup. */
final class Signals implements Sources<Signal> {
  private static final double PERCENT = 100;

  private final Setup setup;
  private final ToIntFunction<String> target;
  private final Response[] responses;
  private final Trim[] trims;
  private final List<Straight> asMoved = new ArrayList<>();
  private final Fixed always = new Fixed();
  private final MotorCurve motor;
  private int count;

  /**
   * @param target the place of a surface or motor among the commands
   */
  Signals(Setup setup, ToIntFunction<String> target) {
    this.setup = setup;
    this.target = target;
    Control[] controls = Control.values();
    responses = Arrays.stream(controls).map(Response::new).toArray(Response[]::new);
    double click = setup.transmitter().clickStepPercent();
    trims = Arrays.stream(controls).map(one -> new Trim(one, click)).toArray(Trim[]::new);
    int lever = setup.transmitter().inputIndex(setup.power().throttleInput());
    motor = new MotorCurve(setup, lever < 0 ? Axis.THROTTLE : Axis.ofInput(lever));
    Stream.of(responses).forEach(this::begunWith);
    Stream.of(trims).forEach(this::begunWith);
    begunWith(always);
    begunWith(motor);
  }

  private void begunWith(Signal signal) {
    signal.at(count++);
  }

  /** The values every run begins with, kind by kind: what the others are made from. */
  double[] values(Evaluation run) {
    double[] values = new double[count];
    for (Response one : responses) {
      values[one.index()] = one.of(run);
    }
    for (Trim one : trims) {
      values[one.index()] = one.of(run);
    }
    values[always.index()] = always.of(run);
    values[motor.index()] = motor.of(run);
    for (Straight one : asMoved) {
      values[one.index()] = one.of(run);
    }
    return values;
  }

  @Override
  public Signal stick(Control control) {
    return asMoved(Axis.of(control), PERCENT, 0);
  }

  @Override
  public Signal response(Control control) {
    return responses[control.ordinal()];
  }

  Signal trim(Control control) {
    return trims[control.ordinal()];
  }

  @Override
  public Signal always() {
    return always;
  }

  @Override
  public Signal motor() {
    return motor;
  }

  @Override
  public Signal input(String id) {
    return asMoved(Axis.ofInput(setup.transmitter().inputIndex(id)), PERCENT, 0);
  }

  @Override
  public Signal throttle() {
    return asMoved(Axis.THROTTLE, 2 * PERCENT, -PERCENT);
  }

  @Override
  public Signal power() {
    return new MotorPower(motor, setup.power());
  }

  @Override
  public Signal command(String surface) {
    return new Command(target.applyAsInt(surface));
  }

  @Override
  public Signal bent(Signal of, DoubleUnaryOperator bend, double... corners) {
    return new Bent(of, bend, corners);
  }

  private Signal asMoved(int axis, double factor, double atZero) {
    for (Straight one : asMoved) {
      if (one.axis == axis && one.factor == factor) {
        return one;
      }
    }
    Straight added = new Straight(axis, factor, atZero);
    begunWith(added);
    asMoved.add(added);
    return added;
  }

  /** What a mix takes its value from. */
  Signal of(Mix mix) {
    return mix.source().made(this, mix.subject());
  }

  /** An axis as it is moved: the place times a factor, and what it is at 0. */
  private static final class Straight extends Signal {
    private final int axis;
    private final double factor;
    private final double atZero;

    Straight(int axis, double factor, double atZero) {
      this.axis = axis;
      this.factor = factor;
      this.atZero = atZero;
    }

    @Override
    int axis() {
      return axis;
    }

    @Override
    double along(double place, Decisions standing) {
      return factor * place + atZero;
    }

    @Override
    void reaches(double value, Decisions standing, Kinks kinks) {
      kinks.add((value - atZero) / factor);
    }
  }

  /** A stick behind its rate and expo. */
  private static final class Response extends Signal {
    private final Control control;

    Response(Control control) {
      this.control = control;
    }

    @Override
    int axis() {
      return Axis.of(control);
    }

    @Override
    double along(double place, Decisions standing) {
      return PERCENT * standing.feel().curves()[control.ordinal()].value(place);
    }

    @Override
    void reaches(double value, Decisions standing, Kinks kinks) {
      kinks.whereRising(place -> along(place, standing), value);
    }
  }

  /** The throttle behind the curve of the phase. */
  private static final class MotorCurve extends Signal {
    private final int axis;
    private final Curve[] curves;
    private final List<List<CurvePoint>> points = new ArrayList<>();

    MotorCurve(Setup setup, int axis) {
      this.axis = axis;
      for (Phase phase : setup.phases()) {
        points.add(setup.power().curve(phase.id()).points());
      }
      curves = points.stream().map(Curve::of).toArray(Curve[]::new);
    }

    @Override
    int axis() {
      return axis;
    }

    @Override
    double along(double place, Decisions standing) {
      return curves[standing.phase()].value(2 * PERCENT * place - PERCENT);
    }

    /** Its points, and where a motor's command or its power is cut off. */
    @Override
    void bends(Decisions standing, Kinks kinks) {
      for (CurvePoint point : points.get(standing.phase())) {
        kinks.add((point.x() + PERCENT) / (2 * PERCENT));
      }
      for (double level : new double[] {-PERCENT, 0, PERCENT}) {
        reaches(level, standing, kinks);
      }
    }

    @Override
    void reaches(double value, Decisions standing, Kinks kinks) {
      kinks.whereStraight(place -> along(place, standing), value);
    }
  }

  /** How hard the motors are told to turn by the throttle, behind curve, cut and arming. */
  private static final class MotorPower extends Signal {
    private final MotorCurve curve;
    private final Power power;

    MotorPower(MotorCurve curve, Power power) {
      this.curve = curve;
      this.power = power;
    }

    @Override
    int axis() {
      return curve.axis();
    }

    @Override
    double along(double place, Decisions standing) {
      return standing.held() ? 0 : PERCENT * power.power(curve.along(place, standing));
    }

    @Override
    void bends(Decisions standing, Kinks kinks) {
      curve.bends(standing, kinks);
    }

    @Override
    void reaches(double value, Decisions standing, Kinks kinks) {
      kinks.whereStraight(place -> along(place, standing), value);
    }
  }

  /** Another source bent at corners. */
  private static final class Bent extends Signal {
    private final Signal inner;
    private final DoubleUnaryOperator bend;
    private final double[] corners;

    Bent(Signal inner, DoubleUnaryOperator bend, double[] corners) {
      this.inner = inner;
      this.bend = bend;
      this.corners = corners.clone();
    }

    @Override
    int axis() {
      return inner.axis();
    }

    @Override
    double along(double place, Decisions standing) {
      return bend.applyAsDouble(inner.along(place, standing));
    }

    @Override
    void bends(Decisions standing, Kinks kinks) {
      inner.bends(standing, kinks);
      for (double corner : corners) {
        inner.reaches(corner, standing, kinks);
      }
    }

    /** On each straight piece of the bend there is one value at most that it comes from. */
    @Override
    void reaches(double value, Decisions standing, Kinks kinks) {
      int last = corners.length - 1;
      from(value, corners[0] - PERCENT, corners[0], standing, kinks, false);
      for (int i = 0; i < last; i++) {
        from(value, corners[i], corners[i + 1], standing, kinks, true);
      }
      from(value, corners[last], corners[last] + PERCENT, standing, kinks, false);
    }

    private void from(
        double value, double low, double high, Decisions standing, Kinks kinks, boolean within) {
      double first = bend.applyAsDouble(low);
      double rise = bend.applyAsDouble(high) - first;
      if (rise != 0) {
        double part = (value - first) / rise;
        if (!within || part > 0 && part < 1) {
          inner.reaches(low + part * (high - low), standing, kinks);
        }
      }
    }
  }

  /** Another surface's or motor's command. */
  private static final class Command extends Signal {
    private final int of;

    Command(int of) {
      this.of = of;
    }

    @Override
    int axis() {
      return Axis.NONE;
    }

    @Override
    int command() {
      return of;
    }

    @Override
    double of(Evaluation run) {
      return run.command(of);
    }
  }

  /** Clicks of trim, in percent of command. */
  private static final class Trim extends Signal {
    private final Control control;
    private final double click;

    Trim(Control control, double click) {
      this.control = control;
      this.click = click;
    }

    @Override
    int axis() {
      return Axis.NONE;
    }

    @Override
    double of(Evaluation run) {
      return click * run.trims().of(control);
    }
  }

  /** Always 100. */
  private static final class Fixed extends Signal {
    @Override
    int axis() {
      return Axis.NONE;
    }

    @Override
    double of(Evaluation run) {
      return PERCENT;
    }

    @Override
    double along(double place, Decisions standing) {
      return PERCENT;
    }
  }
}
