package hightally.core.log;

import hightally.core.airframe.Surface;
import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Whether trims flown on one setup still mean the same on a later one: every surface stands where
 * it stood, hands off and with clicks in, and moves as it moved. What things are called, and what
 * no surface feels, does not matter.
 */
public final class TrimsHold {
  private static final int TRIED_CLICKS = 10;
  private static final double NOTHING_MM = 0.05;
  private static final double[] COMMANDS = {-100, -50, 0, 50, 100};
  private static final List<Trims> TRIED =
      List.of(
          Trims.ZERO,
          new Trims(TRIED_CLICKS, 0, 0),
          new Trims(0, TRIED_CLICKS, 0),
          new Trims(0, 0, TRIED_CLICKS),
          new Trims(-TRIED_CLICKS, -TRIED_CLICKS, -TRIED_CLICKS));

  private final SignalPath before;
  private final SignalPath after;
  private final List<String> surfaces;

  private TrimsHold(Setup before, Setup after) {
    this.before = SignalPath.of(before);
    this.after = SignalPath.of(after);
    surfaces = before.surfaces().stream().map(Surface::id).toList();
  }

  /** Whether they do, in every phase both setups have. */
  public static boolean between(Setup before, Setup after) {
    return ids(before).equals(ids(after)) && new TrimsHold(before, after).holds();
  }

  private static Set<String> ids(Setup setup) {
    return setup.surfaces().stream().map(Surface::id).collect(Collectors.toSet());
  }

  private boolean holds() {
    return movesAlike() && standsAlike();
  }

  /** The same travel for the same command of the channel behind each surface. */
  private boolean movesAlike() {
    for (double command : COMMANDS) {
      if (!alike(everywhere(before, command), everywhere(after, command))) {
        return false;
      }
    }
    return true;
  }

  private static Positions everywhere(SignalPath path, double command) {
    double[] commands = new double[path.setup().channels().size()];
    Arrays.fill(commands, command);
    return path.ofCommands(commands);
  }

  private boolean standsAlike() {
    for (int phase = 0; phase < before.setup().phases().size(); phase++) {
      String id = before.setup().phases().get(phase).id();
      int later = after.setup().phase(id).map(after.setup().phases()::indexOf).orElse(-1);
      for (Trims trims : TRIED) {
        if (later >= 0 && !alike(rest(before, phase, trims), rest(after, later, trims))) {
          return false;
        }
      }
    }
    return true;
  }

  private static Positions rest(SignalPath path, int phase, Trims trims) {
    Moment rest = Moment.centred(Trims.ZERO).withThrottle(1, true);
    return path.evaluateTrimmed(rest, phase, trims);
  }

  private boolean alike(Positions one, Positions other) {
    return surfaces.stream()
        .allMatch(
            id ->
                Math.abs(one.travelMm()[before.indexOf(id)] - other.travelMm()[after.indexOf(id)])
                    <= NOTHING_MM);
  }
}
