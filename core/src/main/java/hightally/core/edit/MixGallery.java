package hightally.core.edit;

import hightally.core.airframe.Surface;
import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.CurvePoint;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.program.Response;
import hightally.core.program.SourceOf;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/**
 * Common mixes built from what the pilot knows, the weights worked out from the airframe.
 *
 * <p>Long because it is the list of them: each carries its words, what it asks, what it needs and
 * how it is built, so that another one is added in one place.
 */
public final class MixGallery {
  private static final double FULL = 100;

  private MixGallery() {}

  /** What can be built. */
  public enum Recipe {
    AILERON_TO_RUDDER(
        Said.of("edit.aileronRudder"),
        Said.of("edit.coordinated"),
        Said.of("edit.aileronToRudder"),
        25),
    ELEVATOR_TO_FLAP(
        Said.of("edit.elevatorFlap"), Said.of("edit.snapFlaps"), Said.of("edit.snapFlapPhase"), 10),
    BRAKES_ON_STICK(
        Said.of("edit.brakesThrottleStick"),
        Said.of("edit.brakeOnThrottle"),
        Said.of("edit.flapsAtBrake"),
        80),
    BRAKES_ON_LEVER(
        Said.of("edit.brakesLever"),
        Said.of("edit.brakeOnLever"),
        Said.of("edit.flapsAtLever"),
        80),
    LEVER_TO_ELEVATOR(
        Said.of("edit.brakeLeverElevator"),
        Said.of("edit.leverBrakePitch"),
        Said.of("edit.brakeToElevator"),
        -12),
    BRAKES_TO_ELEVATOR(
        Said.of("edit.brakesElevator"),
        Said.of("edit.brakePitch"),
        Said.of("edit.brakeToElevator"),
        -12),
    THROTTLE_TO_ELEVATOR(
        Said.of("edit.throttleElevator"),
        Said.of("edit.powerToElevatorNote"),
        Said.of("edit.throttleToElevator"),
        -4),
    RUDDER_TO_ELEVATOR(
        Said.of("edit.rudderElevator"),
        Said.of("edit.knifeEdgePitch"),
        Said.of("edit.rudderToElevator"),
        3),
    RUDDER_TO_AILERON(
        Said.of("edit.rudderAileron"),
        Said.of("edit.knifeEdgeRoll"),
        Said.of("edit.rudderToAileron"),
        -4),
    RUDDER_TO_MOTORS(
        Said.of("edit.rudderMotors"),
        Said.of("edit.turnsDifferentialThrust"),
        Said.of("edit.rudderToThrottle"),
        30),
    AILERON_TO_FLAP(
        Said.of("edit.aileronFlap"),
        Said.of("edit.flapsRollAlong"),
        Said.of("edit.flapWithAileron"),
        40),
    FLAP_TO_ELEVATOR(
        Said.of("edit.flapElevator"),
        Said.of("edit.whatFlapsPitch"),
        Said.of("edit.flapToElevator"),
        -5),
    LOW_THROTTLE_TO_ELEVATOR(
        Said.of("edit.lowThrottleElevator"),
        Said.of("edit.downlineStaysStraight"),
        Said.of("edit.lowThrottleToElevator"),
        -2),
    ELEVATOR_TO_CANARDS(
        Said.of("edit.elevatorCanards"),
        Said.of("edit.canardsPitchAlong"),
        Said.of("edit.canardWithElevator"),
        30),
    AILERON_TO_CANARDS(
        Said.of("edit.aileronCanards"),
        Said.of("edit.canardsRollAlong"),
        Said.of("edit.canardWithAileron"),
        20),
    ELEVATOR_TO_NOZZLES(
        Said.of("edit.elevatorNozzles"),
        Said.of("edit.nozzlesPitchAlong"),
        Said.of("edit.nozzleWithElevator"),
        60),
    RUDDER_TO_NOZZLES(
        Said.of("edit.rudderNozzles"),
        Said.of("edit.nozzlesYawAlong"),
        Said.of("edit.nozzleWithRudder"),
        60);

    private final Said title;
    private final Said reason;
    private final Said asks;
    private final double start;

    Recipe(Said title, Said reason, Said asks, double start) {
      this.title = title;
      this.reason = reason;
      this.asks = asks;
      this.start = start;
    }

    boolean needsLever() {
      return this == BRAKES_ON_LEVER || this == LEVER_TO_ELEVATOR;
    }

    /** Whether it brakes by the throttle stick, which then can drive no motor. */
    boolean brakesByThrottle() {
      return this == BRAKES_ON_STICK || this == BRAKES_TO_ELEVATOR;
    }
  }

