package hightally.core;

import hightally.core.airframe.Airframe;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Panel;
import hightally.core.airframe.Place;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Side;
import hightally.core.airframe.Station;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.SubTrimMode;
import hightally.core.channel.Transmitter;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.phase.Trims;
import hightally.core.response.Feel;
import hightally.core.response.Response;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
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
    Transmitter transmitter = new Transmitter("Test", 2, mode, 1500, 500, 0.5, 60, 150, 900, 2100);
    List<Channel> channels = new ArrayList<>();
    List<Servo> servos = new ArrayList<>();
    String[] sides = {"left", "right"};
    for (int i = 0; i < 2; i++) {
      channels.add(
          new Channel(i + 1, sides[i], sides[i], i == 1, subTrims[i], ends[i], ends[1 - i]));
      servos.add(new Servo("s-" + sides[i], sides[i], i + 1, 0.09, 1500, 60, i == 1, 0.5, 20));
    }
    RodEnd end = new RodEnd(RodEndKind.CLEVIS, 0.4);
    Rod slave =
        new Rod(DriverKind.SURFACE, "left", new Linkage(15, 18, 140, 2, 0, false, true), end, 0);
    List<Surface> surfaces =
        List.of(
            surface("slave", Side.LEFT, new Shares(-0.5, 0.5, 0), slave),
            surface(
                "left",
                Side.LEFT,
                new Shares(-0.5, 0.5, 0),
                new Rod(DriverKind.SERVO, "s-left", left, end, adjusted)),
            surface(
                "right",
                Side.RIGHT,
                new Shares(0.5, 0.5, 0),
                new Rod(DriverKind.SERVO, "s-right", right, end, 0)));
    Response response = Response.even(80, 30);
    return new Setup(
        1,
        "Test rig",
        "",
        new Airframe("Flying wing", List.of(), panels(), 0),
        transmitter,
        channels,
        servos,
        surfaces,
        new Feel(response, response, response),
        Trims.ZERO);
  }

  private static Surface surface(String id, Side side, Shares shares, Rod rod) {
    return new Surface(id, id, side, false, 50, new Place("wing", 0.2, 0.8), shares, rod);
  }

  private static List<Panel> panels() {
    return List.of(
        new Panel("wing", "Wing", new Station(0, 0, 0, 200), new Station(100, 500, 0, 120)));
  }
}
