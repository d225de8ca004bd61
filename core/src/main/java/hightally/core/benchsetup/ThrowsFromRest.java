package hightally.core.benchsetup;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Surface;
import hightally.core.channel.StickWords;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Drive;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * How far a surface goes each way from rest with a stick or lever.
 *
 * @param control the stick; null where it is a lever
 * @param input index of the lever, -1 where it is a stick
 * @param lever its name, empty where it is a stick
 * @param plusMm up or right
 * @param minusMm down or left, as a positive size
 * @param plusDriverDegrees the angle of what drives the rod there
 * @param minusDriverDegrees likewise
 */
record ThrowsFromRest(
    Control control,
    int input,
    String lever,
    double plusMm,
    double minusMm,
    double plusDriverDegrees,
    double minusDriverDegrees) {
  private static final double NOTHING_MM = 0.05;

  /** With what drives it. */
  static ThrowsFromRest of(SignalPath path, int surface) {
    Drive drive = path.drive(surface, path.basePhase());
    if (drive.size() == 0) {
      return new ThrowsFromRest(null, -1, "", 0, 0, 0, 0);
    }
    Moment rest = BenchSetUp.rest(path);
    Moment other = drive.oneWay() ? rest : drive.moved(rest, -1);
    return between(path, surface, drive.control(), drive.input(), drive.moved(rest, 1), other);
  }

  /** How far a surface goes with each stick and lever it takes part in, sticks first. */
  static List<ThrowsFromRest> all(SignalPath path, int surface) {
    Setup setup = path.setup();
    Surface carried =
        setup.surface(setup.channels().get(path.channelBehind(surface)).carries()).orElseThrow();
    Moment rest = BenchSetUp.rest(path);
    List<ThrowsFromRest> found = new ArrayList<>();
    for (Control control : Control.values()) {
      if (carried.shares().of(control) != 0) {
        found.add(
            between(path, surface, control, -1, rest.with(control, 1), rest.with(control, -1)));
      }
    }
    for (LeverShare share : carried.shares().levers()) {
      int index = setup.transmitter().inputIndex(share.input());
      found.add(between(path, surface, null, index, rest.withInput(index, 1), rest));
    }
    found.removeIf(ThrowsFromRest::none);
    return found;
  }

  /** What it is asked by: the control's name, or nothing for a lever. */
  String by() {
    return control == null ? "" : control.name();
  }

  private static ThrowsFromRest between(
      SignalPath path, int surface, Control control, int input, Moment one, Moment other) {
    double rest = path.evaluateBase(BenchSetUp.rest(path)).travelMm()[surface];
    Positions a = path.evaluateBase(one);
    Positions b = path.evaluateBase(other);
    boolean plain = a.travelMm()[surface] >= b.travelMm()[surface];
    Positions high = plain ? a : b;
    Positions low = plain ? b : a;
    String lever = input < 0 ? "" : path.setup().transmitter().inputs().get(input).name();
    return new ThrowsFromRest(
        control,
        input,
        lever,
        Math.max(0, high.travelMm()[surface] - rest),
        Math.max(0, rest - low.travelMm()[surface]),
        path.driverDegrees(surface, high),
        path.driverDegrees(surface, low));
  }

  private double size() {
    return plusMm + minusMm;
  }

  boolean none() {
    return size() < NOTHING_MM;
  }

  /** How to get there. */
  Said where(int stickMode) {
    if (control == null) {
      return Said.of("guide.endEnd", "lever", lever);
    }
    return Said.of(
        "guide.then",
        "to",
        StickWords.to(stickMode, control, 1),
        "to2",
        StickWords.to(stickMode, control, -1));
  }

  /** Where a surface stands with its main stick or lever at a place. */
  record Place(double travelMm, double driverDegrees) {}

  static Place at(SignalPath path, int surface, double stick) {
    ThrowsFromRest main = of(path, surface);
    Moment rest = BenchSetUp.rest(path);
    Moment moved = rest;
    if (main.control != null) {
      moved = rest.with(main.control, stick);
    } else if (main.input >= 0) {
      moved = rest.withInput(main.input, Math.max(0, stick));
    }
    Positions positions = path.evaluateBase(moved);
    return new Place(positions.travelMm()[surface], path.driverDegrees(surface, positions));
  }
}