  /**
   * A recipe, with where to begin.
   *
   * @param needsLever whether it is about a lever, which must be named
   * @param asksPreset whether the phase named is the one whose preset is meant, not where it acts
   * @param note what must be arranged first, or what is there already; nothing where nothing is
   */
  public record RecipeCard(
      Recipe recipe,
      Said title,
      Said reason,
      Said asks,
      double start,
      boolean needsLever,
      boolean asksPreset,
      Said note) {}

  /**
   * What is asked.
   *
   * @param percent the figure the recipe asks for
   * @param preset id of the phase whose preset is meant; empty for none
   * @param lever id of the lever a recipe for a lever is about; else empty
   * @param phases ids of the phases it shall act in; empty for all
   * @param when id of the condition under which it shall act; empty for always
   */
  public record RecipeAsked(
      Setup setup,
      Recipe recipe,
      @Within(min = -150, max = 150, unit = Unit.PERCENT) double percent,
      @Text(min = 0, max = 40) String preset,
      @Text(min = 0, max = 40) String lever,
      List<String> phases,
      @Text(min = 0, max = 40) String when) {}

  /** What the gallery holds for a model: that for which it has the parts. */
  public static List<RecipeCard> cards(Setup setup) {
    Setup model = Validation.check(setup);
    String lever =
        model.transmitter().inputs().stream()
            .filter(one -> one.kind() == InputKind.LEVER)
            .map(TransmitterInput::id)
            .findFirst()
            .orElse("");
    return Arrays.stream(Recipe.values())
        .filter(one -> !one.needsLever() || !lever.isEmpty())
        .filter(one -> hasSource(model, one))
        .filter(
            one ->
                !made(new RecipeAsked(model, one, one.start, "", lever, List.of(), ""))
                    .targets()
                    .isEmpty())
        .map(
            one ->
                new RecipeCard(
                    one,
                    one.title,
                    one.reason,
                    one.asks,
                    one.start,
                    one.needsLever(),
                    one == Recipe.ELEVATOR_TO_FLAP,
                    note(model, one, lever)))
        .toList();
  }

  private static Said note(Setup model, Recipe recipe, String lever) {
    List<Phase> driven = driven(model, recipe, List.of());
    if (!driven.isEmpty()) {
      return Said.of(
          "edit.stickDrivesMotor",
          "phases",
          Said.list(names(driven).stream().map(Said::text).toList()));
    }
    Mix mix = made(new RecipeAsked(model, recipe, recipe.start, "", lever, List.of(), ""));
    return model.mixes().stream()
        .filter(one -> alike(one, mix))
        .findFirst()
        .map(one -> Said.of("edit.addsTo", "mix", one.name()))
        .orElse(Said.NOTHING);
  }

  private static List<String> names(List<Phase> phases) {
    return phases.stream().map(Phase::name).toList();
  }

  /** Whether two mixes bring the same stick or lever to the same surface. */
  private static boolean alike(Mix one, Mix other) {
    boolean sticks = one.source().of() == SourceOf.STICK && other.source().of() == SourceOf.STICK;
    return (sticks || one.source() == other.source())
        && one.subject().equals(other.subject())
        && one.targets().stream()
            .map(MixTarget::target)
            .anyMatch(
                target -> other.targets().stream().anyMatch(two -> two.target().equals(target)));
  }

  /** The phases of some in which the throttle stick drives a motor, for a mix that brakes by it. */
  private static List<Phase> driven(Setup setup, Recipe recipe, List<String> phases) {
    if (!recipe.brakesByThrottle()) {
      return List.of();
    }
    SignalPath path = SignalPath.of(setup);
    return setup.phases().stream()
        .filter(one -> phases.isEmpty() || phases.contains(one.id()))
        .filter(one -> path.throttleDrives(setup.phases().indexOf(one)))
        .toList();
  }

  /** Whether the model has what moves the mix. */
  private static boolean hasSource(Setup setup, Recipe recipe) {
    return switch (recipe) {
      case THROTTLE_TO_ELEVATOR, LOW_THROTTLE_TO_ELEVATOR -> !setup.airframe().motors().isEmpty();
      case RUDDER_TO_ELEVATOR, RUDDER_TO_AILERON -> !RecipeTargets.yawing(setup, 1).isEmpty();
      default -> true;
    };
  }

  /** The setup with the mix added. */
  public static Setup build(RecipeAsked asked, Naming naming) {
    Validation.check(asked);
    Setup setup = asked.setup();
    Mix mix = made(asked);
    if (mix.targets().isEmpty()) {
      throw InvalidInputException.of("recipe", asked.recipe(), Said.of("demand.kindItHas"));
    }
    List<Mix> mixes = new ArrayList<>(setup.mixes());
    Recipe recipe = asked.recipe();
    List<Phase> driven = driven(setup, recipe, asked.phases());
    if (!driven.isEmpty()) {
      throw InvalidInputException.of(
          "phases", String.join(", ", names(driven)), Said.of("demand.motorOffStick"));
    }
    mixes.add(mix.named(naming.of(recipe.title, 80), naming.of(recipe.reason, 300)));
    return Validation.check(setup.change().mixes(mixes).done());
  }

