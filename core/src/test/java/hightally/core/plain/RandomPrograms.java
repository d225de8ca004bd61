package hightally.core.plain;

import hightally.core.Rigs;
import hightally.core.airframe.Contact;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.InputKind;
import hightally.core.channel.Transmitter;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.CurvePoint;
import hightally.core.program.Differential;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.FlightTimer;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Power;
import hightally.core.program.Preset;
import hightally.core.program.Response;
import hightally.core.program.Shape;
import hightally.core.program.SourceOf;
import hightally.core.program.ThrottleCurve;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Programs of every kind, the same for the same seed: two elevons and a slave flap, none to two
 * motors, two levers and two switches, conditions of every kind, phases, sets, chained mixes.
 */
public final class RandomPrograms {
  private static final String[] STICKS = {"roll", "pitch", "yaw"};
  private static final String[] LEVERS = {"lever", "slider"};
  private static final String[] SURFACES = {"slave", "left", "right"};

  private final Random random;
  private final List<Condition> conditions = new ArrayList<>();
  private int motors;
  private boolean reverser;

  private RandomPrograms(long seed) {
    random = new Random(seed);
  }

  /** A program. */
  public static Setup of(long seed) {
    return new RandomPrograms(seed).made(seed);
  }

  /** One in which some conditions count only once they have held for a while, and a failsafe. */
  public static Setup waiting(long seed) {
    Setup plain = of(seed);
    Random more = new Random(seed + 1);
    List<Condition> conditions = new ArrayList<>();
    for (Condition one : plain.conditions()) {
      double held = more.nextInt(5) == 0 ? 1 : 0;
      conditions.add(
          new Condition(
              one.id(),
              one.name(),
              one.kind(),
              one.subject(),
              one.limit(),
              one.members(),
              one.kind() == ConditionKind.PHASE ? 0 : held));
    }
    List<FailsafeSetting> settings = new ArrayList<>();
    for (Channel channel : plain.channels()) {
      if (more.nextInt(3) > 0) {
        double at = new double[] {-150, -100, -95, 0, 30, 100}[more.nextInt(6)];
        settings.add(new FailsafeSetting(channel.number(), more.nextInt(4) == 0, at));
      }
    }
    return plain.change().conditions(conditions).power(plain.power().withFailsafe(settings)).done();
  }

  /** A moment of it, anywhere: sticks, levers, switches, clicks, link, pack and timer. */
  public static Moment moment(Random random) {
    return new Moment(
        stick(random),
        stick(random),
        stick(random),
        part(random),
        random.nextInt(4) == 0,
        new Trims(random.nextInt(41) - 20, random.nextInt(41) - 20, random.nextInt(41) - 20),
        List.of(part(random), random.nextInt(3) / 2.0, part(random), (double) random.nextInt(2)),
        new Readings(
            random.nextInt(2) * 80 + 10,
            random.nextBoolean() ? 9.5 : 12.5,
            List.of(random.nextInt(2) * 60.0),
            List.of()));
  }

  private static double stick(Random random) {
    int kind = random.nextInt(5);
    return kind == 0 ? 0 : kind == 1 ? random.nextInt(2) * 2 - 1 : 2 * random.nextDouble() - 1;
  }

  private static double part(Random random) {
    int kind = random.nextInt(4);
    return kind == 0 ? 0 : kind == 1 ? 1 : random.nextDouble();
  }

  private Setup made(long seed) {
    Setup rig = Rigs.random(seed);
    motors = random.nextInt(3);
    reverser = motors > 0 && new Random(~seed).nextInt(4) == 0;
    conditions();
    List<Phase> phases = phases();
    return rig.change()
        .transmitter(transmitter(rig.transmitter()))
        .channels(channels(rig.channels()))
        .airframe(rig.airframe().withMotors(motors()))
        .surfaces(rig.surfaces().stream().map(this::sharing).toList())
        .contacts(contacts())
        .conditions(conditions)
        .phases(phases)
        .feel(feel())
        .feelSets(sets())
        .mixes(mixes())
        .power(power(phases))
        .done();
  }

  private static Transmitter transmitter(Transmitter plain) {
    List<TransmitterInput> inputs = new ArrayList<>(plain.inputs());
    inputs.add(new TransmitterInput("slider", "slider", InputKind.LEVER, 0));
    inputs.add(new TransmitterInput("toggle", "toggle", InputKind.SWITCH, 2));
    return plain.withInputs(inputs);
  }

