package hightally.core.simulator;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A stand-in for a transmitter at reduced power and a receiver with one or two antennas: simulated,
 * and labelled so. The same question with the same seed has the same answer.
 *
 * <p>Each frame reaches an antenna with a level in dB: the transmitter's, less 20 dB for ten times
 * the distance, less what the antenna's own pattern and its tilt against the transmitter's upright
 * antenna take (a half-wave rod hears nothing along its axis and little of what swings across it),
 * less what stands in the way, plus the flutter of a reflecting ground. Below the receiver's limit
 * the antenna has a fade; a frame that no antenna caught is lost; so many lost in a row are a hold.
 */
public final class LinkStandIn {
  /** Frames a second, as common links send them. */
  private static final int FRAMES_PER_SECOND = 100;

  private static final int SECONDS = 10;
  private static final int HOLD_FRAMES = 20;
  private static final double FULL_DB = 78;
  private static final double REDUCED_DB = 30;
  private static final double LIMIT_DB = 8;
  private static final double FLOOR = 0.03;
  private static final double FLUTTER_DB = 3.5;
  private static final double FLUTTER_KEEPS = 0.93;
  private static final double METRES_PER_PACE = 0.75;
  private static final double MOTOR_DB = 3;

  private LinkStandIn() {}

  /**
   * An antenna: which way its active end points.
   *
   * @param rightDegrees from straight aft, to the right
   * @param upDegrees above the level
   */
  public record Antenna(
      @Within(min = -180, max = 180, unit = Unit.DEGREES) double rightDegrees,
      @Within(min = -90, max = 90, unit = Unit.DEGREES) double upDegrees) {}

  /**
   * Something that shadows: a pack, a motor, carbon.
   *
   * @param rightDegrees where it stands as seen from the antennas, from straight aft to the right
   * @param halfWidthDegrees how wide it is to either side
   * @param lossDb what it takes
   */
  public record Shadow(
      @Text(max = 40) String name,
      @Within(min = -180, max = 180, unit = Unit.DEGREES) double rightDegrees,
      @Within(min = 1, max = 90, unit = Unit.DEGREES) double halfWidthDegrees,
      @Within(min = 0, max = 40, unit = Unit.NONE) double lossDb) {}

  /**
   * What is asked.
   *
   * @param paces between transmitter and model
   * @param reduced whether the transmitter sends at reduced power
   * @param quarter which way the model is held: 0 tail towards the pilot, then a quarter to the
   *     right each
   * @param motorRuns whether the motor runs
   */
  public record LinkAsked(
      @Within(min = 0, max = 1_000_000, unit = Unit.NONE) long seed,
      @Within(min = 1, max = 3000, unit = Unit.NONE) double paces,
      boolean reduced,
      @Within(min = 0, max = 3, unit = Unit.NONE) int quarter,
      boolean motorRuns,
      List<Antenna> antennas,
      List<Shadow> shadows) {
    public LinkAsked {
      antennas = antennas == null ? null : List.copyOf(antennas);
      shadows = shadows == null ? null : List.copyOf(shadows);
    }
  }

  /**
   * What the receiver reports after ten seconds.
   *
   * @param frames sent
   * @param fades frames each antenna missed
   * @param lostFrames frames both missed
   * @param holds how often so many were lost in a row that it held
   * @param levelsDb mean level of each antenna above the receiver's limit
   * @param words what to think of it; that it is simulated
   */
  public record LinkReport(
      int frames,
      List<Integer> fades,
      int lostFrames,
      int holds,
      List<Double> levelsDb,
      Said words) {}