  private static Mix made(RecipeAsked asked) {
    Setup setup = asked.setup();
    return switch (asked.recipe()) {
      case AILERON_TO_RUDDER ->
          stick(asked, "roll", RecipeTargets.yawing(setup, 1), asked.percent());
      case ELEVATOR_TO_FLAP -> flap(asked);
      case BRAKES_ON_STICK -> brakes(asked);
      case BRAKES_ON_LEVER ->
          lever(asked, RecipeTargets.braking(setup), point(0, 0), point(100, asked.percent()));
      case LEVER_TO_ELEVATOR ->
          lever(
              asked,
              RecipeTargets.pitching(setup),
              point(0, 0),
              point(50, 0.7 * asked.percent()),
              point(100, asked.percent()));
      case BRAKES_TO_ELEVATOR ->
          throttle(
              asked,
              RecipeTargets.pitching(setup),
              point(-100, asked.percent()),
              point(80, 0),
              point(100, 0));
      case THROTTLE_TO_ELEVATOR ->
          throttle(
              asked,
              RecipeTargets.pitching(setup),
              point(-100, 0),
              point(0, 0),
              point(100, asked.percent()));
      case RUDDER_TO_ELEVATOR -> even(asked, RecipeTargets.pitching(setup));
      case RUDDER_TO_AILERON -> stick(asked, "yaw", RecipeTargets.rolling(setup), asked.percent());
      case RUDDER_TO_MOTORS -> stick(asked, "yaw", RecipeTargets.motors(setup), asked.percent());
      case AILERON_TO_FLAP -> stick(asked, "roll", rollingFlaps(asked), asked.percent());
      case FLAP_TO_ELEVATOR -> flapToElevator(asked);
      case LOW_THROTTLE_TO_ELEVATOR ->
          throttle(
              asked,
              RecipeTargets.pitching(setup),
              point(-100, asked.percent()),
              point(-80, 0),
              point(100, 0));
      case ELEVATOR_TO_CANARDS ->
          stick(
              asked,
              "pitch",
              RecipeTargets.targets(RecipeTargets.canards(setup), one -> -1),
              asked.percent());
      case AILERON_TO_CANARDS ->
          stick(
              asked,
              "roll",
              RecipeTargets.targets(
                  RecipeTargets.sided(RecipeTargets.canards(setup)), RecipeTargets::side),
              asked.percent());
      case ELEVATOR_TO_NOZZLES ->
          stick(
              asked,
              "pitch",
              RecipeTargets.targets(RecipeTargets.nozzles(setup, false), one -> 1),
              asked.percent());
      case RUDDER_TO_NOZZLES ->
          stick(
              asked,
              "yaw",
              RecipeTargets.targets(RecipeTargets.nozzles(setup, true), one -> 1),
              asked.percent());
    };
  }

  /**
   * The flaps go with the ailerons of their side, down-going less by the ailerons' own differential
   * in the phase it acts in.
   */
  private static List<MixTarget> rollingFlaps(RecipeAsked asked) {
    Setup setup = asked.setup();
    List<Surface> ailerons = RecipeTargets.ailerons(setup);
    if (ailerons.isEmpty()) {
      return List.of();
    }
    double down = 1 - acting(asked).differential(ailerons.get(0).id());
    return RecipeTargets.sided(RecipeTargets.flaps(setup)).stream()
        .filter(one -> !ailerons.contains(one) && one.shares().roll() == 0)
        .map(
            one ->
                RecipeTargets.side(one) > 0
                    ? new MixTarget(one.id(), 1, down)
                    : new MixTarget(one.id(), -down, -1))
        .toList();
  }

  /** The phase a recipe is asked for; where none is named, the one that is on when no other is. */
  private static Phase acting(RecipeAsked asked) {
    return asked.phases().isEmpty()
        ? asked.setup().basePhase()
        : asked.setup().phase(asked.phases().get(0)).orElse(asked.setup().basePhase());
  }

  private static Mix flapToElevator(RecipeAsked asked) {
    List<Surface> flaps = RecipeTargets.flaps(asked.setup());
    List<MixTarget> targets =
        flaps.isEmpty()
            ? List.of()
            : RecipeTargets.pitching(asked.setup()).stream()
                .filter(one -> flaps.stream().noneMatch(flap -> flap.id().equals(one.target())))
                .toList();
    double weight = -asked.percent();
    String from = flaps.isEmpty() ? "" : flaps.get(0).id();
    return mix(asked, MixSource.SURFACE, from, weight, weight, List.of(), targets);
  }

