package hightally.app.adjustment;

import hightally.app.adjustment.Adjustments.Wish;
import hightally.app.aircraft.Revision;
import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.benchsetup.BenchVerification;
import hightally.core.history.PlanOptions;
import hightally.core.quantity.Control;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import io.swagger.v3.oas.annotations.Operation;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Adjustments over HTTP; an aircraft has at most one that is open. */
@RestController
@RequestMapping("/api/aircraft/{aircraftId}")
class AdjustmentController {
  private final Adjustments adjustments;

  AdjustmentController(Adjustments adjustments) {
    this.adjustments = adjustments;
  }

  /**
   * The flight whose trims go into the rods.
   *
   * @param reference id of the phase whose trim goes into the linkages; empty for the last
   * @param presetsTakeUp whether the other phases' own trims go into their presets
   * @param controls whose trims go into the rods
   */
  record Beginning(
      long flightId, String reference, boolean presetsTakeUp, List<Control> controls) {}

  /** The step the pilot is at, and the version he saw. */
  record Progress(int step, int version) {}

  /** The version of the work order the pilot saw. */
  record SeenOrder(int version) {}

  @GetMapping("/flights/{flightId}/adjustment")
  @Operation(summary = "What the trims of a flight would mean for the rods; stores nothing")
  AdjustmentPlan preview(
      @PathVariable long aircraftId,
      @PathVariable long flightId,
      @RequestParam(defaultValue = "") String reference,
      @RequestParam(defaultValue = "false") boolean presetsTakeUp,
      @RequestParam(defaultValue = "ROLL,PITCH,YAW") List<Control> controls) {
    return adjustments.preview(aircraftId, flightId, new Wish(reference, presetsTakeUp, controls));
  }

  @PostMapping("/adjustment/plan")
  @Operation(summary = "What is worth turning and the plan of it; stores nothing")
  Adjustments.RodPlan plan(@PathVariable long aircraftId, @RequestBody PlanOptions wish) {
    return adjustments.plan(aircraftId, wish);
  }

  @GetMapping("/adjustment")
  @Operation(summary = "The work order that is open; empty if there is none")
  ResponseEntity<OpenAdjustment> open(@PathVariable long aircraftId) {
    return adjustments
        .open(aircraftId)
        .map(ResponseEntity::ok)
        .orElseGet(() -> ResponseEntity.noContent().build());
  }

  @PostMapping("/adjustment")
  @Operation(
      summary = "Begins a work order from a flight, or takes up the one begun with the same wish")
  @ResponseStatus(HttpStatus.CREATED)
  OpenAdjustment begin(@PathVariable long aircraftId, @RequestBody Beginning beginning) {
    return adjustments.begin(
        aircraftId,
        beginning.flightId(),
        new Wish(beginning.reference(), beginning.presetsTakeUp(), beginning.controls()));
  }

  @PutMapping("/adjustment")
  @Operation(summary = "Keeps the step of the work order the pilot is at")
  OpenAdjustment moveTo(@PathVariable long aircraftId, @RequestBody Progress progress) {
    return adjustments.moveTo(aircraftId, progress.step(), progress.version());
  }

  /** What the gauge showed, and the version of the work order the pilot saw. */
  record Measured(Adjustments.GaugeRead gauge, int version) {}

  @PutMapping("/adjustment/gauge")
  @Operation(summary = "Notes what the gauge showed at a surface")
  OpenAdjustment measure(@PathVariable long aircraftId, @RequestBody Measured measured) {
    return adjustments.measure(aircraftId, measured.gauge(), measured.version());
  }

  /** What came of turning, and the version of the work order the pilot saw. */
  record Marking(Adjustments.MarkRead mark, int version) {}

  @PutMapping("/adjustment/mark")
  @Operation(summary = "Notes how many steps it took to reach the mark, and how far off it is")
  OpenAdjustment mark(@PathVariable long aircraftId, @RequestBody Marking marking) {
    return adjustments.mark(aircraftId, marking.mark(), marking.version());
  }

  /** What a surface did at full stick, and the version of the work order the pilot saw. */
  record Seeing(BenchVerification.Verified verified, int version) {}

  @PutMapping("/adjustment/verified")
  @Operation(summary = "Notes what a surface did at full stick, once the rods are turned")
  OpenAdjustment verify(@PathVariable long aircraftId, @RequestBody Seeing seeing) {
    return adjustments.verify(aircraftId, seeing.verified(), seeing.version());
  }

  @PostMapping("/learned")
  @Operation(summary = "Takes what explains the measurements into the description, by consent")
  @ResponseStatus(HttpStatus.CREATED)
  Revision correct(@PathVariable long aircraftId, @RequestBody Consent consent) {
    return adjustments.correct(aircraftId, consent);
  }

  /** The same with another way than turning the ends that are there. */
  record BeginningWith(long flightId, PlanOptions wish) {}

  @PostMapping("/adjustment/planned")
  @Operation(summary = "Begins a work order that follows a plan, or takes up the one begun so")
  @ResponseStatus(HttpStatus.CREATED)
  OpenAdjustment beginPlanned(@PathVariable long aircraftId, @RequestBody BeginningWith begun) {
    PlanOptions wish = begun.wish();
    List<Control> controls =
        Arrays.stream(Control.values()).filter(one -> !wish.leave().contains(one)).toList();
    return adjustments.begin(
        aircraftId,
        begun.flightId(),
        new Wish(wish.reference(), wish.presetsTakeUp(), controls, wish.means()));
  }

  @GetMapping("/flights/{flightId}/followed")
  @Operation(summary = "Revisions whose rods were turned for the trims of a flight")
  List<Integer> followed(@PathVariable long aircraftId, @PathVariable long flightId) {
    return adjustments.madeOf(aircraftId, flightId);
  }

  /**
   * A work order to close.
   *
   * @param because why, though something is not as planned; empty where all is
   */
  record Closing(int version, @Text(min = 0, max = 200) String because) {
    Closing {
      because = because == null ? "" : because;
    }
  }

  @PostMapping("/adjustment/close")
  @Operation(summary = "Closes the work order: rods changed, trims as the plan says")
  Revision close(@PathVariable long aircraftId, @RequestBody Closing closing) {
    Validation.check(closing);
    return adjustments.close(aircraftId, closing.version(), closing.because());
  }

  @DeleteMapping("/adjustment")
  @Operation(summary = "Gives the work order up; the setup stays as it was")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void abandon(@PathVariable long aircraftId, @RequestParam int version) {
    adjustments.abandon(aircraftId, version);
  }
}