  private List<Channel> channels(List<Channel> wings) {
    List<Channel> channels = new ArrayList<>(wings);
    for (int i = 0; i < motors; i++) {
      channels.add(new Channel(3 + i, "m" + i, Channel.THROTTLE, false, 0, 100, 100, 0));
    }
    if (reverser) {
      channels.add(new Channel(9, "Turn round", "toggle", motors > 1, 0, 90, 110, 0));
    }
    return channels;
  }

  private List<Motor> motors() {
    List<Motor> made = new ArrayList<>();
    for (int i = 0; i < motors; i++) {
      made.add(new Motor("m" + i, "Motor " + i, 3 + i, 0, 0, 250, reverser ? 9 : -1));
    }
    return made;
  }

  private List<Contact> contacts() {
    return random.nextInt(3) == 0
        ? List.of(new Contact("left", between(-20, 20), "right", between(-20, 20)))
        : List.of();
  }

  private Surface sharing(Surface one) {
    Shares shares = one.shares();
    List<LeverShare> levers =
        random.nextInt(3) == 0
            ? List.of(new LeverShare(pick(LEVERS), between(-0.8, 0.8)))
            : List.of();
    double yaw = random.nextInt(3) == 0 ? between(-0.5, 0.5) : 0;
    return one.withShares(new Shares(shares.roll(), shares.pitch(), yaw, levers));
  }

  private void conditions() {
    simple(ConditionKind.SWITCH_AT, "switch", 1 + random.nextInt(3));
    simple(ConditionKind.SWITCH_AT, "toggle", 1 + random.nextInt(2));
    int more = random.nextInt(5);
    for (int i = 0; i < more; i++) {
      switch (random.nextInt(8)) {
        case 0 -> simple(side(), pick(LEVERS), tenth(1, 9));
        case 1 -> simple(side(), pick(STICKS), tenth(-9, 9));
        case 2 -> simple(side(), "throttle", tenth(1, 9));
        case 3 -> simple(measured(), "link", 50);
        case 4 -> simple(measured(), "voltage", 11);
        case 5 -> simple(ConditionKind.TIMER_ABOVE, "clock", 30);
        case 6 -> combined(random.nextBoolean() ? ConditionKind.AND : ConditionKind.OR, 2);
        default -> combined(ConditionKind.NOT, 1);
      }
    }
  }

  private ConditionKind side() {
    return random.nextBoolean() ? ConditionKind.ABOVE : ConditionKind.BELOW;
  }

  private ConditionKind measured() {
    return random.nextBoolean() ? ConditionKind.TELEMETRY_ABOVE : ConditionKind.TELEMETRY_BELOW;
  }

  private double tenth(int from, int to) {
    return (from + random.nextInt(to - from + 1)) * 10.0;
  }

  private void simple(ConditionKind kind, String subject, double limit) {
    String id = "c" + conditions.size();
    conditions.add(new Condition(id, id, kind, subject, limit, List.of(), 0));
  }

  private void combined(ConditionKind kind, int members) {
    String id = "c" + conditions.size();
    List<String> of = new ArrayList<>();
    for (int i = 0; i < members; i++) {
      of.add(conditions.get(random.nextInt(conditions.size())).id());
    }
    conditions.add(new Condition(id, id, kind, "", 0, of, 0));
  }

  /** One of the conditions, or nothing. */
  private String when() {
    return random.nextInt(3) == 0 ? "" : condition();
  }

  private String condition() {
    return conditions.get(random.nextInt(conditions.size())).id();
  }

  private List<Phase> phases() {
    List<Phase> phases = new ArrayList<>();
    int count = 1 + random.nextInt(3);
    for (int i = 0; i < count; i++) {
      boolean last = i == count - 1;
      phases.add(
          new Phase(
              "p" + i,
              "Phase " + i,
              "",
              PhaseRole.OTHER,
              last ? "" : condition(),
              random.nextInt(3),
              random.nextBoolean()
                  ? List.of(
                      new Preset("left", between(-30, 30)), new Preset("right", between(-30, 30)))
                  : List.of(),
              random.nextBoolean()
                  ? List.of(
                      new Differential("left", between(-100, 100)),
                      new Differential("right", between(-100, 100)))
                  : List.of(),
              random.nextBoolean(),
              random.nextBoolean(),
              random.nextBoolean(),
              new Trims(random.nextInt(21) - 10, random.nextInt(21) - 10, random.nextInt(9) - 4),
              NoseNote.NOT_FLOWN));
    }
    // What asks for a phase must not itself decide one, so it comes after them.
    if (random.nextBoolean()) {
      simple(ConditionKind.PHASE, "p" + random.nextInt(count), 0);
    }
    return phases;
  }