  private static CurvePoint point(double x, double y) {
    return new CurvePoint(x, y);
  }

  private static Mix stick(
      RecipeAsked asked, String subject, List<MixTarget> targets, double percent) {
    return stick(asked, subject, targets, percent, percent);
  }

  /** The same way for left and right rudder. */
  private static Mix even(RecipeAsked asked, List<MixTarget> targets) {
    return stick(asked, "yaw", targets, asked.percent(), -asked.percent());
  }

  /**
   * So much at full stick: of the stick as it arrives behind rate and expo, or, where its rate
   * leaves too little of it, of the stick itself.
   */
  private static Mix stick(
      RecipeAsked asked, String subject, List<MixTarget> targets, double plus, double minus) {
    Response rate = rate(asked, Control.named(subject));
    boolean little =
        FULL * Math.abs(plus) > Mix.MOST_PERCENT * rate.ratePositivePercent()
            || FULL * Math.abs(minus) > Mix.MOST_PERCENT * rate.rateNegativePercent();
    double up = little ? 1 : rate.ratePositivePercent() / FULL;
    double down = little ? 1 : rate.rateNegativePercent() / FULL;
    MixSource source = little ? MixSource.STICK : MixSource.RESPONSE;
    return mix(asked, source, subject, over(plus, up), over(minus, down), List.of(), targets);
  }

  private static double over(double percent, double part) {
    return part == 0 ? 0 : percent / part;
  }

  /** The rates of a stick at rest in the phase a recipe is asked for. */
  private static Response rate(RecipeAsked asked, Control control) {
    SignalPath path = SignalPath.of(asked.setup());
    int phase = asked.setup().phases().indexOf(acting(asked));
    int set = path.program().decided(path.rest(phase), phase).feel().get(control.ordinal());
    return (set < 0 ? asked.setup().feel() : asked.setup().feelSets().get(set).feel()).of(control);
  }

  /**
   * Weight = the flaps' way at full up elevator, from where the phase it acts in has them, over
   * what full up elevator comes to.
   */
  private static Mix flap(RecipeAsked asked) {
    Setup setup = asked.setup();
    List<Surface> flaps = RecipeTargets.flaps(setup);
    Phase here = acting(asked);
    Optional<Phase> there = setup.phase(asked.preset());
    if (there.isEmpty() || flaps.isEmpty()) {
      List<MixTarget> alike = RecipeTargets.targets(flaps, one -> -1);
      return stick(asked, "pitch", alike, asked.percent(), asked.percent() / 2);
    }
    ToDoubleFunction<Surface> way =
        flap -> here.presetPercent(flap.id()) - there.get().presetPercent(flap.id());
    double down = flaps.stream().mapToDouble(way).max().orElse(0);
    if (down <= 0) {
      throw InvalidInputException.of("preset", asked.preset(), Said.of("demand.phaseLowerFlaps"));
    }
    // Each flap to its own place there; with down elevator half as far, the other way.
    List<MixTarget> targets =
        RecipeTargets.targets(flaps, flap -> -Math.max(0, way.applyAsDouble(flap)) / down);
    return stick(asked, "pitch", targets, down, down / 2);
  }

  private static Mix brakes(RecipeAsked asked) {
    return throttle(
        asked,
        RecipeTargets.braking(asked.setup()),
        point(-100, asked.percent()),
        point(80, 0),
        point(100, 0));
  }

  private static Mix lever(RecipeAsked asked, List<MixTarget> targets, CurvePoint... points) {
    int input = asked.setup().transmitter().inputIndex(asked.lever());
    if (input < 0 || asked.setup().transmitter().inputs().get(input).kind() != InputKind.LEVER) {
      throw InvalidInputException.of("lever", asked.lever(), Said.of("demand.idLever"));
    }
    return mix(asked, MixSource.INPUT, asked.lever(), 0, 0, List.of(points), targets);
  }

  private static Mix throttle(RecipeAsked asked, List<MixTarget> targets, CurvePoint... points) {
    return mix(asked, MixSource.THROTTLE, "", 0, 0, List.of(points), targets);
  }

  private static Mix mix(
      RecipeAsked asked,
      MixSource source,
      String subject,
      double plus,
      double minus,
      List<CurvePoint> curve,
      List<MixTarget> targets) {
    Set<String> taken = asked.setup().mixes().stream().map(Mix::id).collect(Collectors.toSet());
    String id = new PartNames(taken).id(asked.recipe().name());
    return new Mix(
        id,
        "",
        "",
        source,
        subject,
        Math.rint(plus * 10) / 10,
        Math.rint(minus * 10) / 10,
        0,
        curve,
        targets,
        asked.when(),
        asked.phases(),
        0);
  }
}
