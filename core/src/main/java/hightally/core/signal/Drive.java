package hightally.core.signal;

import hightally.core.channel.InputKind;
import hightally.core.quantity.Control;
import java.util.ArrayList;
import java.util.List;

/**
 * What drives a surface in a phase: the stick that moves it most from rest, of equals roll, then
 * pitch, then yaw; a lever or switch only where no stick does.
 *
 * @param control the stick's control; null where it is a lever or switch
 * @param input index of the lever or switch; -1 where it is a stick
 * @param size how far it moves it both ways together, percent of command; 0 where nothing does
 */
public record Drive(Control control, int input, double size) {
  private static final double NOTHING = 1e-9;

  /** The drive of a surface, by the commands of the channel behind it. */
  static Drive of(SignalPath path, int surface, int phase) {
    Drive main = new Drive(Control.ROLL, -1, 0);
    for (Drive each : all(path, surface, phase)) {
      boolean lever = each.input >= 0;
      if (each.size > main.size + NOTHING && !(lever && main.size > 0 && main.input < 0)) {
        main = each;
      }
    }
    return main;
  }

  /** Everything that moves a surface in a phase from rest: sticks, then levers and switches. */
  private static List<Drive> all(SignalPath path, int surface, int phase) {
    int channel = path.channelBehind(surface);
    Moment rest = path.rest(phase);
    double still = command(path, channel, rest, phase);
    List<Drive> found = new ArrayList<>();
    for (Control each : Control.values()) {
      double size =
          Math.abs(command(path, channel, rest.with(each, 1), phase) - still)
              + Math.abs(command(path, channel, rest.with(each, -1), phase) - still);
      add(found, new Drive(each, -1, size));
    }
    var inputs = path.setup().transmitter().inputs();
    for (int i = 0; i < inputs.size(); i++) {
      double size = 0;
      int last = inputs.get(i).kind() == InputKind.SWITCH ? inputs.get(i).positions() - 1 : 1;
      for (int at = 0; at <= last; at++) {
        Moment moved = rest.withInput(i, (double) at / last);
        size = Math.max(size, Math.abs(command(path, channel, moved, phase) - still));
      }
      add(found, new Drive(null, i, size));
    }
    return found;
  }

  private static void add(List<Drive> found, Drive one) {
    if (one.size > NOTHING) {
      found.add(one);
    }
  }

  private static double command(SignalPath path, int channel, Moment moment, int phase) {
    return path.evaluateTrimmed(moment, phase, moment.trims()).commandPercent()[channel];
  }

  /** Whether it moves a surface one way only. */
  public boolean oneWay() {
    return input >= 0;
  }

  /** A moment with it moved; a lever knows no minus side. */
  public Moment moved(Moment rest, double to) {
    return oneWay() ? rest.withInput(input, Math.max(0, to)) : rest.with(control, to);
  }
}
