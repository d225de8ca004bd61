package hightally.core.movement;

import hightally.core.channel.TransmitterInput;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * What every stick and lever does to a surface where the bench stands: its phase, its levers and
 * switches, its trims.
 *
 * @param phase id of the phase that is on there
 * @param sticks those that move it there, or are meant to
 * @param levers those that move it there
 */
public record SurfaceResponse(
    String surface, String phase, List<Stick> sticks, List<Lever> levers) {
  private static final int PLACES = 20;

  /**
   * A stick.
   *
   * @param rest where everything stands, sticks centred
   * @param plusMm where the surface stands at the full plus stick
   * @param minusMm where it stands at the full minus stick
   * @param mmPerClick what one more click of its trim adds, sticks centred
   * @param curve where it stands from the full minus stick to the full plus stick, in equal steps
   */
  public record Stick(
      Control control,
      Moment rest,
      double plusMm,
      double minusMm,
      double mmPerClick,
      List<Double> curve) {}

  /**
   * A lever or switch.
   *
   * @param back with it at rest
   * @param far with it at its far end
   * @param mm from where the surface stands with it at rest
   */
  public record Lever(String input, String name, Moment back, Moment far, double mm) {}

  /** Of a surface, by its id. */
  public static SurfaceResponse of(SignalPath path, Moment bench, String surface) {
    Moment still = MixEffect.centred(bench);
    int index = path.indexOf(surface);
    List<Stick> sticks = new ArrayList<>();
    for (Control control : Control.values()) {
      Stick stick = stick(path, still, index, control);
      boolean meant = path.setup().surfaces().get(index).shares().of(control) != 0;
      boolean moves = stick.curve().stream().distinct().count() > 1;
      if (meant || moves) {
        sticks.add(stick);
      }
    }
    String phase = path.setup().phases().get(path.phase(still)).id();
    return new SurfaceResponse(surface, phase, sticks, levers(path, still, index));
  }

  private static double stands(SignalPath path, Moment moment, int surface) {
    return path.evaluate(moment).travelMm()[surface];
  }

  private static Stick stick(SignalPath path, Moment still, int surface, Control control) {
    List<Double> curve = MixEffect.swept(path, still, control, surface, PLACES);
    int phase = path.phase(still);
    Trims now = path.program().trims(still, phase);
    Trims more = now.with(control, now.of(control) + 1);
    double click = path.evaluateTrimmed(still, phase, more).travelMm()[surface];
    return new Stick(
        control,
        still,
        curve.get(2 * PLACES),
        curve.get(0),
        click - stands(path, still, surface),
        curve);
  }

  private static List<Lever> levers(SignalPath path, Moment still, int surface) {
    List<Lever> found = new ArrayList<>();
    List<TransmitterInput> inputs = path.setup().transmitter().inputs();
    for (int i = 0; i < inputs.size(); i++) {
      Moment back = still.withInput(i, 0);
      Moment far = still.withInput(i, 1);
      double mm = stands(path, far, surface) - stands(path, back, surface);
      if (mm != 0) {
        found.add(new Lever(inputs.get(i).id(), inputs.get(i).name(), back, far, mm));
      }
    }
    return found;
  }
}
