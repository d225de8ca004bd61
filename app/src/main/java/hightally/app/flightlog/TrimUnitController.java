package hightally.app.flightlog;

import hightally.core.channel.Transmitter;
import hightally.core.flightlog.TrimUnit;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Trims as a transmitter shows them, and the whole clicks they are; stores nothing. */
@RestController
@RequestMapping("/api/trims")
class TrimUnitController {
  /** Clicks to be shown as a transmitter shows them. */
  record ShownAsked(Transmitter transmitter, TrimUnit unit, List<Integer> clicks) {}

  /** What a transmitter shows. */
  record ReadAsked(Transmitter transmitter, TrimUnit unit, double shown) {}

  /** The whole clicks, and what they read as. */
  record WholeClicks(int clicks, double shown) {}

  @PostMapping("/shown")
  @Operation(summary = "What clicks read as on a transmitter")
  List<Double> shown(@RequestBody ShownAsked asked) {
    Transmitter transmitter = Validation.check(asked.transmitter());
    return asked.clicks().stream().map(one -> asked.unit().shown(transmitter, one)).toList();
  }

  @PostMapping("/clicks")
  @Operation(summary = "The whole clicks nearest to what a transmitter shows")
  WholeClicks clicks(@RequestBody ReadAsked asked) {
    Transmitter transmitter = Validation.check(asked.transmitter());
    int clicks = asked.unit().clicks(transmitter, asked.shown());
    int range = transmitter.trimRangeClicks();
    if (Math.abs(clicks) > range) {
      double most = asked.unit().shown(transmitter, range);
      throw InvalidInputException.of(
          "shown",
          asked.shown(),
          Said.of(
              "demand.range",
              "min",
              new Quantity(-most, Unit.NONE, -1),
              "max",
              new Quantity(most, Unit.NONE, -1)));
    }
    return new WholeClicks(clicks, asked.unit().shown(transmitter, clicks));
  }
}
