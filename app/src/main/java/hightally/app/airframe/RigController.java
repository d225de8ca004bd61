package hightally.app.airframe;

import hightally.app.platform.ComputationQueue;
import hightally.core.balance.BalanceAdvice;
import hightally.core.balance.HangingTest;
import hightally.core.benchsetup.MeasuredThrows;
import hightally.core.channel.Transmitter;
import hightally.core.preflight.SeenMends;
import hightally.core.preflight.SeenMends.SeenMend;
import hightally.core.probe.LookAnswer;
import hightally.core.probe.ProbeTold;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.wiring.ChannelPlan;
import hightally.core.wiring.TransmitterMove;
import hightally.core.wiring.WiringSheet;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What can be done to a rig: a setup goes in, a changed one or an answer comes out. */
@RestController
@RequestMapping("/api/rig")
class RigController {
  private final ComputationQueue turns;

  RigController(ComputationQueue turns) {
    this.turns = turns;
  }

  /** A setup to look at. */
  record SetupAsked(Setup setup) {}

  /** A setup and the two channels that are to become one. */
  record ShareAsked(Setup setup, int keep, int drop) {}

  /** A setup and what was seen of the rig it describes, oldest first. */
  record ProbeAsked(Setup setup, List<LookAnswer> answers) {}

  /** A setup and the transmitter it is to go to. */
  record MoveAsked(Setup setup, Transmitter transmitter) {}

  @PostMapping("/balance/hanging")
  @Operation(summary = "The thrust line through the balance point, from how a model hangs")
  HangingTest hanging(@RequestBody HangingTest.HangingAsked asked) {
    return HangingTest.of(asked);
  }

  @PostMapping("/map/proposal")
  @Operation(summary = "A channel map drawn up and explained; nothing moves differently")
  ChannelPlan.Proposed propose(@RequestBody SetupAsked asked) {
    return ChannelPlan.of(Validation.check(asked.setup()));
  }

  @PostMapping("/map/share")
  @Operation(summary = "The setup with two channels made one on a Y-lead")
  Setup share(@RequestBody ShareAsked asked) {
    Setup setup = Validation.check(asked.setup());
    return ChannelPlan.of(setup).sharing().stream()
        .filter(one -> one.keep() == asked.keep() && one.drop() == asked.drop())
        .findFirst()
        .map(one -> one.applied(ChannelPlan.of(setup).setup()))
        .orElseThrow(
            () -> InvalidInputException.of("drop", asked.drop(), Said.of("demand.offeredChannel")));
  }

  @PostMapping("/map/move")
  @Operation(summary = "The model on another transmitter, every surface before and after")
  TransmitterMove.Moved move(@RequestBody MoveAsked asked) {
    return TransmitterMove.of(asked.setup(), asked.transmitter());
  }

  @PostMapping("/map/sheet")
  @Operation(summary = "The wiring sheet with the parts to buy")
  WiringSheet sheet(@RequestBody SetupAsked asked) {
    return WiringSheet.of(Validation.check(asked.setup()));
  }

  @PostMapping("/probe")
  @Operation(
      summary =
          "What to look at next to find out what a rig is, or what to change; whatever was seen so"
              + " far is asked with it")
  ProbeTold probe(@RequestBody ProbeAsked asked) {
    Validation.check(asked);
    return turns.of(() -> ProbeTold.of(asked.setup(), asked.answers()));
  }

  @PostMapping("/probe/mended")
  @Operation(
      summary = "The setup once what is to be changed has been, and the answers that still hold")
  ProbeTold.Mended mended(@RequestBody ProbeAsked asked) {
    Validation.check(asked);
    return turns.of(() -> ProbeTold.mended(asked.setup(), asked.answers()));
  }

  @PostMapping("/balance/wish")
  @Operation(summary = "What can be asked about the balance of a model, to begin with")
  BalanceAdvice.BalanceWish wish(@RequestBody SetupAsked asked) {
    return BalanceAdvice.BalanceWish.of(Validation.check(asked.setup()));
  }

  @PostMapping("/balance")
  @Operation(summary = "Pack shift, ballast, washers and notes for every pack")
  BalanceAdvice balance(@RequestBody BalanceAdvice.BalanceQuestion question) {
    return BalanceAdvice.of(Validation.check(question));
  }

  /**
   * What readings say.
   *
   * @param answer what was expected and what explains them
   * @param mends taking each explanation into the linkage, in the same order, tried
   * @param even endpoints that make a pair's other side move as far, tried
   */
  record Explained(
      MeasuredThrows.MeasuredAnswer answer, List<SeenMend> mends, List<SeenMend> even) {}

  @PostMapping("/measured")
  @Operation(
      summary =
          "From throws measured at stick positions to geometry and equal sides; each change tried"
              + " on a copy")
  Explained measured(@RequestBody MeasuredThrows.MeasuredQuestion question) {
    MeasuredThrows.MeasuredAnswer answer = MeasuredThrows.answer(Validation.check(question));
    return turns.of(
        () ->
            new Explained(
                answer.shown(),
                SeenMends.of(question.setup(), answer.mends()),
                SeenMends.of(question.setup(), answer.even())));
  }
}
