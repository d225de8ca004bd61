package hightally.core;

import hightally.core.airframe.Airframe;
import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Panel;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Place;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Side;
import hightally.core.airframe.Station;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.channel.Channel;
import hightally.core.channel.Failsafe;
import hightally.core.channel.InputKind;
import hightally.core.channel.Lead;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.StickFunction;
import hightally.core.channel.SubTrimMode;
import hightally.core.channel.Transmitter;
import hightally.core.channel.TransmitterInput;
import hightally.core.channel.Wiring;
import hightally.core.linkage.ArmSeating;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.CurvePoint;
import hightally.core.program.Differential;
import hightally.core.program.Feel;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Power;
import hightally.core.program.Preset;
import hightally.core.program.Response;
import hightally.core.program.Trims;
import hightally.core.quantity.HouseValues;
import hightally.core.setup.Notebook;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Setups for tests: two elevons, each with its own servo, and a slave flap behind the left one. */
public final class Rigs {
  private Rigs() {}

  /** A tidy rig: a parallelogram with equal radii, so a degree of arm is a degree of surface. */
  public static Setup plain() {
    Linkage linkage = new Linkage(12, 12, 150, 0, 0, false, true);
    return rig(
        SubTrimMode.SHIFT, new double[] {0, 0}, new double[] {100, 100}, linkage, linkage, 0);
  }

  /** A rig with everything crooked within reason, the same for the same seed. */
  public static Setup random(long seed) {
    Random random = new Random(seed);
    SubTrimMode mode = random.nextBoolean() ? SubTrimMode.SHIFT : SubTrimMode.FIXED_ENDS;
    double[] subTrims = {between(random, -60, 60), between(random, -60, 60)};
    double[] ends = {between(random, 70, 130), between(random, 70, 130)};
    return rig(mode, subTrims, ends, linkage(random), linkage(random), between(random, -2, 2));
  }

  private static Linkage linkage(Random random) {
    return new Linkage(
        between(random, 8, 16),
        between(random, 14, 24),
        between(random, 90, 400),
        between(random, -8, 8),
        between(random, -8, 8),
        random.nextBoolean(),
        random.nextBoolean());
  }

  private static double between(Random random, double low, double high) {
    return low + random.nextDouble() * (high - low);
  }

  private static Setup rig(
      SubTrimMode mode,
      double[] subTrims,
      double[] ends,
      Linkage left,
      Linkage right,
      double adjusted) {
    Transmitter transmitter = transmitter(mode, 1500, 500, 0.5, StickFunction.values());
    List<Channel> channels = new ArrayList<>();
    List<Servo> servos = new ArrayList<>();
    String[] sides = {"left", "right"};
    for (int i = 0; i < 2; i++) {
      channels.add(
          new Channel(i + 1, sides[i], sides[i], i == 1, subTrims[i], ends[i], ends[1 - i], 0));
      servos.add(
          new Servo(
              "s-" + sides[i],
              sides[i],
              i + 1,
              0.09,
              1500,
              60,
              i == 1,
              0.5,
              20,
              new ArmSeating(25, 4),
              List.of(),
              250));
    }
    RodEnd end = new RodEnd(RodEndKind.CLEVIS, 0.4);
    Rod slave =
        new Rod(DriverKind.SURFACE, "left", new Linkage(15, 18, 140, 2, 0, false, true), end, 0);
    List<Surface> surfaces =
        List.of(
            surface("slave", Side.LEFT, new Shares(-0.5, 0.5, 0, List.of()), slave),
            surface(
                "left",
                Side.LEFT,
                new Shares(-0.5, 0.5, 0, List.of()),
                new Rod(DriverKind.SERVO, "s-left", left, end, adjusted)),
            surface(
                "right",
                Side.RIGHT,
                new Shares(0.5, 0.5, 0, List.of()),
                new Rod(DriverKind.SERVO, "s-right", right, end, 0)));
    Response response = Response.even(80, 30);
    return new Setup(
        Setup.FORMAT_VERSION,
        "Test rig",
        "",
        new Airframe("Flying wing", List.of(), panels(), List.of()),
        transmitter,
        wiring(),
        channels,
        servos,
        surfaces,
        List.of(),
        List.of(),
        List.of(phase()),
        new Feel(response, response, response),
        List.of(),
        List.of(),
        Power.PLAIN,
        Trims.ZERO,
        new BalanceSheet("Nose", 0, 60, 55, 65, 900, List.of(), 25),
        HouseValues.STANDARD,
        Notebook.EMPTY);
  }

