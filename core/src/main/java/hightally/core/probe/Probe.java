package hightally.core.probe;

import hightally.core.airframe.Surface;
import hightally.core.quantity.Control;
import hightally.core.setup.MeantWay;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;

/**
 * Finds out what a rig is from what was seen of it.
 *
 * <p>All states that show what was seen are kept, as described the likeliest and each difference
 * ten times less so. While some of them would still behave otherwise under something the program
 * can do, the look that tells most for its cost is next. Then comes the smallest change.
 */
public final class Probe {
  private static final double RARER = 0.1;
  private static final int USUAL_MOST = 3;
  private static final int MOST = 5;
  private static final int MOST_CHANGES = 5;
  private static final double ALIKE_MM = 0.1;

  private final RigModel model;
  private final List<RigModel.Effect> looks;
  private final Map<String, RigModel.Effect> byId = new LinkedHashMap<>();

  /** What the model is to do: its description, mended where it does not do as its roles say. */
  private final List<RigState> wished;

  private Probe(Setup setup) {
    model = new RigModel(setup);
    looks = Looks.of(model);
    looks.forEach(one -> byId.put(one.look().id(), one));
    wished = wished();
  }

  /** A probe of a described rig. */
  public static Probe of(Setup setup) {
    return new Probe(setup);
  }

  /** Every look there is at this rig, drawn as it must be. */
  public List<Look> looks() {
    return looks.stream().map(this::drawn).toList();
  }

  /** One of them, if there is one of that id. */
  public Optional<Look> look(String id) {
    return Optional.ofNullable(byId.get(id)).map(this::drawn);
  }

  /** Where the search stands; answers to looks that there are not are passed over. */
  public ProbeStanding standing(List<LookAnswer> answers) {
    List<StateSearch.Seen> seen = seen(answers);
    RigState near = near(seen);
    int least = least(seen, near);
    if (least > MOST) {
      return contradicted(answers);
    }
    List<RigState> left = List.of();
    for (int most = Math.max(1, least); most <= Math.max(USUAL_MOST, least + 1); most++) {
      left = around(seen, near, most);
      Map<Long, Double> classes = new HashMap<>();
      Map<Long, RigState> one = new LinkedHashMap<>();
      for (RigState state : left) {
        long behaviour = behaviour(state);
        classes.merge(behaviour, weight(state), Double::sum);
        one.merge(behaviour, state, (a, b) -> a.size() <= b.size() ? a : b);
      }
      if (one.size() > 1) {
        List<Ranked> ranked = ranked(answers, one, classes);
        if (!ranked.isEmpty()) {
          RigState likeliest = likeliest(left);
          return new ProbeStanding(
              ProbeStage.LOOKING,
              drawn(ranked.get(0).effect()),
              told(likeliest.made()),
              null,
              List.of(),
              ranked.size());
        }
      }
    }
    return concluded(likeliest(left));
  }

  /** The likeliest state there is of those that take the leads as they are, or two exchanged. */
  private RigState near(List<StateSearch.Seen> seen) {
    RigState near = StateSearch.nearest(model, seen, model.described(), any -> true);
    int most = Math.min(USUAL_MOST, near.size() - 1);
    List<RigState> few =
        StateSearch.fewest(model, seen, model.described(), any -> true, most, null);
    if (!few.isEmpty()) {
      return few.get(0);
    }
    boolean shows = StateSearch.shows(model, seen, near);
    for (int i = 0; (near.size() > 1 || !shows) && i < model.differences().size(); i++) {
      if (model.differences().get(i).part() == RigPart.LEADS) {
        RigState exchanged = model.described();
        exchanged.turn(i, model.turn(i));
        RigState other = StateSearch.nearest(model, seen, exchanged, any -> true);
        if ((!shows || other.size() < near.size()) && StateSearch.shows(model, seen, other)) {
          near = other;
          shows = true;
        }
      }
    }
    return near;
  }