  /** Ten seconds of the link. */
  public static LinkReport of(LinkAsked asked) {
    Validation.check(asked);
    int count = asked.antennas().size();
    if (count < 1 || count > 2) {
      throw InvalidInputException.of("antennas", count, Said.of("demand.oneOrTwo"));
    }
    double[] mean = new double[count];
    for (int i = 0; i < count; i++) {
      mean[i] = level(asked, asked.antennas().get(i)) - LIMIT_DB;
    }
    Random random =
        new Random(asked.seed() * 31 + asked.quarter() * 7L + (asked.motorRuns() ? 1 : 0));
    double[] flutter = new double[count];
    int[] fades = new int[count];
    int lost = 0;
    int holds = 0;
    int row = 0;
    int frames = FRAMES_PER_SECOND * SECONDS;
    for (int frame = 0; frame < frames; frame++) {
      boolean caught = false;
      for (int i = 0; i < count; i++) {
        double gust = Math.sqrt(1 - FLUTTER_KEEPS * FLUTTER_KEEPS) * random.nextGaussian();
        flutter[i] = FLUTTER_KEEPS * flutter[i] + gust;
        boolean heard = mean[i] + FLUTTER_DB * flutter[i] >= 0;
        fades[i] += heard ? 0 : 1;
        caught |= heard;
      }
      lost += caught ? 0 : 1;
      row = caught ? 0 : row + 1;
      holds += row == HOLD_FRAMES ? 1 : 0;
    }
    List<Integer> all = new ArrayList<>();
    List<Double> levels = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      all.add(fades[i]);
      levels.add(Math.rint(10 * mean[i]) / 10);
    }
    return new LinkReport(frames, all, lost, holds, levels, words(asked, holds, lost, mean));
  }

  /** Mean level at an antenna, dB. */
  static double level(LinkAsked asked, Antenna antenna) {
    double distance = 20 * Math.log10(asked.paces() * METRES_PER_PACE);
    double power = FULL_DB - (asked.reduced() ? REDUCED_DB : 0);
    double motor = asked.motorRuns() ? MOTOR_DB : 0;
    return power - distance - motor + pattern(asked.quarter(), antenna) - shadow(asked);
  }

  /** What pattern and tilt of an antenna take, dB, at most the floor. */
  private static double pattern(int quarter, Antenna antenna) {
    double up = Math.toRadians(antenna.upDegrees());
    // The pilot stands straight aft of a model that is held tail first.
    double towards = Math.toRadians(antenna.rightDegrees() - 90.0 * quarter);
    double along = Math.cos(up) * Math.cos(towards);
    double hears = Math.sqrt(Math.max(0, 1 - along * along));
    double upright = Math.abs(Math.sin(up));
    double tilted = hears == 0 ? 0 : upright / hears;
    // Reflections turn some of what was sent: a rod lying across still hears a quarter of it.
    double swings = Math.max(0.25, Math.min(1, tilted));
    return 20 * Math.log10(Math.max(FLOOR, hears * swings));
  }

  private static double shadow(LinkAsked asked) {
    double pilot = 90.0 * asked.quarter();
    double loss = 0;
    for (Shadow one : asked.shadows()) {
      double off = Math.abs(((one.rightDegrees() - pilot) % 360 + 540) % 360 - 180);
      loss += off <= one.halfWidthDegrees() ? one.lossDb() : 0;
    }
    return loss;
  }

  private static Said words(LinkAsked asked, int holds, int lost, double[] mean) {
    return Said.of(
        "link.report",
        "holds",
        holds,
        "lost",
        lost,
        "single",
        asked.antennas().size() == 1,
        "square",
        square(asked.antennas()),
        "weak",
        Quantity.plain(java.util.Arrays.stream(mean).min().orElse(0), 0));
  }

  /** Whether two antennas stand square to each other, to 20°. */
  private static boolean square(List<Antenna> antennas) {
    if (antennas.size() < 2) {
      return false;
    }
    double[] one = axis(antennas.get(0));
    double[] other = axis(antennas.get(1));
    double dot = one[0] * other[0] + one[1] * other[1] + one[2] * other[2];
    return Math.abs(dot) <= Math.sin(Math.toRadians(20));
  }

  private static double[] axis(Antenna antenna) {
    double up = Math.toRadians(antenna.upDegrees());
    double right = Math.toRadians(antenna.rightDegrees());
    return new double[] {
      Math.cos(up) * Math.cos(right), Math.cos(up) * Math.sin(right), Math.sin(up)
    };
  }
}