  /** A transmitter with its own conventions, one lever and one switch. */
  public static Transmitter transmitter(
      SubTrimMode mode, double centre, double per100, double click, StickFunction... order) {
    return new Transmitter(
        "Test",
        2,
        mode,
        centre,
        per100,
        click,
        60,
        150,
        900,
        2100,
        1,
        12,
        List.of(order),
        300,
        200,
        List.of(
            new TransmitterInput("lever", "lever", InputKind.LEVER, 0),
            new TransmitterInput("switch", "switch", InputKind.SWITCH, 3)),
        List.of());
  }

  /** The one phase a simple model has. */
  private static Phase phase() {
    return new Phase(
        "flight",
        "Flight",
        "",
        PhaseRole.OTHER,
        "",
        0,
        List.of(),
        List.of(),
        false,
        false,
        false,
        Trims.ZERO,
        NoseNote.NOT_FLOWN);
  }

  private static Wiring wiring() {
    List<Socket> sockets =
        List.of(new Socket(1, 1, SocketOutput.SERVO), new Socket(2, 2, SocketOutput.SERVO));
    Receiver receiver = new Receiver("Test", sockets, false, Failsafe.EVERY_CHANNEL, 0);
    List<Lead> leads =
        List.of(
            new Lead("s-left", 1, "", 0, false, "left"),
            new Lead("s-right", 2, "", 0, false, "right"));
    return new Wiring(receiver, leads, List.of());
  }

  private static Surface surface(String id, Side side, Shares shares, Rod rod) {
    return new Surface(
        id,
        id,
        side,
        false,
        50,
        new Place("wing", 0.2, 0.8),
        shares,
        rod,
        SurfaceRole.ELEVON,
        Map.of("left", "right", "right", "left").getOrDefault(id, ""),
        List.of());
  }

  private static List<Panel> panels() {
    return List.of(
        new Panel(
            "wing",
            "Wing",
            new Station(0, 0, 0, 200),
            new Station(100, 500, 0, 120),
            PanelRole.WING,
            ""));
  }

  /** A random rig with two phases, differential, presets, own trims and chained mixes. */
  public static Setup programmed(long seed) {
    Random random = new Random(seed);
    List<Mix> mixes = new ArrayList<>();
    mixes.add(mix("a", MixSource.RESPONSE, "roll", "left", part(random), List.of()));
    mixes.add(
        mix(
            "b",
            MixSource.THROTTLE,
            "",
            "left",
            part(random),
            List.of(new CurvePoint(-100, part(random)), new CurvePoint(100, part(random)))));
    mixes.add(mix("c", MixSource.SURFACE, "left", "right", part(random), List.of()));
    mixes.add(mix("d", MixSource.INPUT, "lever", "right", part(random), List.of()));
    Collections.shuffle(mixes, random);
    Phase thermal =
        new Phase(
            "thermal",
            "Thermal",
            "",
            PhaseRole.OTHER,
            "three",
            1,
            List.of(new Preset("left", part(random)), new Preset("right", part(random))),
            List.of(new Differential("left", 50), new Differential("right", -30)),
            false,
            true,
            false,
            new Trims(0, 7, 0),
            NoseNote.NOT_FLOWN);
    Setup rig = random(seed);
    return rig.change()
        .conditions(
            List.of(
                new Condition(
                    "three", "Three", ConditionKind.SWITCH_AT, "switch", 3, List.of(), 0)))
        .phases(List.of(thermal, rig.basePhase()))
        .mixes(mixes)
        .done();
  }

  private static double part(Random random) {
    return random.nextDouble() * 30 - 15;
  }

  public static Mix mix(
      String id,
      MixSource source,
      String subject,
      String target,
      double w,
      List<CurvePoint> curve) {
    return new Mix(
        id,
        id,
        "",
        source,
        subject,
        w,
        -w / 2,
        5,
        curve,
        List.of(MixTarget.even(target, 0.8)),
        "",
        List.of(),
        0);
  }
}