  /** All states some steps from there, and those that differ in little from the description. */
  private List<RigState> around(List<StateSearch.Seen> seen, RigState near, int most) {
    List<RigState> states = new ArrayList<>(StateSearch.all(model, seen, near, most));
    if (near.size() > 0) {
      Set<BitSet> known = new HashSet<>();
      states.forEach(one -> known.add(one.key()));
      StateSearch.all(model, seen, model.described(), USUAL_MOST).stream()
          .filter(one -> known.add(one.key()))
          .forEach(states::add);
    }
    return states;
  }

  /** How many steps from there a rig shows what was seen; beyond the most where none does. */
  private int least(List<StateSearch.Seen> seen) {
    return least(seen, near(seen));
  }

  private int least(List<StateSearch.Seen> seen, RigState near) {
    for (int most = 0; most <= MOST; most++) {
      if (!StateSearch.fewest(model, seen, near, any -> true, most, null).isEmpty()) {
        return most;
      }
    }
    return MOST + 1;
  }

  private static RigState likeliest(List<RigState> states) {
    return states.stream()
        .min(
            Comparator.<RigState>comparingInt(RigState::size)
                .thenComparingInt(one -> one.made().stream().mapToInt(Integer::intValue).sum()))
        .orElseThrow();
  }

  private List<StateSearch.Seen> seen(List<LookAnswer> answers) {
    List<StateSearch.Seen> seen = new ArrayList<>();
    for (LookAnswer answer : answers) {
      RigModel.Effect effect = byId.get(answer.look());
      if (effect != null) {
        int[] ways = Looks.untold(model.size());
        for (int i = 0; i < ways.length; i++) {
          for (LookAnswer.Sight sight : answer.seen()) {
            ways[i] = sight.surface().equals(model.id(i)) ? sight.way() : ways[i];
          }
        }
        seen.add(new StateSearch.Seen(effect, ways));
      }
    }
    return seen;
  }

  private static double weight(RigState state) {
    return Math.pow(RARER, state.size());
  }

  /**
   * What the program can do with a rig: what every stick, lever, switch and phase moves and how
   * far, and which channel has which surface. Two that are alike in all of it are one.
   */
  private long behaviour(RigState state) {
    long behaviour = 1;
    for (RigModel.Effect look : looks) {
      if (hands(look)) {
        for (int i = 0; i < model.size(); i++) {
          behaviour = mixed(behaviour, Math.round(look.seen(state, i) / ALIKE_MM));
        }
      }
    }
    for (int i = 0; i < model.surfaces(); i++) {
      int servo = model.servoOf(i);
      behaviour = mixed(behaviour, state.servoStill[servo] ? -1 : state.channelOfServo[servo]);
    }
    return behaviour;
  }

  /** Spreads what is added over all bits, so that two behaviours hardly ever look alike. */
  private static long mixed(long all, long one) {
    long next = (all ^ one) * 0x9E3779B97F4A7C15L;
    return next ^ next >>> 29;
  }

  private static boolean hands(RigModel.Effect look) {
    return look.look().kind() != LookKind.NUDGE && look.look().kind() != LookKind.UNPLUG;
  }

  private record Ranked(RigModel.Effect effect, double worth) {}

  /** The looks not yet answered that tell some of the classes apart, what tells most first. */
  private List<Ranked> ranked(
      List<LookAnswer> answers, Map<Long, RigState> classes, Map<Long, Double> weights) {
    List<String> answered = answers.stream().map(LookAnswer::look).toList();
    List<Ranked> ranked = new ArrayList<>();
    for (RigModel.Effect look : looks) {
      if (!answered.contains(look.look().id())) {
        double worth = told(look, classes, weights);
        if (worth > 0) {
          ranked.add(new Ranked(look, worth / look.look().kind().cost()));
        }
      }
    }
    ranked.sort(Comparator.comparingDouble(one -> -one.worth()));
    return ranked;
  }

