package hightally.app.bench;

import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.linkage.FourBar;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.signal.Conditions;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SheetMaker;
import hightally.core.signal.SignalPath;
import hightally.core.signal.SurfaceSheet;
import hightally.core.signal.TallyMaker;
import java.util.List;
import java.util.stream.IntStream;

/** The bench of one page: the setup that lies on it. */
final class BenchSession {
  private SignalPath path;

  /** Answers one request; a refused one leaves the bench as it was. */
  BenchAnswer answer(BenchRequest request) {
    try {
      if (request instanceof BenchRequest.Load load) {
        List<SurfaceSheet> sheets = load(load.setup());
        return new BenchAnswer.Loaded(load.number(), sheets, findings());
      }
      BenchRequest.Move move = (BenchRequest.Move) request;
      return show(move.number(), move.moment(), move.selected());
    } catch (InvalidInputException e) {
      return BenchAnswer.refused(request.number(), e.violations());
    }
  }

  /** Puts a setup on the bench. */
  List<SurfaceSheet> load(Setup setup) {
    SignalPath loaded = SignalPath.of(setup);
    List<SurfaceSheet> sheets = SheetMaker.of(loaded);
    path = loaded;
    return sheets;
  }

  /** What the pilot should know of the setup on the bench. */
  List<Finding> findings() {
    return Audit.of(path);
  }

  /** Shows a moment, and the tally of one surface. */
  BenchAnswer.Frame show(long number, Moment moment, String selected) {
    if (path == null) {
      throw InvalidInputException.of("setup", "missing", "loaded before a moment is shown");
    }
    Validation.check(moment);
    int surface = path.indexOf(selected);
    Positions positions = path.evaluate(moment);
    return new BenchAnswer.Frame(
        number,
        path.setup().phases().get(path.phase(moment)).id(),
        truths(moment),
        positions,
        path.motorPower(moment),
        TallyMaker.of(path, moment, surface),
        linkage(surface, positions));
  }

  private List<Boolean> truths(Moment moment) {
    Conditions conditions = path.program().conditions();
    int phase = path.phase(moment);
    return IntStream.range(0, conditions.count())
        .mapToObj(i -> conditions.isTrue(i, moment, phase))
        .toList();
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
