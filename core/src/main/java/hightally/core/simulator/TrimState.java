package hightally.core.simulator;

import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.signal.Moment;
import java.util.Optional;

/**
 * Straight flight hands off: everything in balance.
 *
 * @param speed m/s through the air
 * @param alpha angle of attack, rad
 * @param beta sideslip, rad; plus: the air comes from the right
 * @param bank rad, right wing down
 * @param pitch of the nose above the horizon, rad
 * @param path of the flight above the horizon, rad
 * @param throttle the stick, 0 to 1
 * @param clicks of roll, pitch and yaw trim, with their fractions
 */
public record TrimState(
    double speed,
    double alpha,
    double beta,
    double bank,
    double pitch,
    double path,
    double throttle,
    double[] clicks) {
  private static final int ALPHA = 0;
  private static final int ALONG = 1;
  private static final int PITCH = 2;
  private static final int ROLL = 3;
  private static final int BETA = 4;
  private static final int LAST = 5;
  private static final int UNKNOWN = 6;
  private static final int ROUNDS = 60;
  private static final double ENOUGH = 1e-9;
  private static final int LINES = 6;
  private static final double CLICKS = 20;
  private static final double START_POWER = 0.25;

  /** The whole clicks that come nearest. */
  public Trims trims() {
    return new Trims(
        (int) Math.rint(clicks[0]), (int) Math.rint(clicks[1]), (int) Math.rint(clicks[2]));
  }

  /** Where the state is looked for. */
  static final class Search {
    private final FlyingModel model;
    private final Moment rest;
    private final int phase;
    private final double speed;
    private final double path;
    private final boolean gliding;
    private final boolean yaws;
    private final Aerodynamics.Held held;
    private final double[] flaps;
    private final double[] power;
    private Trims whole = Trims.ZERO;

    /**
     * A search.
     *
     * @param rest switches, levers, and the throttle of a glide
     * @param gliding whether the power is given and the path is found, instead of the other way
     */
    Search(FlyingModel model, Moment rest, int phase, double speed, double path, boolean gliding) {
      this.model = model;
      this.rest = rest;
      this.phase = phase;
      this.speed = speed;
      this.path = path;
      this.gliding = gliding;
      flaps = new double[model.cockpit().flaps()];
      power = new double[model.cockpit().motors()];
      held = model.forces().held(flaps, power);
      yaws =
          model.setup().surfaces().stream()
              .anyMatch(one -> one.shares().of(Control.YAW) != 0 && counts(one.id()));
    }

    private boolean counts(String surface) {
      return model.setup().surface(surface).stream()
          .anyMatch(one -> model.traits().roles().containsKey(one.place().panel()));
    }

    Optional<TrimState> find() {
      double[] x = new double[UNKNOWN];
      x[ALPHA] = startAlpha();
      x[ALONG] = gliding ? -0.1 : Math.min(1, speed / model.pitchSpeed() + START_POWER);
      // Between whole clicks the program is followed in a line; the line is that of the clicks
      // found.
      for (int round = 0; round < LINES; round++) {
        double[] found = NewtonSolver.solve(this::residual, x, ENOUGH, ROUNDS);
        if (found == null) {
          return Optional.empty();
        }
        x = found;
        Trims there = TrimInterpolation.floor(clicks(found));
        if (there.equals(whole)) {
          break;
        }
        whole = there;
      }
      return Optional.of(state(x));
    }

    /** The angle at which the lift carries the weight, by trying. */
    private double startAlpha() {
      double best = 0.05;
      double least = Double.MAX_VALUE;
      double weight = model.mass() * FlyingModel.GRAVITY;
      for (double alpha = -0.1; alpha <= 0.25; alpha += 0.01) {
        double[] x = new double[UNKNOWN];
        x[ALPHA] = alpha;
        stand(x);
        double off = Math.abs(weight + loads(x).z());
        best = off < least ? alpha : best;
        least = Math.min(least, off);
      }
      return best;
    }

    private Aerodynamics.Loads loads(double[] x) {
      double beta = x[BETA];
      return held.loads(
          new Aerodynamics.Motion(
              speed * Math.cos(x[ALPHA]) * Math.cos(beta),
              speed * Math.sin(beta),
              speed * Math.sin(x[ALPHA]) * Math.cos(beta),
              0,
              0,
              0,
              FlyingModel.DENSITY));
    }

    private void stand(double[] x) {
      double[] clicks = clicks(x);
      Moment moment = gliding ? rest : Throttle.at(model.setup(), rest, clamp(x[ALONG]));
      new TrimInterpolation(model.cockpit(), clicks, whole).stand(moment, phase, flaps, power);
      held.stand(flaps, power);
    }

    private double[] clicks(double[] x) {
      return new double[] {x[ROLL] * CLICKS, x[PITCH] * CLICKS, yaws ? x[LAST] * CLICKS : 0};
    }

    private static double clamp(double value) {
      return Math.max(0, Math.min(1, value));
    }

    private double[] residual(double[] x) {
      stand(x);
      Aerodynamics.Loads loads = loads(x);
      TrimState state = state(x);
      double g = FlyingModel.GRAVITY * model.mass();
      double weight = g;
      return new double[] {
        (loads.x() - g * Math.sin(state.pitch)) / weight,
        (loads.y() + g * Math.cos(state.pitch) * Math.sin(state.bank)) / weight,
        (loads.z() + g * Math.cos(state.pitch) * Math.cos(state.bank)) / weight,
        loads.l() / weight,
        loads.m() / weight,
        loads.n() / weight
      };
    }

    private TrimState state(double[] x) {
      double bank = yaws ? 0 : x[LAST];
      double climbs = gliding ? x[ALONG] : path;
      double ahead = Math.cos(x[ALPHA]) * Math.cos(x[BETA]);
      double down =
          Math.sin(x[BETA]) * Math.sin(bank)
              + Math.sin(x[ALPHA]) * Math.cos(x[BETA]) * Math.cos(bank);
      double size = Math.max(1e-9, Math.hypot(ahead, down));
      double within = Math.max(-1, Math.min(1, Math.sin(climbs) / size));
      double pitch = Math.atan2(down, ahead) + Math.asin(within);
      double throttle = gliding ? rest.throttle() : clamp(x[ALONG]);
      return new TrimState(speed, x[ALPHA], x[BETA], bank, pitch, climbs, throttle, clicks(x));
    }
  }
}
