package hightally.core.probe;

import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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
  private static final double ALIKE_MM = 0.1;

  private final RigModel model;
  private final List<RigModel.Effect> looks;
  private final Map<String, RigModel.Effect> byId = new LinkedHashMap<>();

  private final RigMend mend;

  private Probe(Setup setup, boolean motors) {
    model = new RigModel(setup);
    looks = Looks.of(model).stream().filter(one -> motors || !one.runsMotor()).toList();
    looks.forEach(one -> byId.put(one.look().id(), one));
    mend = new RigMend(model, looks);
  }

  /** A probe of a described rig. */
  public static Probe of(Setup setup) {
    return new Probe(setup, true);
  }

  /** The same without its motors: no look runs one. */
  public static Probe ofSurfaces(Setup setup) {
    return new Probe(setup, false);
  }

  /**
   * The way every surface, then every motor, goes in a look if the rig is as described: 1, 0, -1,
   * or 2 where it moves too little to tell; nothing where there is no such look.
   */
  public List<Integer> described(String id) {
    RigModel.Effect look = byId.get(id);
    return look == null ? List.of() : look.shows(model.described());
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
    List<RigModel.Effect> motors = List.of();
    for (int most = Math.max(1, least); most <= Math.max(USUAL_MOST, least + 1); most++) {
      left = around(seen, near, most);
      Map<Long, Double> weights = new HashMap<>();
      Map<Long, RigState> classes = new LinkedHashMap<>();
      for (RigState state : left) {
        long behaviour = behaviour(state);
        weights.merge(behaviour, weight(state), Double::sum);
        classes.merge(behaviour, state, (a, b) -> a.size() <= b.size() ? a : b);
      }
      List<RigModel.Effect> ranked = LookChoice.ranked(looks, answers, classes, weights);
      if (!ranked.isEmpty() && !ranked.get(0).runsMotor()) {
        return looking(ranked);
      }
      motors = motors.isEmpty() ? ranked : motors;
    }
    // No motor is touched before everything else is known.
    return motors.isEmpty() ? mend.concluded(likeliest(left)) : looking(motors);
  }

  private ProbeStanding looking(List<RigModel.Effect> ranked) {
    Look next = drawn(ranked.get(0));
    return new ProbeStanding(ProbeStage.LOOKING, next, null, List.of(), ranked.size());
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
    if (near.size() > 1 || !shows) {
      for (RigState other : exchanged(seen, model.described())) {
        if (!shows || other.size() < near.size()) {
          near = other;
          shows = true;
        }
      }
    }
    return near;
  }

  /** For each exchange of two leads the nearest state that shows what was seen, if there is one. */
  private List<RigState> exchanged(List<StateSearch.Seen> seen, RigState from) {
    List<RigState> found = new ArrayList<>();
    for (int i = 0; i < model.differences().size(); i++) {
      if (model.differences().get(i).part() == RigPart.LEADS) {
        RigState exchanged = from.copy();
        exchanged.turn(i, model.turn(i));
        RigState other = StateSearch.nearest(model, seen, exchanged, any -> true);
        if (StateSearch.shows(model, seen, other)) {
          found.add(other);
        }
      }
    }
    return found;
  }

  /**
   * All states some steps from there, those that differ in little from the description, and for
   * each exchange of leads the nearest: with it any number of servos may be turned as well.
   */
  private List<RigState> around(List<StateSearch.Seen> seen, RigState near, int most) {
    List<RigState> states = new ArrayList<>(StateSearch.all(model, seen, near, most));
    if (most >= USUAL_MOST) {
      states.addAll(exchanged(seen, near));
    }
    if (near.size() > 0) {
      states.addAll(StateSearch.all(model, seen, model.described(), USUAL_MOST));
    }
    Set<BitSet> known = new HashSet<>();
    states.removeIf(one -> !known.add(one.key()));
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
      if (look.hands()) {
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

  private Look drawn(RigModel.Effect effect) {
    Look look = effect.look();
    List<Look.Drawn> picture = new ArrayList<>();
    for (int i = 0; i < model.size(); i++) {
      int way = mend.way(effect, i);
      boolean told = way != RigModel.UNTOLD;
      picture.add(new Look.Drawn(model.id(i), told ? way : 0, told));
    }
    return look.drawn(picture);
  }

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
    List<String> contrary = new ArrayList<>(List.of(doubted));
    answers.stream()
        .filter(one -> one != again)
        .max(Comparator.comparingInt(one -> least(seen(List.of(one, again)))))
        .ifPresent(one -> contrary.add(one.look()));
    Look next = look(doubted).orElseThrow();
    return new ProbeStanding(ProbeStage.CONTRADICTED, next, null, contrary, 0);
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
        same = look.shows(states.get(i)).equals(look.shows(after.get(i)));
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

  private void put(RigState state, List<RigDifference> differences) {
    for (RigDifference one : differences) {
      int index = model.differences().indexOf(one);
      state.turn(index, model.turn(index));
    }
  }
}
