package hightally.app.bench;

import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.linkage.FourBar;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SheetMaker;
import hightally.core.signal.SignalPath;
import hightally.core.signal.SurfaceSheet;
import hightally.core.signal.TallyMaker;
import hightally.core.simulator.BenchHands;
import hightally.core.simulator.BenchMoment;
import hightally.core.simulator.BenchRun;
import java.util.List;

/** The bench of one page: the setup that lies on it. */
final class BenchSession {
  private static final double MILLIS = 1000;

  /** A page that slept takes up where it is instead of living through what it missed. */
  private static final double LONGEST_STEP_SECONDS = 1;

  private SignalPath path;
  private BenchRun run;
  private double lastMilliseconds = Double.NaN;

  /** Answers one request; a refused one leaves the bench as it was. */
  BenchAnswer answer(BenchRequest request) {
    try {
      if (request instanceof BenchRequest.Load load) {
        List<SurfaceSheet> sheets = load(load.setup());
        return new BenchAnswer.Loaded(load.number(), sheets, findings());
      }
      if (request instanceof BenchRequest.SwitchOn) {
        needLoaded();
        run = new BenchRun(path);
        return new BenchAnswer.SwitchedOn(request.number());
      }
      BenchRequest.Move move = (BenchRequest.Move) request;
      return show(
          move.number(),
          new BenchHands(move.moment(), move.linkLost()),
          seconds(move.atMilliseconds()),
          move.selected());
    } catch (InvalidInputException e) {
      return BenchAnswer.refused(request.number(), e.violations());
    }
  }

  /** Puts a setup on the bench. */
  List<SurfaceSheet> load(Setup setup) {
    SignalPath loaded = SignalPath.of(setup);
    List<SurfaceSheet> sheets = SheetMaker.of(loaded);
    path = loaded;
    run = new BenchRun(loaded);
    return sheets;
  }

  /** What the pilot should know of the setup on the bench. */
  List<Finding> findings() {
    return Audit.of(path).stream().map(Finding::shown).toList();
  }

  private void needLoaded() {
    if (path == null) {
      throw InvalidInputException.of("setup", "missing", Said.of("demand.loadedFirst"));
    }
  }

  private double seconds(double atMilliseconds) {
    double passed = (atMilliseconds - lastMilliseconds) / MILLIS;
    lastMilliseconds = atMilliseconds;
    return passed > 0 ? Math.min(LONGEST_STEP_SECONDS, passed) : 0;
  }

  /** Lets time pass on the bench, and shows it with the tally of one surface. */
  BenchAnswer.Frame show(long number, BenchHands hands, double seconds, String selected) {
    needLoaded();
    Moment moment = Validation.check(hands.moment());
    int surface = path.indexOf(selected);
    BenchMoment now = run.step(hands, seconds);
    Moment known = moment.with(moment.readings().withTruths(now.truths()));
    return new BenchAnswer.Frame(
        number,
        path.setup().phases().get(now.phase()).id(),
        now,
        now.positions(),
        TallyMaker.underWay(path, known, surface, now.phase(), actual(surface, now.positions())),
        linkage(surface, now.positions()));
  }

  private double actual(int surface, Positions positions) {
    return positions.commandPercent()[path.channelBehind(surface)];
  }

  private BenchAnswer.LinkageView linkage(int surface, Positions positions) {
    FourBar bar = path.bar(surface);
    double driver = path.driverDegrees(surface, positions);
    double degrees = positions.surfaceDegrees()[surface];
    double gain = bar.gain(driver);
    return new BenchAnswer.LinkageView(
        bar.pose(driver, degrees), driver, degrees, Double.isFinite(gain) ? gain : null);
  }
}
