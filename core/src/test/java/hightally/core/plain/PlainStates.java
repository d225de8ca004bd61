package hightally.core.plain;

import hightally.core.channel.InputKind;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Moments of a setup as a brute force meets them: anywhere, with a liking for ends, centres and the
 * neighbourhood of every limit a condition has; and all there is to change about one.
 */
public final class PlainStates {
  private static final double BESIDE = 0.004;

  private final Setup setup;
  private final Random random;

  public PlainStates(Setup setup, long seed) {
    this.setup = setup;
    random = new Random(seed);
  }

  /** What one change makes of a moment. */
  public record Change(String subject, Moment before, Moment after) {}

  /** A moment anywhere. */
  public Moment anywhere() {
    List<Double> inputs = new ArrayList<>();
    for (var input : setup.transmitter().inputs()) {
      inputs.add(
          input.kind() == InputKind.SWITCH
              ? random.nextInt(input.positions()) / (input.positions() - 1.0)
              : place(input.id(), 0));
    }
    return new Moment(
        place("roll", -1),
        place("pitch", -1),
        place("yaw", -1),
        place("throttle", 0),
        false,
        setup.trims(),
        inputs,
        new Readings(fact("link", 100), fact("voltage", 12.6), List.of(timer()), List.of()));
  }

  private double place(String subject, double least) {
    List<Double> liked = new ArrayList<>(List.of(least, 0.0, 1.0));
    for (Condition one : setup.conditions()) {
      if (one.subject().equals(subject)) {
        double limit = one.limit() / 100;
        liked.add(Math.max(least, Math.min(1, limit - BESIDE)));
        liked.add(Math.max(least, Math.min(1, limit + BESIDE)));
      }
    }
    return random.nextInt(3) == 0
        ? least + (1 - least) * random.nextDouble()
        : liked.get(random.nextInt(liked.size()));
  }

  private double fact(String subject, double usual) {
    List<Double> liked = new ArrayList<>(List.of(usual));
    for (Condition one : setup.conditions()) {
      if (one.subject().equals(subject)) {
        liked.add(Math.max(0, one.limit() - 1));
        liked.add(one.limit() + 1);
      }
    }
    return liked.get(random.nextInt(liked.size()));
  }

  private double timer() {
    List<Double> liked = new ArrayList<>(List.of(0.0));
    for (Condition one : setup.conditions()) {
      if (one.kind() == ConditionKind.TIMER_ABOVE) {
        liked.add(one.limit() + 1);
      }
    }
    return liked.get(random.nextInt(liked.size()));
  }

  /** Everything a single change makes of a moment: flicks, limits crossed, facts. */
  public List<Change> changes(Moment moment) {
    List<Change> found = new ArrayList<>();
    for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
      var input = setup.transmitter().inputs().get(i);
      if (input.kind() == InputKind.SWITCH) {
        for (int position = 0; position < input.positions(); position++) {
          double there = position / (input.positions() - 1.0);
          if (there != moment.input(i)) {
            found.add(new Change(input.id(), moment, moment.withInput(i, there)));
          }
        }
      }
    }
    for (Condition one : setup.conditions()) {
      switch (one.kind()) {
        case ABOVE, BELOW -> across(one, moment, found);
        case TELEMETRY_ABOVE, TELEMETRY_BELOW, TIMER_ABOVE -> fact(one, moment, found);
        default -> {}
      }
    }
    return found;
  }

  private void across(Condition one, Moment moment, List<Change> found) {
    double limit = one.limit() / 100;
    double hair = 1e-5;
    Moment below = at(moment, one.subject(), limit - hair);
    Moment above = at(moment, one.subject(), limit + hair);
    if (below != null && above != null) {
      found.add(new Change(one.subject(), below, above));
      found.add(new Change(one.subject(), above, below));
    }
  }

  private Moment at(Moment moment, String subject, double place) {
    boolean stick = List.of("roll", "pitch", "yaw").contains(subject);
    if (place > 1 || place < (stick ? -1 : 0)) {
      return null;
    }
    return switch (subject) {
      case "roll" -> moment.with(hightally.core.quantity.Control.ROLL, place);
      case "pitch" -> moment.with(hightally.core.quantity.Control.PITCH, place);
      case "yaw" -> moment.with(hightally.core.quantity.Control.YAW, place);
      case "throttle" -> moment.withThrottle(place, false);
      default -> moment.withInput(setup.transmitter().inputIndex(subject), place);
    };
  }

  private void fact(Condition one, Moment moment, List<Change> found) {
    Readings was = moment.readings();
    for (double there : new double[] {Math.max(0, one.limit() - 1), one.limit() + 1}) {
      Readings is =
          switch (one.subject()) {
            case "link" -> new Readings(there, was.voltage(), was.timerSeconds(), List.of());
            case "voltage" -> new Readings(was.linkPercent(), there, was.timerSeconds(), List.of());
            default -> new Readings(was.linkPercent(), was.voltage(), List.of(there), List.of());
          };
      found.add(new Change(one.subject(), moment, moment.with(is)));
    }
  }
}