  /** How much a look is expected to tell: the entropy of what it may show. */
  private double told(
      RigModel.Effect look, Map<Long, RigState> classes, Map<Long, Double> weights) {
    Map<List<Integer>, Double> shows = new HashMap<>();
    double all = 0;
    for (Map.Entry<Long, RigState> one : classes.entrySet()) {
      List<Integer> ways = shows(look, one.getValue());
      double weight = weights.get(one.getKey());
      all += weight;
      shows.merge(ways, weight, Double::sum);
    }
    return apart(List.copyOf(shows.keySet())) ? entropy(shows, all) : 0;
  }

  private static double entropy(Map<List<Integer>, Double> shows, double all) {
    double sum = 0;
    for (double weight : shows.values()) {
      double part = weight / all;
      sum -= part * Math.log(part);
    }
    return sum;
  }

  /** Whether an eye can tell two of them: a surface that goes here and there or not at all. */
  private static boolean apart(List<List<Integer>> shows) {
    for (int i = 0; i < shows.size(); i++) {
      for (int j = i + 1; j < shows.size(); j++) {
        for (int k = 0; k < shows.get(i).size(); k++) {
          int one = shows.get(i).get(k);
          int other = shows.get(j).get(k);
          if (one != other && one != RigModel.UNTOLD && other != RigModel.UNTOLD) {
            return true;
          }
        }
      }
    }
    return false;
  }

  private List<RigDifference> told(List<Integer> differences) {
    return differences.stream().map(model.differences()::get).toList();
  }

  // The wish.

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
            int way = MeantWay.of(model.setup(), surface, control(look.look().subject()));
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

  private static Control control(String word) {
    for (Control control : Control.values()) {
      if (control.word().equals(word)) {
        return control;
      }
    }
    throw new IllegalStateException("not a control: " + word);
  }

  private Look drawn(RigModel.Effect effect) {
    Look look = effect.look();
    List<Look.Drawn> picture = new ArrayList<>();
    for (int i = 0; i < model.size(); i++) {
      int way = RigModel.way(effect.seen(wished.get(0), i));
      boolean told = way != RigModel.UNTOLD;
      picture.add(new Look.Drawn(model.id(i), told ? way : 0, told));
    }
    return look.drawn(picture);
  }

  // The mend.

