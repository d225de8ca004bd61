package hightally.core.movement;

import hightally.core.airframe.Surface;
import hightally.core.edit.Strengths;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.setup.TypedMovement;
import hightally.core.setup.TypedMovement.Kind;
import hightally.core.setup.TypedStand;
import hightally.core.signal.Moment;
import hightally.core.signal.NearestMoment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import hightally.core.signal.TallyMaker;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * Sets what a pilot types in millimetres or degrees: the percent that brings it is closed in on
 * with the bench's own answers, and the movement is kept beside it.
 */
public final class MovementSolver {
  private final Setup setup;
  private final SignalPath path;
  private final Moment still;
  private final WantedMovement wish;
  private final int surface;
  private final Moment moment;
  private final int phase;
  private final Trims trims;

  private MovementSolver(SignalPath path, Moment bench, WantedMovement wish) {
    this.path = path;
    this.wish = wish;
    setup = path.setup();
    surface = path.indexOf(wish.surface());
    still = MixEffect.centred(bench);
    moment = where().orElse(null);
    phase = moment == null ? 0 : path.phase(moment);
    trims = moment == null ? setup.trims() : path.program().trims(moment, phase);
  }

  /** One to be set. */
  private static MovementSolver at(SignalPath path, Moment bench, WantedMovement wish) {
    MovementSolver found = new MovementSolver(path, bench, wish);
    if (found.moment == null) {
      throw InvalidInputException.of("subject", wish.subject(), Said.of("demand.comesOn"));
    }
    return found;
  }

  /**
   * The setup with a movement set.
   *
   * @param bench where the bench stands: the nearest position in which it is had is taken
   * @throws InvalidInputException if it cannot be had, saying what can
   */
  public static Setup made(Setup setup, Moment bench, WantedMovement wish) {
    Validation.check(wish);
    SignalPath path = SignalPath.of(setup);
    Setup one = at(path, bench, wish).set();
    Optional<Surface> pair = setup.surface(wish.surface()).flatMap(setup::pairOf);
    if (!wish.pair() || pair.isEmpty()) {
      return one;
    }
    double sign = sign(setup, wish, pair.get().id());
    WantedMovement mirrored = wish.at(pair.get().id(), sign * wish.signed());
    return sign == 0 ? one : at(path.reprogrammed(one), bench, mirrored).set();
  }

  /** Whether the mirrored surface moves the same way, 1, or the other, -1; 0 for not at all. */
  private static double sign(Setup setup, WantedMovement wish, String pair) {
    return switch (wish.kind()) {
      case RATE_ROLL, RATE_PITCH, RATE_YAW -> 0;
      case DIFFERENTIAL -> 1;
      case PRESET -> {
        var phase = setup.phase(wish.subject()).orElseThrow();
        yield phase.presetPercent(wish.surface()) * phase.presetPercent(pair) < 0 ? -1 : 1;
      }
      case MIX -> Strengths.mirrored(mix(setup, wish.subject()), wish.surface(), pair);
    };
  }

  /** What is typed in a setup and has become something else, since a linkage was changed. */
  public static List<Became> became(SignalPath path) {
    List<Became> all = new ArrayList<>();
    for (TypedMovement typed : path.setup().notebook().typed()) {
      became(path, typed).ifPresent(all::add);
    }
    return all;
  }

  /**
   * A movement that is no longer what was typed.
   *
   * @param now what it is, in the unit it was typed in
   * @param percent what stands there, as it would be typed in percent
   * @param moment where it was typed, and is to be set again
   * @param words both, in words
   */
  public record Became(
      TypedMovement typed, double now, double percent, Moment moment, Said words) {}

  /** Where a movement was typed; rest for one that does not know. */
  private static Moment typedAt(SignalPath path, TypedMovement typed) {
    TypedStand stood = typed.stood();
    Moment moment = path.rest(path.basePhase()).withTrims(path.setup().trims());
    if (stood == null) {
      return moment;
    }
    moment = moment.withThrottle(stood.throttle(), stood.throttleCut());
    for (int i = 0; i < path.setup().transmitter().inputs().size(); i++) {
      moment = moment.withInput(i, i < stood.inputs().size() ? stood.inputs().get(i) : 0);
    }
    return moment;
  }

