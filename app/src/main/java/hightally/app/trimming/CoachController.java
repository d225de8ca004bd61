package hightally.app.trimming;

import hightally.app.aircraft.Hangar;
import hightally.app.platform.IdempotentRequests;
import hightally.app.words.ReaderWords;
import hightally.core.airframe.Pack;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.trimming.FlightForm;
import hightally.core.trimming.Purpose;
import hightally.core.trimming.PurposeNotes;
import hightally.core.trimming.TestCase;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The coach for trim flights, and what a model is for, over HTTP. */
@RestController
@RequestMapping("/api/aircraft/{aircraftId}")
class CoachController {
  private static final int REASON = 300;

  private final TrimCoach coach;
  private final Purposes wishes;
  private final Hangar hangar;
  private final ReaderWords words;

  CoachController(TrimCoach coach, Purposes wishes, Hangar hangar, ReaderWords words) {
    this.coach = coach;
    this.wishes = wishes;
    this.hangar = hangar;
    this.words = words;
  }

  @GetMapping("/coach")
  @Operation(summary = "Which trim tests stand, which are void, what comes next, the one change")
  TrimCoach.CoachSheet sheet(@PathVariable long aircraftId) {
    return coach.sheet(aircraftId);
  }

  @GetMapping("/flight-form")
  @Operation(summary = "What an entry asks in every phase: trims, throttle, what is reckoned with")
  List<FlightForm> form(@PathVariable long aircraftId) {
    return FlightForm.of(hangar.newest(aircraftId).setup());
  }

  @PostMapping("/coach/skipped")
  @Operation(summary = "Leaves a trim test out, with a reason; it never counts as passed")
  TrimCoach.CoachSheet skip(@PathVariable long aircraftId, @RequestBody TrimCoach.Skip skip) {
    coach.skip(aircraftId, skip);
    return coach.sheet(aircraftId);
  }

  @PostMapping("/coach/taken-up")
  @Operation(summary = "Takes a trim test up again that was left out")
  TrimCoach.CoachSheet takeUp(@PathVariable long aircraftId, @RequestBody TestCase test) {
    coach.takeUp(aircraftId, test);
    return coach.sheet(aircraftId);
  }

  @PostMapping("/coach/jobs")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Begins the change at the model a trim test asks for; once for each key")
  ModelChange begin(
      @PathVariable long aircraftId,
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody TestCase test) {
    String once = IdempotentRequests.key(key);
    return IdempotentRequests.of(
        once, made -> coach.begunBy(aircraftId, made), () -> coach.begin(aircraftId, test, once));
  }

  @PutMapping("/coach/jobs/{jobId}")
  @Operation(
      summary = "Enters a change at the model as done, or gives it up; a balance makes a revision")
  ModelChange close(
      @PathVariable long aircraftId,
      @PathVariable long jobId,
      @RequestBody TrimCoach.Closed closed) {
    String reason = words.of(Said.of("coach.balanceReason"), REASON);
    return coach.close(aircraftId, jobId, closed, reason);
  }

  @PostMapping("/coach/jobs/{jobId}/back")
  @Operation(summary = "Enters that a change at the model was put back as it was before")
  ModelChange back(@PathVariable long aircraftId, @PathVariable long jobId) {
    return coach.back(aircraftId, jobId);
  }

  /**
   * Wishes with what contradicts the model or its maker.
   *
   * @param between what goes with the balance of each pack, and with the one wanted
   */
  record WishSheet(
      Purpose wishes, int version, double balanceMm, List<Said> notes, List<Said> between) {}

  /** Changed wishes, and the version that was changed; -1 where there were none. */
  record ChangedWishes(int version, Purpose wishes) {}

  @GetMapping("/wishes")
  @Operation(summary = "What the model is for, with what contradicts it")
  WishSheet wishes(@PathVariable long aircraftId) {
    return sheet(aircraftId, wishes.of(aircraftId));
  }

  @PutMapping("/wishes")
  @Operation(summary = "Notes what the model is for")
  WishSheet note(@PathVariable long aircraftId, @RequestBody ChangedWishes changed) {
    return sheet(aircraftId, wishes.note(aircraftId, changed.version(), changed.wishes()));
  }

  @GetMapping("/wishes/starting")
  @Operation(summary = "A starting point for a beginner, an intermediate pilot or an expert")
  Purpose starting(@PathVariable long aircraftId, @RequestParam Purpose.Pilot pilot) {
    return PurposeNotes.starting(hangar.newest(aircraftId).setup(), pilot);
  }

  private WishSheet sheet(long aircraftId, Purposes.Kept kept) {
    Setup setup = hangar.newest(aircraftId).setup();
    return new WishSheet(
        kept.wishes(),
        kept.version(),
        PurposeNotes.balanceMm(setup, kept.wishes()),
        PurposeNotes.of(setup, kept.wishes()),
        Stream.concat(
                setup.balance().packs().stream().map(Pack::cgMm),
                Stream.of(PurposeNotes.balanceMm(setup, kept.wishes())))
            .distinct()
            .flatMap(cg -> PurposeNotes.between(kept.wishes(), cg).stream())
            .toList());
  }
}