  private List<String> inPhases() {
    return random.nextInt(3) == 0 ? List.of("p0") : List.of();
  }

  private Feel feel() {
    return new Feel(response(), response(), response());
  }

  private Response response() {
    Shape[] shapes = Shape.values();
    return new Response(
        between(40, 120),
        between(40, 120),
        between(-40, 90),
        between(-40, 90),
        shapes[random.nextInt(shapes.length)]);
  }

  private List<FeelSet> sets() {
    List<FeelSet> sets = new ArrayList<>();
    int count = random.nextInt(3);
    for (int i = 0; i < count; i++) {
      sets.add(
          new FeelSet(
              "f" + i,
              "f" + i,
              when(),
              inPhases(),
              random.nextBoolean(),
              random.nextBoolean(),
              random.nextBoolean(),
              feel()));
    }
    return sets;
  }

  private List<Mix> mixes() {
    List<Mix> mixes = new ArrayList<>();
    int count = random.nextInt(6);
    for (int i = 0; i < count; i++) {
      MixSource[] sources = MixSource.values();
      MixSource source = sources[random.nextInt(sources.length)];
      String subject =
          switch (source.of()) {
            case STICK -> pick(STICKS);
            case INPUT -> random.nextBoolean() ? pick(LEVERS) : "switch";
            case SURFACE -> "left";
            case NOTHING -> "";
          };
      boolean curved = random.nextInt(3) == 0;
      List<MixTarget> targets = new ArrayList<>();
      targets.add(target(source, curved));
      if (random.nextInt(3) == 0) {
        targets.add(target(source, curved));
      }
      mixes.add(
          new Mix(
              "x" + i,
              "x" + i,
              "",
              source,
              subject,
              between(-60, 60),
              between(-60, 60),
              random.nextInt(3) * 10,
              curved ? curve() : List.of(),
              targets,
              when(),
              inPhases(),
              random.nextInt(4) == 0 ? 0.5 + random.nextInt(3) : 0));
    }
    return mixes;
  }

  /** Commands flow from the left elevon to the right one and the motors, and never round. */
  private MixTarget target(MixSource source, boolean curved) {
    double factor = between(-1, 1);
    double minus = curved || random.nextInt(2) == 0 ? factor : between(-1, 1);
    if (motors > 0 && random.nextInt(4) == 0) {
      return new MixTarget("m" + random.nextInt(motors), factor, minus);
    }
    return new MixTarget(source.of() == SourceOf.SURFACE ? "right" : pick(SURFACES), factor, minus);
  }

  private List<CurvePoint> curve() {
    return List.of(
        new CurvePoint(-100, between(-50, 50)),
        new CurvePoint(between(-60, -10), between(-50, 50)),
        new CurvePoint(between(10, 60), between(-50, 50)),
        new CurvePoint(100, between(-50, 50)));
  }

  private Power power(List<Phase> phases) {
    boolean twoWay = random.nextInt(3) == 0;
    List<ThrottleCurve> curves = new ArrayList<>();
    if (random.nextBoolean()) {
      String phase = phases.get(random.nextInt(phases.size())).id();
      curves.add(
          new ThrottleCurve(
              List.of(phase),
              List.of(
                  new CurvePoint(-100, random.nextBoolean() ? -100 : between(-100, -40)),
                  new CurvePoint(between(-50, 50), between(-50, 50)),
                  new CurvePoint(100, between(50, 100)))));
    }
    curves.add(ThrottleCurve.PLAIN);
    return new Power(
        random.nextInt(4) == 0 ? "slider" : "",
        twoWay,
        curves,
        random.nextInt(3) == 0 ? condition() : "",
        twoWay ? 0 : -100,
        random.nextInt(3) == 0 ? condition() : "",
        random.nextBoolean(),
        List.of(),
        true,
        List.of(),
        List.of(new FlightTimer("clock", "Clock", false, 0, "", "", List.of())),
        List.of(),
        0);
  }

  private double between(double low, double high) {
    return low + random.nextDouble() * (high - low);
  }

  private String pick(String[] of) {
    return of[random.nextInt(of.length)];
  }
}
