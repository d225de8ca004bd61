package hightally.core.hazard;

import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.UsableRange;
import hightally.core.signal.SignalPath;

/** What limits cut off a surface's travel. */
final class Lost {
  private Lost() {}

  /** Travel the command would have given without limits, less what it gives, mm. */
  static double mm(SignalPath path, int surface, double command) {
    Surface part = path.setup().surfaces().get(surface);
    Servo servo = path.servoBehind(surface);
    FourBar bar = path.bar(surface);
    UsableRange range = path.range(surface);
    int channel = path.channelBehind(surface);
    double free = servo.freeArmDegrees(path.output(channel).freePulse(command));
    double real = servo.armDegrees(path.output(channel).pulse(command));
    double wanted = Math.max(range.reachFrom(), Math.min(range.reachTo(), free));
    double reached = Math.max(range.reachFrom(), Math.min(range.reachTo(), real));
    return Math.abs(
        part.travelMm(bar.surfaceAngle(wanted)) - part.travelMm(bar.surfaceAngle(reached)));
  }
}