  private static Optional<Became> became(SignalPath path, TypedMovement typed) {
    Setup setup = path.setup();
    if (!stands(setup, typed)) {
      return Optional.empty();
    }
    WantedMovement wish =
        new WantedMovement(
            typed.kind(),
            typed.subject(),
            typed.surface(),
            typed.plusSide(),
            typed.value(),
            false,
            typed.unit(),
            false,
            false);
    MovementSolver movements = new MovementSolver(path, typedAt(path, typed), wish);
    if (movements.moment == null) {
      return Optional.empty();
    }
    double now =
        typed.stood() == null
            ? movements.measured(movements.path, typed.trims())
            : movements.between(typed.stood());
    double shown = typed.unit() == Unit.DEGREES ? 0.1 : NearestRoot.MISS;
    if (Math.abs(now - typed.value()) <= shown) {
      return Optional.empty();
    }
    Said words =
        Said.of(
            "movement.became",
            "what",
            movements.named(),
            "typed",
            new Quantity(typed.value(), typed.unit(), 1),
            "now",
            new Quantity(now, typed.unit(), 1));
    double percent = typed.kind() == Kind.MIX ? movements.arrives() : typed.percent();
    return Optional.of(new Became(typed, now, percent, movements.moment, words));
  }

  /** Whether what it belongs to is there and still stands at the percent it came to. */
  private static boolean stands(Setup setup, TypedMovement typed) {
    boolean known =
        setup.surface(typed.surface()).isPresent()
            && switch (typed.kind()) {
              case PRESET, DIFFERENTIAL -> setup.phase(typed.subject()).isPresent();
              case MIX -> setup.mixes().stream().anyMatch(one -> one.id().equals(typed.subject()));
              default ->
                  typed.subject().isEmpty()
                      || setup.feelSets().stream()
                          .anyMatch(one -> one.id().equals(typed.subject()));
            };
    return known
        && Math.abs(
                Strengths.percent(
                        setup, typed.kind(), typed.subject(), typed.surface(), typed.plusSide())
                    - typed.percent())
            < 1 / NearestRoot.GRAIN;
  }

  private static Mix mix(Setup setup, String id) {
    return setup.mixes().stream()
        .filter(one -> one.id().equals(id))
        .findFirst()
        .orElseThrow(() -> InvalidInputException.of("subject", id, Said.of("demand.mixesId")));
  }

  private Said named() {
    Said of =
        switch (wish.kind()) {
          case PRESET, DIFFERENTIAL -> Said.text(setup.phase(wish.subject()).orElseThrow().name());
          case MIX -> Said.text(mix(setup, wish.subject()).name());
          default ->
              wish.subject().isEmpty()
                  ? Said.of("movement.plainRates")
                  : Said.text(setup.feelSets().get(setIndex()).name());
        };
    return Said.of(
        "movement.typed",
        "kind",
        wish.kind(),
        "of",
        of,
        "surface",
        setup.surfaces().get(surface).name());
  }

  private Optional<Moment> where() {
    return switch (wish.kind()) {
      case PRESET, DIFFERENTIAL -> PhasePositions.where(path, still, phaseIndex());
      case MIX -> MixEffect.where(path, still, setup.mixes().indexOf(mix(setup, wish.subject())));
      default -> whereRated();
    };
  }

  private int phaseIndex() {
    for (int i = 0; i < setup.phases().size(); i++) {
      if (setup.phases().get(i).id().equals(wish.subject())) {
        return i;
      }
    }
    throw InvalidInputException.of("subject", wish.subject(), Said.of("demand.phasesId"));
  }

  private int setIndex() {
    List<String> ids = setup.feelSets().stream().map(FeelSet::id).toList();
    return ids.indexOf(wish.subject());
  }

  private Optional<Moment> whereRated() {
    int set = wish.subject().isEmpty() ? -1 : setIndex();
    int control = control().ordinal();
    return NearestMoment.where(
        path,
        still,
        one -> path.program().decided(one, path.phase(one)).feel().get(control) == set);
  }

  private Control control() {
    return switch (wish.kind()) {
      case RATE_PITCH -> Control.PITCH;
      case RATE_YAW -> Control.YAW;
      default -> Control.ROLL;
    };
  }

  private Setup set() {
    return setTo(plain() ? wish.signed() : solved());
  }

  /** Percent of a mix are those that arrive at the surface, behind rate and source. */
  private boolean plain() {
    return wish.unit() == Unit.PERCENT && wish.kind() != Kind.MIX;
  }

  private Setup setTo(double percent) {
    Setup changed = put(percent);
    List<TypedMovement> typed = new ArrayList<>(setup.notebook().typed());
    TypedMovement now =
        new TypedMovement(
            wish.kind(),
            wish.subject(),
            wish.surface(),
            wish.plusSide(),
            wish.signed(),
            wish.unit(),
            Strengths.percent(
                changed, wish.kind(), wish.subject(), wish.surface(), wish.plusSide()),
            trims,
            stood(path.reprogrammed(changed)));
    typed.removeIf(now::sameAs);
    if (wish.unit() != Unit.PERCENT) {
      typed.add(now);
    }
    return Validation.check(changed.change().notebook(setup.notebook().typing(typed)).done());
  }