  private ProbeStanding concluded(RigState rig) {
    List<ProbeMend> fair = new ArrayList<>();
    List<ProbeMend> any = new ArrayList<>();
    for (RigState wish : wished) {
      for (RigState mended : mended(rig, wish)) {
        ProbeMend mend = new ProbeMend(told(mended.made()), notes(rig, mended));
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
                        .thenComparingInt(Probe::effort)
                        .thenComparingInt(one -> one.notes().size()));
    List<RigDifference> found = told(rig.made());
    if (best.isEmpty()) {
      return new ProbeStanding(ProbeStage.UNMENDED, null, found, null, List.of(), 0);
    }
    ProbeMend mend = best.get();
    boolean agreed = mend.changes().isEmpty() && mend.notes().isEmpty();
    return new ProbeStanding(
        agreed ? ProbeStage.AGREED : ProbeStage.MENDING, null, found, mend, List.of(), 0);
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
    return told(notes).stream().filter(one -> one.part() != RigPart.LEADS).toList();
  }

  /** What must be seen in every look with hands for the rig to do what is wished. */
  private List<StateSearch.Seen> goal(RigState wish) {
    List<StateSearch.Seen> goal = new ArrayList<>();
    for (RigModel.Effect look : looks) {
      if (hands(look)) {
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
        .filter(Probe::hands)
        .anyMatch(
            look -> {
              double one = look.seen(rig, surface);
              double wanted = look.seen(wish, surface);
              return one * wanted < 0 && Math.abs(wanted) >= RigModel.SEEN_MM;
            });
  }

  /** Changes of the program before work at the model, and that before both. */
  private static int effort(ProbeMend mend) {
    int program = 0;
    int model = 0;
    int sum = 0;
    for (RigDifference one : mend.changes()) {
      switch (one.part()) {
        case CHANNEL_SIGN, SHARE_SIGN -> program++;
        case LEADS -> {}
        default -> model++;
      }
      sum += one.part() == RigPart.SHARE_SIGN ? 1 : 0;
    }
    int kind = model == 0 ? 0 : program == 0 ? 1 : 2;
    return 100 * kind + sum;
  }

  // Answers.

  private ProbeStanding contradicted(List<LookAnswer> answers) {
    String worst = "";
    int fewest = Integer.MAX_VALUE;
    for (LookAnswer one : answers) {
      int left = least(seen(without(answers, one)));
      if (left < fewest) {
        fewest = left;
        worst = one.look();
      }
    }
    String doubted = worst;
    LookAnswer again =
        answers.stream().filter(one -> one.look().equals(doubted)).findFirst().orElseThrow();
    String against =
        answers.stream()
            .filter(one -> one != again)
            .max(Comparator.comparingInt(one -> least(seen(List.of(one, again)))))
            .map(LookAnswer::look)
            .orElse("");
    return new ProbeStanding(
        ProbeStage.CONTRADICTED,
        look(doubted).orElse(null),
        List.of(),
        null,
        List.of(doubted, against),
        0);
  }

  private static List<LookAnswer> without(List<LookAnswer> answers, LookAnswer one) {
    return answers.stream().filter(each -> each != one).toList();
  }

  /** The description once a mend is made. */
  public Setup after(ProbeMend mend) {
    return Differences.made(model.setup(), mend.notes());
  }

  /**
   * The answers that a mend leaves standing: those whose look shows afterwards what it showed, in
   * whichever of the states that may still be.
   *
   * @param standing the one that asked for it
   */
  public List<LookAnswer> kept(List<LookAnswer> answers, ProbeStanding standing) {
    List<StateSearch.Seen> seen = seen(answers);
    RigState near = near(seen);
    int most = Math.max(USUAL_MOST, least(seen, near));
    List<RigState> states = around(seen, near, most);
    List<RigState> after = new ArrayList<>();
    for (RigState state : states) {
      RigState changed = state.copy();
      put(changed, standing.mend().changes());
      after.add(changed);
    }
    List<LookAnswer> kept = new ArrayList<>();
    for (LookAnswer answer : answers) {
      RigModel.Effect look = byId.get(answer.look());
      boolean same = look != null;
      for (int i = 0; same && i < states.size(); i++) {
        same = shows(look, states.get(i)).equals(shows(look, after.get(i)));
      }
      if (same) {
        kept.add(told(look, answer, states, after));
      }
    }
    return kept;
  }

  /** An answer without what moved too little to be told, and moves otherwise now. */
  private LookAnswer told(
      RigModel.Effect look, LookAnswer answer, List<RigState> states, List<RigState> after) {
    List<LookAnswer.Sight> sights = new ArrayList<>(answer.seen());
    for (int i = 0; i < model.size(); i++) {
      boolean turned = false;
      for (int j = 0; j < states.size(); j++) {
        turned |= look.seen(states.get(j), i) * look.seen(after.get(j), i) < 0;
      }
      String id = model.id(i);
      if (turned) {
        sights.removeIf(one -> one.surface().equals(id));
      }
    }
    return new LookAnswer(answer.look(), sights);
  }

  private List<Integer> shows(RigModel.Effect look, RigState state) {
    List<Integer> ways = new ArrayList<>();
    for (int i = 0; i < model.size(); i++) {
      ways.add(RigModel.way(look.seen(state, i)));
    }
    return ways;
  }

  private void put(RigState state, List<RigDifference> differences) {
    for (RigDifference one : differences) {
      int index = model.differences().indexOf(one);
      state.turn(index, model.turn(index));
    }
  }
}
