package hightally.core.adjustment;

import hightally.core.program.Trims;
import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Which controls are worth turning in a phase: those whose clicks the best steps of the rods behind
 * them bring at least one and a half nearer to zero, and none of which another one is made worse
 * by. Where trims meet in a servo, the controls are tried together and apart: the most controls
 * win, and of as many the most clicks.
 *
 * @param controls those that go into the rods; may be none
 * @param verdicts every control that was asked about
 */
public record WorthTurning(List<Control> controls, List<ControlWorth> verdicts) {
  /** House value: half turns of a common clevis are two or three clicks; less is hunting. */
  public static final double LEAST_GAIN_CLICKS = 1.5;

  private static final double ROUNDING = 1e-9;

  /**
   * One control.
   *
   * @param clicks that stand
   * @param leftClicks that the best steps would leave of them, before rounding
   * @param stepClicks what one step of the finest end behind it is worth; 0 where none turns
   * @param worth whether it goes into the rods
   * @param words why, or why not
   */
  public record ControlWorth(
      Control control,
      int clicks,
      double leftClicks,
      double stepClicks,
      boolean worth,
      Said words) {
    /** Whether it is only just worth it: then much rests on the thread of the ends. */
    public boolean close() {
      double gain = Math.abs(clicks) - Math.abs(leftClicks);
      return worth && gain < LEAST_GAIN_CLICKS + 1;
    }
  }

  /** One choice of controls and what it leaves of each. */
  private record Tried(List<Control> controls, Map<Control, Double> left, double gain) {}

  /**
   * Looks at the trims of the reference phase.
   *
   * @param flown the trims; its controls are the ones that may be turned
   */
  public static WorthTurning of(Setup setup, FlownTrims flown) {
    Trims stand = flown.standing(setup);
    List<Control> asked =
        Arrays.stream(Control.values())
            .filter(one -> flown.controls().contains(one) && stand.of(one) != 0)
            .toList();
    Tried best = new Tried(List.of(), Map.of(), 0);
    Map<Control, Tried> alone = new EnumMap<>(Control.class);
    for (int chosen = 1; chosen < 1 << asked.size(); chosen++) {
      Tried one = tried(setup, flown, stand, picked(asked, chosen));
      if (one.controls().size() == 1) {
        alone.put(one.controls().get(0), one);
      }
      if (holds(one, stand) && better(one, best)) {
        best = one;
      }
    }
    List<ControlWorth> verdicts = new ArrayList<>();
    for (Control control : asked) {
      boolean worth = best.controls().contains(control);
      Tried by = worth ? best : alone.get(control);
      double step = AdjustmentPlanner.stepClicks(setup, flown.of(List.of(control)), control);
      verdicts.add(verdict(control, stand.of(control), by.left().get(control), step, worth));
    }
    return new WorthTurning(best.controls(), List.copyOf(verdicts));
  }

  private static List<Control> picked(List<Control> asked, int chosen) {
    List<Control> some = new ArrayList<>();
    for (int i = 0; i < asked.size(); i++) {
      if ((chosen & 1 << i) != 0) {
        some.add(asked.get(i));
      }
    }
    return some;
  }

  private static Tried tried(Setup setup, FlownTrims flown, Trims stand, List<Control> controls) {
    double[] exact = AdjustmentPlanner.leftExact(setup, flown.of(controls));
    Map<Control, Double> left = new EnumMap<>(Control.class);
    double gain = 0;
    for (Control control : Control.values()) {
      left.put(control, exact[control.ordinal()]);
      gain += Math.abs(stand.of(control)) - Math.abs(exact[control.ordinal()]);
    }
    return new Tried(controls, left, gain);
  }

  /** Every chosen control gains enough, and no other one loses a click. */
  private static boolean holds(Tried tried, Trims stand) {
    for (Control control : Control.values()) {
      double gain = Math.abs(stand.of(control)) - Math.abs(tried.left().get(control));
      boolean chosen = tried.controls().contains(control);
      if (gain < (chosen ? LEAST_GAIN_CLICKS - ROUNDING : -1)) {
        return false;
      }
    }
    return true;
  }

  private static boolean better(Tried one, Tried best) {
    int more = Integer.compare(one.controls().size(), best.controls().size());
    return more > 0 || more == 0 && one.gain() > best.gain();
  }

  private static ControlWorth verdict(
      Control control, int clicks, double left, double step, boolean worth) {
    Said words;
    if (worth) {
      words =
          Said.of(
              "adjustment.worthTurning",
              "control",
              control,
              "clicks",
              new Clicks(control, clicks),
              "left",
              number(Math.abs(left)));
    } else if (step == 0) {
      words = Said.of("adjustment.noRodTurns", "control", control);
    } else {
      words =
          Said.of(
              "adjustment.notWorthTurning",
              "control",
              control,
              "clicks",
              new Clicks(control, clicks),
              "step",
              number(step),
              "half",
              number(step / 2));
    }
    return new ControlWorth(control, clicks, left, step, worth, words);
  }

  private static Quantity number(double clicks) {
    return new Quantity(clicks, Unit.NONE, 1);
  }
}