  private Setup put(double percent) {
    return Strengths.put(setup, place(), percent);
  }

  private Strengths.Place place() {
    return new Strengths.Place(
        wish.kind(), wish.subject(), wish.surface(), wish.plusSide(), wish.bothSides());
  }

  /** The percent that brings what is typed, the one nearest to today's where there are several. */
  private double solved() {
    double most = Strengths.most(setup, place());
    boolean rate = wish.kind().sized() && wish.kind() != Kind.DIFFERENTIAL;
    double least = rate ? 0 : -most;
    DoubleUnaryOperator off =
        percent -> measured(path.reprogrammed(put(percent)), trims) - wish.signed();
    double now =
        Strengths.percent(setup, wish.kind(), wish.subject(), wish.surface(), wish.plusSide());
    NearestRoot found = NearestRoot.of(off, now, least, most);
    if (Double.isNaN(found.best())) {
      throw InvalidInputException.of(
          "value",
          wish.value(),
          Validation.range(
              Math.ceil((found.lowest() + wish.signed()) * 10) / 10,
              Math.floor((found.highest() + wish.signed()) * 10) / 10,
              wish.unit()));
    }
    return found.best();
  }

  /** Where it is typed, and the commands it goes between. */
  private TypedStand stood(SignalPath on) {
    double from;
    double to;
    if (wish.kind().sized()) {
      from = command(on, moment);
      to = command(on, full());
    } else {
      TallyMaker.Added adds =
          wish.kind() == Kind.MIX ? adds(on) : TallyMaker.ofPreset(on, moment, surface);
      from = adds.fromPercent();
      to = from + adds.percent();
    }
    return new TypedStand(moment.throttle(), moment.throttleCut(), moment.inputs(), from, to);
  }

  private double command(SignalPath on, Moment there) {
    return on.evaluateTrimmed(there, phase, trims).commandPercent()[on.channelBehind(surface)];
  }

  /** What it is between two commands through the servo, the rod and the horn as they are. */
  private double between(TypedStand stood) {
    double moved = at(stood.toPercent()) - at(stood.fromPercent());
    return wish.kind().sized() ? Math.abs(moved) : moved;
  }

  private double at(double command) {
    double[] commands = new double[setup.channels().size()];
    commands[path.channelBehind(surface)] = command;
    return of(path.ofCommands(commands));
  }

  /** The moment with the stick where a rate or a differential is typed. */
  private Moment full() {
    if (wish.kind() == Kind.DIFFERENTIAL) {
      boolean raised = PhasePositions.rightRaises(path, moment, surface);
      return moment.with(Control.ROLL, raised ? -1 : 1);
    }
    return moment.with(control(), wish.plusSide() ? 1 : -1);
  }

  /** What a setup's movement is, in the unit that is asked. */
  private double measured(SignalPath on, Trims inEffect) {
    return switch (wish.kind()) {
      case PRESET -> {
        TallyMaker.Added adds = TallyMaker.ofPreset(on, moment, surface);
        yield wish.unit() == Unit.DEGREES ? adds.degrees() : adds.mm();
      }
      case MIX -> added(on);
      default -> Math.abs(from(on, inEffect, full()));
    };
  }

  private double from(SignalPath on, Trims inEffect, Moment full) {
    return of(on.evaluateTrimmed(full, phase, inEffect))
        - of(on.evaluateTrimmed(moment, phase, inEffect));
  }

  private double added(SignalPath on) {
    TallyMaker.Added adds = adds(on);
    return switch (wish.unit()) {
      case DEGREES -> adds.degrees();
      case PERCENT -> adds.percent();
      default -> adds.mm();
    };
  }

  /** The percent of a mix that arrive at the surface. */
  private double arrives() {
    return adds(path).percent();
  }

  private TallyMaker.Added adds(SignalPath on) {
    int number = setup.mixes().indexOf(mix(setup, wish.subject()));
    Moment end =
        MixEffect.at(setup, setup.mixes().get(number), moment, wish.plusSide())
            .map(MixEffect.Hand::moment)
            .orElse(moment);
    return TallyMaker.ofMix(on, end, surface, number);
  }

  private double of(Positions positions) {
    return wish.unit() == Unit.DEGREES
        ? positions.surfaceDegrees()[surface]
        : positions.travelMm()[surface];
  }
}
