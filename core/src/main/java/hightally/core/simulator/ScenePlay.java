package hightally.core.simulator;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.simulator.Scene.SceneStep;
import java.util.ArrayList;
import java.util.List;

/** Plays scenes on the simulated bench, one setup or two side by side. */
public final class ScenePlay {
  private static final double FRAME_SECONDS = 0.05;

  private ScenePlay() {}

  /**
   * What a scene did.
   *
   * @param seconds times of the frames
   * @param tracks one a surface, in the setup's order
   * @param power how hard the motors turned, 0 to 1
   * @param phases index of the phase in each frame
   */
  public record Played(
      List<Double> seconds, List<Track> tracks, List<Double> power, List<Integer> phases) {}

  /** A surface through the scene, mm at the trailing edge. */
  public record Track(String surface, String name, List<Double> mm) {}

  /**
   * Two setups through the same scene.
   *
   * @param before the first
   * @param after the second
   * @param differences surfaces whose movement differs, most first
   * @param onlyBefore surfaces only the first has
   * @param onlyAfter surfaces only the second has
   */
  public record Compared(
      Played before,
      Played after,
      List<TrackDifference> differences,
      List<String> onlyBefore,
      List<String> onlyAfter) {}

  /**
   * How one surface differs.
   *
   * @param mostMm the largest difference, after less before
   * @param atSeconds when
   * @param stretches when it differs by more than a ruler shows, as pairs of times
   */
  public record TrackDifference(
      String surface, String name, double mostMm, double atSeconds, List<Stretch> stretches) {}

  /** From when to when. */
  public record Stretch(double fromSeconds, double toSeconds) {}

  /** Plays a scene. */
  public static Played play(SignalPath path, Scene scene) {
    Validation.check(scene);
    Setup setup = path.setup();
    BenchRun run = new BenchRun(path);
    List<Double> seconds = new ArrayList<>();
    List<Double> power = new ArrayList<>();
    List<Integer> phases = new ArrayList<>();
    List<List<Double>> mm = new ArrayList<>();
    setup.surfaces().forEach(surface -> mm.add(new ArrayList<>()));
    int step = 0;
    double passed = 0;
    int frames = (int) Math.ceil(scene.seconds() / FRAME_SECONDS);
    for (int frame = 0; frame <= frames; frame++) {
      double at = Math.min(scene.seconds(), frame * FRAME_SECONDS);
      while (step + 1 < scene.steps().size() && scene.steps().get(step + 1).atSeconds() <= at) {
        step++;
        double then = Math.max(passed, scene.steps().get(step).atSeconds());
        run.step(hands(setup, scene.steps().get(step)), then - passed);
        passed = then;
      }
      BenchMoment shown = run.step(hands(setup, scene.steps().get(step)), at - passed);
      passed = at;
      seconds.add(at);
      power.add(shown.motorPower());
      phases.add(shown.phase());
      for (int i = 0; i < mm.size(); i++) {
        mm.get(i).add(shown.positions().travelMm()[i]);
      }
    }
    List<Track> tracks = new ArrayList<>();
    for (int i = 0; i < mm.size(); i++) {
      tracks.add(
          new Track(setup.surfaces().get(i).id(), setup.surfaces().get(i).name(), mm.get(i)));
    }
    return new Played(seconds, tracks, power, phases);
  }

  private static BenchHands hands(Setup setup, SceneStep step) {
    return new BenchHands(fitted(setup, step.moment()), step.linkLost());
  }

  /** Trims beyond this transmitter's range are not played but named. */
  private static Moment fitted(Setup setup, Moment moment) {
    int inputs = setup.transmitter().inputs().size();
    if (moment.inputs().size() > inputs) {
      throw InvalidInputException.of(
          "scene.steps.moment.inputs",
          Said.of("given.levers", "count", moment.inputs().size()),
          Said.of("demand.mostTransmitter", "inputs", inputs));
    }
    return Validation.check(moment);
  }

  /** Plays a scene on two setups and says where they differ. */
  public static Compared compare(SignalPath before, SignalPath after, Scene scene) {
    Played one = play(before, scene);
    Played two = play(after, scene);
    double visible = after.setup().house().rulerMm();
    List<TrackDifference> differences = new ArrayList<>();
    for (Track track : one.tracks()) {
      two.tracks().stream()
          .filter(other -> other.surface().equals(track.surface()))
          .map(other -> difference(track, other, one.seconds(), visible))
          .filter(found -> !found.stretches().isEmpty())
          .forEach(differences::add);
    }
    differences.sort((a, b) -> Double.compare(Math.abs(b.mostMm()), Math.abs(a.mostMm())));
    return new Compared(one, two, differences, missing(one, two), missing(two, one));
  }

  private static List<String> missing(Played from, Played in) {
    List<String> there = in.tracks().stream().map(Track::surface).toList();
    return from.tracks().stream()
        .filter(track -> !there.contains(track.surface()))
        .map(Track::name)
        .toList();
  }

  private static TrackDifference difference(
      Track before, Track after, List<Double> seconds, double visible) {
    double most = 0;
    double at = 0;
    double since = Double.NaN;
    List<Stretch> stretches = new ArrayList<>();
    for (int i = 0; i < seconds.size(); i++) {
      double differs = after.mm().get(i) - before.mm().get(i);
      if (Math.abs(differs) > Math.abs(most)) {
        most = differs;
        at = seconds.get(i);
      }
      boolean seen = Math.abs(differs) > visible;
      if (seen && Double.isNaN(since)) {
        since = seconds.get(i);
      } else if (!seen && !Double.isNaN(since)) {
        stretches.add(new Stretch(since, seconds.get(i)));
        since = Double.NaN;
      }
    }
    if (!Double.isNaN(since)) {
      stretches.add(new Stretch(since, seconds.get(seconds.size() - 1)));
    }
    return new TrackDifference(after.surface(), after.name(), most, at, stretches);
  }
}
