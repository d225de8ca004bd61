package hightally.core.probe;

import hightally.core.airframe.Surface;
import hightally.core.quantity.Control;
import hightally.core.setup.MeantWay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;

/** What a rig is wished to do, and the fewest changes that make it so. */
final class RigMend {
  /** So few changes are looked for all together; more of them channel by channel. */
  private static final int USUAL_MOST = 3;

  private static final int MOST_CHANGES = 5;

  private final RigModel model;
  private final List<RigModel.Effect> looks;

  /** What the model is to do: its description, mended where it does not do as its roles say. */
  private final List<RigState> wished;

  RigMend(RigModel model, List<RigModel.Effect> looks) {
    this.model = model;
    this.looks = looks;
    wished = wished();
  }

  /** The way something must go in a look; {@link RigModel#UNTOLD} where that cannot be told. */
  int way(RigModel.Effect look, int seen) {
    return RigModel.way(look.seen(wished.get(0), seen));
  }

  /** The description, changed as little as makes every stick do what the surfaces' roles say. */
  private List<RigState> wished() {
    List<StateSearch.Seen> meant = new ArrayList<>();
    RigState described = model.described();
    for (RigModel.Effect look : looks) {
      if (look.look().kind() == LookKind.STICK) {
        int[] ways = Looks.untold(model.size());
        for (int i = 0; i < ways.length; i++) {
          if (!model.isMotor(i) && Math.abs(look.seen(described, i)) >= RigModel.SEEN_MM) {
            Surface surface = model.setup().surfaces().get(i);
            int way = MeantWay.of(model.setup(), surface, Control.named(look.look().subject()));
            ways[i] = way == 0 ? RigModel.UNTOLD : way;
          }
        }
        meant.add(new StateSearch.Seen(look, ways));
      }
    }
    Set<RigPart> written =
        EnumSet.of(
            RigPart.SERVO_SENSE, RigPart.HORN_SIDE, RigPart.SHARE_SIGN, RigPart.CHANNEL_SIGN);
    IntPredicate note = one -> written.contains(model.differences().get(one).part());
    List<RigState> found = StateSearch.fewest(model, meant, described, note, USUAL_MOST, null);
    if (found.isEmpty()) {
      RigState near = StateSearch.nearest(model, meant, described, note);
      found = StateSearch.fewest(model, meant, near, note, USUAL_MOST, null);
    }
    return found.isEmpty() ? List.of(described) : found;
  }

  /** Where a rig that is known stands. */
  ProbeStanding concluded(RigState rig) {
    List<ProbeMend> fair = new ArrayList<>();
    List<ProbeMend> any = new ArrayList<>();
    for (RigState wish : wished) {
      for (RigState mended : mended(rig, wish)) {
        ProbeMend mend = new ProbeMend(model.told(mended.made()), notes(rig, mended));
        any.add(mend);
        if (mend.changes().stream().allMatch(change -> fair(change, rig, wish))) {
          fair.add(mend);
        }
      }
    }
    Optional<ProbeMend> best =
        (fair.isEmpty() ? any : fair)
            .stream()
                .min(
                    Comparator.<ProbeMend>comparingInt(one -> one.changes().size())
                        .thenComparingInt(RigMend::effort)
                        .thenComparingInt(one -> one.notes().size())
                        .thenComparingInt(RigMend::shares));
    if (best.isEmpty()) {
      return new ProbeStanding(ProbeStage.UNMENDED, null, null, List.of(), 0);
    }
    ProbeMend mend = best.get();
    boolean agreed = mend.changes().isEmpty() && mend.notes().isEmpty();
    return new ProbeStanding(
        agreed ? ProbeStage.AGREED : ProbeStage.MENDING, null, mend, List.of(), 0);
  }

  /** The rig with what is wished made of it by as few changes as can be. */
  private List<RigState> mended(RigState rig, RigState wish) {
    List<StateSearch.Seen> goal = goal(wish);
    RigState from = rig.begun();
    List<RigState> few =
        StateSearch.fewest(
            model, goal, from, one -> made(one, rig), USUAL_MOST, wish.channelOfServo);
    if (!few.isEmpty()) {
      return few;
    }
    // Much is to be changed: every lead to its place, then each channel by itself.
    for (int i = 0; i < model.differences().size(); i++) {
      RigDifference one = model.differences().get(i);
      if (made(i, rig) && model.home(one, from, wish)) {
        from.turn(i, model.turn(i));
      }
    }
    RigState near = StateSearch.nearest(model, goal, from, one -> made(one, rig));
    return StateSearch.fewest(
        model, goal, near, one -> made(one, rig), MOST_CHANGES, wish.channelOfServo);
  }

  /** What is then otherwise than described; leads are not: each servo is on its channel again. */
  private List<RigDifference> notes(RigState rig, RigState mended) {
    List<Integer> notes = new ArrayList<>(rig.made());
    for (Integer change : mended.made()) {
      if (!notes.remove(change)) {
        notes.add(change);
      }
    }
    return model.told(notes).stream().filter(one -> one.part() != RigPart.LEADS).toList();
  }

  /** What must be seen in every look with hands for the rig to do what is wished. */
  private List<StateSearch.Seen> goal(RigState wish) {
    List<StateSearch.Seen> goal = new ArrayList<>();
    for (RigModel.Effect look : looks) {
      if (look.hands()) {
        int[] ways = Looks.untold(model.size());
        for (int i = 0; i < ways.length; i++) {
          ways[i] = RigModel.way(look.seen(wish, i));
        }
        goal.add(new StateSearch.Seen(look, ways));
      }
    }
    return goal;
  }

  /** What can be done to a rig; nothing is made to stand still. */
  private boolean made(int difference, RigState rig) {
    return switch (model.differences().get(difference).part()) {
      case SERVO_STILL, SURFACE_STILL -> rig.has(difference);
      default -> true;
    };
  }

  /** A channel that has something right on it is never turned round for something else. */
  private boolean fair(RigDifference change, RigState rig, RigState wish) {
    if (change.part() != RigPart.CHANNEL_SIGN) {
      return true;
    }
    int channel = model.channel(change.subject());
    for (int i = 0; i < model.surfaces(); i++) {
      if (wish.channelOfServo[model.servoOf(i)] == channel && !against(i, rig, wish)) {
        return false;
      }
    }
    return true;
  }

  /** Whether a surface goes against the wish in some look. */
  private boolean against(int surface, RigState rig, RigState wish) {
    return looks.stream()
        .filter(RigModel.Effect::hands)
        .anyMatch(
            look -> {
              double one = look.seen(rig, surface);
              double wanted = look.seen(wish, surface);
              return one * wanted < 0 && Math.abs(wanted) >= RigModel.SEEN_MM;
            });
  }

  /** Changes of the program before work at the model, and that before both. */
  private static int effort(ProbeMend mend) {
    boolean program = any(mend, RigPart.CHANNEL_SIGN) || any(mend, RigPart.SHARE_SIGN);
    boolean model =
        mend.changes().stream()
            .map(RigDifference::part)
            .anyMatch(
                part ->
                    part != RigPart.CHANNEL_SIGN
                        && part != RigPart.SHARE_SIGN
                        && part != RigPart.LEADS);
    return !model ? 0 : program ? 2 : 1;
  }

  private static boolean any(ProbeMend mend, RigPart part) {
    return mend.changes().stream().anyMatch(one -> one.part() == part);
  }

  /** Of two as good, a channel is reversed before a share's sign. */
  private static int shares(ProbeMend mend) {
    return (int) mend.changes().stream().filter(one -> one.part() == RigPart.SHARE_SIGN).count();
  }
}
