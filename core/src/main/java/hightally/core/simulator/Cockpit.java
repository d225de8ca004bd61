package hightally.core.simulator;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.List;

/**
 * What sticks, switches and trims do to the flaps of a shape and to its motors: the signal path and
 * nothing beside it.
 */
final class Cockpit {
  private final SignalPath path;
  private final int[] surfaces;
  private final double[] signs;
  private final double[] playDegrees;
  private final int[] motorChannels;

  Cockpit(SignalPath path, List<Surface> flying, FlyingShape shape, List<HiddenFault> faults) {
    this.path = path;
    Setup setup = path.setup();
    surfaces = flying.stream().mapToInt(one -> path.indexOf(one.id())).toArray();
    signs = new double[surfaces.length];
    playDegrees = new double[surfaces.length];
    for (int i = 0; i < signs.length; i++) {
      Surface one = flying.get(i);
      signs[i] = sign(one, shape);
      double play = HiddenFault.sum(faults, HiddenFault.Kind.PLAY, one.id());
      playDegrees[i] = Math.toDegrees(play / one.chordMm());
    }
    List<Integer> numbers = setup.channels().stream().map(one -> one.number()).toList();
    motorChannels =
        setup.airframe().motors().stream()
            .mapToInt((Motor one) -> numbers.indexOf(one.channel()))
            .toArray();
  }

  /** Whether plus of a surface, up or right, is along its panel's normal. */
  private static double sign(Surface surface, FlyingShape shape) {
    FlyingShape.AirPanel panel =
        shape.panels().stream()
            .filter(one -> one.id().equals(surface.place().panel()))
            .findFirst()
            .orElseThrow();
    double[] normal = panel.normal();
    double along = surface.sideways() ? normal[0] : -normal[1];
    return along < 0 ? -1 : 1;
  }

  SignalPath path() {
    return path;
  }

  /** Where flaps and motors stand, without play. */
  void stand(Moment moment, int phase, Trims trims, double[] flapDegrees, double[] power) {
    Positions positions = path.evaluateTrimmed(moment, phase, trims);
    for (int i = 0; i < surfaces.length; i++) {
      flapDegrees[i] = signs[i] * positions.surfaceDegrees()[surfaces[i]];
    }
    for (int i = 0; i < motorChannels.length; i++) {
      power[i] =
          motorChannels[i] < 0
              ? 0
              : path.setup().power().power(positions.commandPercent()[motorChannels[i]]);
    }
  }

  /** Where a flap stands that may hang in its play: it stays until its command has crossed it. */
  double played(int flap, double commandDegrees, double before) {
    double half = playDegrees[flap] / 2;
    return Math.max(commandDegrees - half, Math.min(commandDegrees + half, before));
  }

  int flaps() {
    return surfaces.length;
  }

  int motors() {
    return motorChannels.length;
  }
}
