package hightally.app.school;

import hightally.app.platform.ComputationQueue;
import hightally.core.program.Phase;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.simulator.FlightSample;
import hightally.core.simulator.FlightTraits;
import hightally.core.simulator.Flyable;
import hightally.core.simulator.FlyingModel;
import hightally.core.simulator.Manoeuvre;
import hightally.core.simulator.TestFlight;
import hightally.core.simulator.TrimState;
import hightally.core.simulator.Wireframe;
import hightally.core.trimming.FlownState;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A draft flown against what is saved, by the simulated model. Nothing is stored. */
@RestController
@RequestMapping("/api/air")
class DraftFlightController {
  private final ComputationQueue turns;

  DraftFlightController(ComputationQueue turns) {
    this.turns = turns;
  }

  /**
   * What is compared.
   *
   * @param draft the setup as it is on the page
   * @param saved the one that is saved
   */
  record FlyThis(Setup draft, Setup saved, Manoeuvre manoeuvre) {}

  /**
   * Both paths.
   *
   * @param against why the draft cannot fly; then there are no paths
   */
  record BothFlown(
      Manoeuvre manoeuvre,
      List<Manoeuvre> others,
      List<FlightSample> draft,
      List<FlightSample> saved,
      List<Wireframe.Outline> frame,
      List<Said> against,
      List<Said> words) {}

  @PostMapping("/fly-this")
  @Operation(summary = "Simulated: a draft and what is saved fly the same manoeuvre")
  BothFlown fly(@RequestBody FlyThis asked) {
    return turns.of(() -> flown(asked));
  }

  private static BothFlown flown(FlyThis asked) {
    if (asked.draft() == null || asked.saved() == null || asked.manoeuvre() == null) {
      throw InvalidInputException.of("draft", Said.of("given.missing"), Said.of("demand.given"));
    }
    Setup draft = Validation.check(asked.draft());
    Setup saved = Validation.check(asked.saved());
    FlightTraits traits = FlightTraits.proposed(saved);
    List<Manoeuvre> others = Manoeuvre.of(draft);
    List<Said> against = Flyable.against(FlyingModel.asBuilt(draft), FlightTraits.proposed(draft));
    if (against.isEmpty()) {
      against = Flyable.against(FlyingModel.asBuilt(saved), traits);
    }
    if (against.isEmpty() && !Manoeuvre.of(saved).contains(asked.manoeuvre())) {
      against = List.of(Said.of("air.savedHasNone"));
    }
    if (!against.isEmpty() || !others.contains(asked.manoeuvre())) {
      return new BothFlown(
          asked.manoeuvre(), others, List.of(), List.of(), List.of(), against, List.of());
    }
    FlyingModel was = model(saved, traits);
    FlyingModel is = model(draft, traits);
    Phase phase = asked.manoeuvre().phase(saved);
    Phase now = draft.phase(phase.id()).orElse(draft.basePhase());
    TrimState trim = TestFlight.trimmed(was, phase).orElseThrow(DraftFlightController::none);
    List<FlightSample> before = asked.manoeuvre().fly(was, phase, trim);
    List<FlightSample> after = asked.manoeuvre().fly(is, now, trim);
    return new BothFlown(
        asked.manoeuvre(),
        others,
        after,
        before,
        Wireframe.of(is.shape()),
        List.of(),
        FlightWords.of(List.of(after, before)));
  }

  private static InvalidInputException none() {
    return InvalidInputException.of("saved", "", Said.of("air.noTrim"));
  }

  private static FlyingModel model(Setup setup, FlightTraits traits) {
    FlownState snapshot = FlyingModel.asBuilt(setup);
    FlightTraits own = new FlightTraits(traits.kind(), FlightTraits.proposed(setup).roles());
    return FlyingModel.of(snapshot, setup, own, List.of());
  }
}
