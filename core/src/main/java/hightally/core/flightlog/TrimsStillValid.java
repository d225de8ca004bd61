package hightally.core.flightlog;

import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Whether trims flown on one setup still mean the same on a later one: every surface stands where
 * it stood, hands off and with clicks in, and moves as it moved. What things are called, and what
 * no surface feels, does not matter.
 */
public final class TrimsStillValid {
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

  private TrimsStillValid(Setup before, Setup after) {
    this.before = SignalPath.of(before);
    this.after = SignalPath.of(after);
    surfaces = before.surfaces().stream().map(Surface::id).toList();
  }

  /** Whether they do, in every phase both setups have. */
  public static boolean between(Setup before, Setup after) {
    return parted(before, after).isEmpty();
  }

  /**
   * Whose trims mean something else now.
   *
   * @param phase id of the phase; empty for every one
   * @param controls which of them
   */
  public record Parted(String phase, List<Control> controls) {
    public Parted {
      controls = List.copyOf(controls);
    }
  }

  /**
   * Whose trims a change has parted: those of the controls that a surface it touches takes part in.
   * A surface that takes part in none, a flap or a brake, moves the air for all of them.
   */
  public static List<Parted> parted(Setup before, Setup after) {
    if (!ids(before).equals(ids(after))) {
      return List.of(new Parted("", List.of(Control.values())));
    }
    TrimsStillValid both = new TrimsStillValid(before, after);
    Set<Control> everywhere = both.controls(both.movingOtherwise());
    List<Parted> found = new ArrayList<>();
    if (!everywhere.isEmpty()) {
      found.add(new Parted("", List.copyOf(everywhere)));
    }
    for (int phase = 0; phase < before.phases().size(); phase++) {
      Set<Control> here = both.controls(both.standingOtherwise(phase));
      here.removeAll(everywhere);
      if (!here.isEmpty()) {
        found.add(new Parted(before.phases().get(phase).id(), List.copyOf(here)));
      }
    }
    return found;
  }

  private Set<Control> controls(Set<String> touched) {
    Set<Control> found = EnumSet.noneOf(Control.class);
    for (String id : touched) {
      Set<Control> own = EnumSet.noneOf(Control.class);
      for (SignalPath path : List.of(before, after)) {
        int carried = path.carriedBehind(path.indexOf(id));
        Shares shares = path.setup().surfaces().get(Math.max(0, carried)).shares();
        Arrays.stream(Control.values())
            .filter(one -> carried >= 0 && shares.of(one) != 0)
            .forEach(own::add);
      }
      found.addAll(own.isEmpty() ? EnumSet.allOf(Control.class) : own);
    }
    return found;
  }

  private Set<String> movingOtherwise() {
    Set<String> found = new HashSet<>();
    for (double command : COMMANDS) {
      found.addAll(otherwise(everywhere(before, command), everywhere(after, command)));
    }
    return found;
  }

  private Set<String> standingOtherwise(int phase) {
    Set<String> found = new HashSet<>();
    String id = before.setup().phases().get(phase).id();
    int later = after.setup().phase(id).map(after.setup().phases()::indexOf).orElse(-1);
    for (Trims trims : later < 0 ? List.<Trims>of() : TRIED) {
      found.addAll(otherwise(rest(before, phase, trims), rest(after, later, trims)));
    }
    return found;
  }

  private List<String> otherwise(Positions one, Positions other) {
    return surfaces.stream().filter(id -> !alike(id, one, other)).toList();
  }

  private static Set<String> ids(Setup setup) {
    return setup.surfaces().stream().map(Surface::id).collect(Collectors.toSet());
  }

  private static Positions everywhere(SignalPath path, double command) {
    double[] commands = new double[path.setup().channels().size()];
    Arrays.fill(commands, command);
    return path.ofCommands(commands);
  }

  private static Positions rest(SignalPath path, int phase, Trims trims) {
    // In flight: what only a closed throttle brings, brakes or a mix, has no part in level trim.
    Moment rest = Moment.centred(Trims.ZERO).withThrottle(1, true);
    return path.evaluateTrimmed(rest, phase, trims);
  }

  private boolean alike(String id, Positions one, Positions other) {
    double differs = one.travelMm()[before.indexOf(id)] - other.travelMm()[after.indexOf(id)];
    return Math.abs(differs) <= NOTHING_MM;
  }
}
