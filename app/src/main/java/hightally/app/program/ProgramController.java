package hightally.app.program;

import hightally.app.platform.ComputationQueue;
import hightally.core.edit.MixGallery;
import hightally.core.hazard.HazardSearch;
import hightally.core.movement.MovementSheet;
import hightally.core.movement.OutputSheet;
import hightally.core.movement.StickResponses;
import hightally.core.movement.SurfaceResponse;
import hightally.core.preflight.MendSearch;
import hightally.core.program.CurvePoint;
import hightally.core.program.Response;
import hightally.core.program.Shape;
import hightally.core.program.ShapeConversion;
import hightally.core.program.TrimsToCurve;
import hightally.core.quantity.Control;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet;
import hightally.core.sheet.FeelAdvice;
import hightally.core.sheet.FlickPreview;
import hightally.core.sheet.ProgramSheet;
import hightally.core.sheet.TermCurves;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the program of a setup can do; stores nothing. */
@RestController
@RequestMapping("/api/program")
class ProgramController {
  private final HazardRuns runs;
  private final ComputationQueue turns;

  ProgramController(HazardRuns runs, ComputationQueue turns) {
    this.runs = runs;
    this.turns = turns;
  }

  /** A response to convert. */
  record ConversionAsked(Response response, Shape to, ShapeConversion.Keep keep) {}

  /** A setup to look at. */
  record ProgramAsked(Setup setup) {}

  @PostMapping("/hazards")
  @Operation(
      summary = "Every position of every switch tried: what a pilot would only find in the air")
  HazardSearch.Outcome hazards(@RequestBody ProgramAsked asked) {
    return runs.now(asked.setup());
  }

  @PostMapping("/mends")
  @Operation(
      summary =
          "What mends each finding and hazard: tried on a copy, with all that then moves elsewhere")
  List<MendSearch.Offer> mends(@RequestBody ProgramAsked asked) {
    Setup setup = Validation.check(asked.setup());
    return turns.of(() -> MendSearch.of(setup));
  }

  /** A setup as it is, and as it was when it was last typed into the transmitter. */
  record ChangesAsked(Setup entered, Setup setup) {}

  @PostMapping("/sheet")
  @Operation(summary = "Surfaces by flight phase in mm, the switch plan, conditions as sentences")
  ProgramSheet sheet(@RequestBody ProgramAsked asked) {
    return ProgramSheet.of(Validation.check(asked.setup()));
  }

  /** A setup and where sticks, levers and switches stand. */
  record FlickAsked(Setup setup, Moment moment) {}

  @PostMapping("/movements")
  @Operation(
      summary = "Every surface in every phase, and what every mix does, as the bench would show it")
  MovementSheet movements(@RequestBody FlickAsked asked) {
    return MovementSheet.of(SignalPath.of(asked.setup()), asked.moment());
  }

  /**
   * A setup, where the bench stands, a control, and the surface to draw it at.
   *
   * @param surface id of the surface; empty for the one the control moves most
   */
  record FeelLinesAsked(
      Setup setup, Moment moment, Control control, @Text(min = 0, max = 40) String surface) {}

  @PostMapping("/feel/lines")
  @Operation(summary = "Every way a stick can move a surface, phase by phase and set by set, in mm")
  StickResponses feel(@RequestBody FeelLinesAsked asked) {
    Validation.check(asked.moment());
    return StickResponses.of(
        SignalPath.of(asked.setup()), asked.moment(), asked.control(), asked.surface());
  }

  /** A setup and one of its surfaces. */
  record OutputAsked(Setup setup, @Text(max = 40) String surface) {}

  @PostMapping("/outputs")
  @Operation(summary = "A surface's output stage, and its pair's, by up and down or left and right")
  OutputSheet output(@RequestBody OutputAsked asked) {
    return OutputSheet.of(asked.setup(), asked.surface());
  }

  /** A setup, where the bench stands, and one of its surfaces. */
  record HereAsked(Setup setup, Moment moment, @Text(max = 40) String surface) {}

  @PostMapping("/here")
  @Operation(summary = "What every stick and lever does to a surface where the bench stands, in mm")
  SurfaceResponse here(@RequestBody HereAsked asked) {
    Validation.check(asked.moment());
    return SurfaceResponse.of(SignalPath.of(asked.setup()), asked.moment(), asked.surface());
  }

  @PostMapping("/flicks")
  @Operation(summary = "What every other phase would bring with sticks and levers as they stand")
  List<FlickPreview> flicks(@RequestBody FlickAsked asked) {
    Validation.check(asked.moment());
    return FlickPreview.of(SignalPath.of(asked.setup()), asked.moment());
  }

  @PostMapping("/gallery")
  @Operation(summary = "Common mixes for which a model has the parts, and what each asks for")
  List<MixGallery.RecipeCard> gallery(@RequestBody ProgramAsked asked) {
    return MixGallery.cards(asked.setup());
  }

  @PostMapping("/feel/convert")
  @Operation(summary = "A response in another shape, keeping its centre slope or its whole curve")
  ShapeConversion.Converted convert(@RequestBody ConversionAsked asked) {
    return ShapeConversion.of(asked.response(), asked.to(), asked.keep());
  }

  @PostMapping("/terms")
  @Operation(summary = "What rate, expo, sub-trim and the like do, drawn from this setup's values")
  List<TermCurves.TermCurve> terms(@RequestBody TermCurves.TermsAsked asked) {
    return TermCurves.of(asked);
  }

  @GetMapping("/feel/words")
  @Operation(summary = "What pilots say about a stick, and what it points to")
  List<FeelAdvice.ComplaintCard> words() {
    return FeelAdvice.cards();
  }

  @PostMapping("/feel/words")
  @Operation(summary = "The first step for what a pilot says about a stick")
  FeelAdvice.FeelStep advise(@RequestBody FeelAdvice.FeelAsked asked) {
    return FeelAdvice.of(asked);
  }

  /** Trims at several settings of a lever, and the setting at which the mix shall add nothing. */
  record TrimCurveAsked(
      List<TrimsToCurve.TrimAt> flown, double referencePercent, double clickStepPercent) {}

  @PostMapping("/trim-curve")
  @Operation(summary = "The compensation curve that makes trims at several settings unnecessary")
  List<CurvePoint> trimCurve(@RequestBody TrimCurveAsked asked) {
    asked.flown().forEach(Validation::check);
    return TrimsToCurve.of(asked.flown(), asked.referencePercent(), asked.clickStepPercent());
  }

  @PostMapping("/hazards/searches")
  @Operation(summary = "Begins a search for hazards that can be watched and stopped")
  HazardRuns.SearchState search(@RequestBody ProgramAsked asked) {
    return runs.begin(asked.setup());
  }

  @GetMapping("/hazards/searches/{id}")
  @Operation(summary = "How far a search is; its outcome once it has ended")
  HazardRuns.SearchState searched(@PathVariable long id) {
    return runs.state(id);
  }

  @DeleteMapping("/hazards/searches/{id}")
  @Operation(summary = "Stops a search; what was found so far is kept")
  HazardRuns.SearchState stop(@PathVariable long id) {
    return runs.stop(id);
  }

  @PostMapping("/entry-sheet")
  @Operation(summary = "Every value to type into the transmitter")
  List<EntrySheet.Entry> entries(@RequestBody ProgramAsked asked) {
    return EntrySheet.of(Validation.check(asked.setup()));
  }

  @PostMapping("/entry-sheet/changes")
  @Operation(summary = "Only what differs from what was last typed in, old beside new")
  List<EntrySheet.Entry> changes(@RequestBody ChangesAsked asked) {
    return EntrySheet.changes(Validation.check(asked.entered()), Validation.check(asked.setup()));
  }
}
