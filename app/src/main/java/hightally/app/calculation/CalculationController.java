package hightally.app.calculation;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectReader;
import hightally.app.platform.JsonProblems;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.Function;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The calculations, for scripts and spreadsheets; they store nothing. */
@RestController
@RequestMapping("/api/calc")
class CalculationController {
  private final ObjectReader reader;

  CalculationController(ObjectMapper mapper) {
    reader = mapper.reader().without(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES);
  }

  @PostMapping("/response")
  @Operation(summary = "Rate and expo over stick positions")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content =
          @Content(schema = @Schema(implementation = ResponseCalculation.ResponseGiven.class)))
  ResponseCalculation.ResponseFound response(@RequestBody JsonNode given) {
    return of(given, ResponseCalculation.ResponseGiven.class, ResponseCalculation::of);
  }

  @PostMapping("/curve")
  @Operation(summary = "Points joined by straight lines, level beyond the ends")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = CurveCalculation.CurveGiven.class)))
  CurveCalculation.CurveFound curve(@RequestBody JsonNode given) {
    return of(given, CurveCalculation.CurveGiven.class, CurveCalculation::of);
  }

  @PostMapping("/retrim")
  @Operation(summary = "Trims of every phase to rods, and the clicks that are left in each phase")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = RetrimCalculation.RetrimGiven.class)))
  RetrimCalculation.RetrimFound retrim(@RequestBody JsonNode given) {
    return of(given, RetrimCalculation.RetrimGiven.class, RetrimCalculation::of);
  }

  @PostMapping("/output")
  @Operation(summary = "Command to pulse to servo arm angle")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = OutputCalculation.OutputsGiven.class)))
  OutputCalculation.OutputsFound output(@RequestBody JsonNode given) {
    return of(given, OutputCalculation.OutputsGiven.class, OutputCalculation::of);
  }

  @PostMapping("/linkage")
  @Operation(summary = "Surface angle and gain over arm angles, and the usable range")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = LinkageCalculation.LinkagesGiven.class)))
  LinkageCalculation.LinkagesFound linkage(@RequestBody JsonNode given) {
    return of(given, LinkageCalculation.LinkagesGiven.class, LinkageCalculation::of);
  }

  @PostMapping("/rodChange")
  @Operation(summary = "A trim carried over into a rod, in steps of the rod's end")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content =
          @Content(schema = @Schema(implementation = RodChangeCalculation.RodChangeGiven.class)))
  RodChangeCalculation.RodChangeFound rodChange(@RequestBody JsonNode given) {
    return of(given, RodChangeCalculation.RodChangeGiven.class, RodChangeCalculation::of);
  }

  @PostMapping("/armSeating")
  @Operation(
      summary = "Which arm and tooth stands nearest to square, and what is left for the sub-trim")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = RigCalculations.ArmSeatingGiven.class)))
  RigCalculations.ArmSeatingFound armSeating(@RequestBody JsonNode given) {
    return of(given, RigCalculations.ArmSeatingGiven.class, RigCalculations::seating);
  }

  @PostMapping("/balance")
  @Operation(summary = "Battery shift and ballast for a wanted balance point")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = RigCalculations.BalanceGiven.class)))
  RigCalculations.BalanceFound balance(@RequestBody JsonNode given) {
    return of(given, RigCalculations.BalanceGiven.class, RigCalculations::balance);
  }

  @PostMapping("/washer")
  @Operation(summary = "Washer thickness for a change of the thrust line")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = RigCalculations.WasherGiven.class)))
  RigCalculations.WasherFound washer(@RequestBody JsonNode given) {
    return of(given, RigCalculations.WasherGiven.class, RigCalculations::washer);
  }

  @PostMapping("/meanChord")
  @Operation(summary = "Area, mean chord and its quarter of some panels")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = TrimCalculations.MeanChordGiven.class)))
  TrimCalculations.MeanChordFound meanChord(@RequestBody JsonNode given) {
    return of(given, TrimCalculations.MeanChordGiven.class, TrimCalculations::meanChord);
  }

  @PostMapping("/neutralPoint")
  @Operation(summary = "Where a wing and a tail stop being stable in pitch: an estimate")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content =
          @Content(schema = @Schema(implementation = TrimCalculations.NeutralPointGiven.class)))
  TrimCalculations.NeutralPointFound neutralPoint(@RequestBody JsonNode given) {
    return of(given, TrimCalculations.NeutralPointGiven.class, TrimCalculations::neutralPoint);
  }

  @PostMapping("/trimAdvice")
  @Operation(summary = "The one change an outcome of a trim test asks for")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = TrimCalculations.TrimAdviceGiven.class)))
  TrimCalculations.TrimAdviceFound trimAdvice(@RequestBody JsonNode given) {
    return of(given, TrimCalculations.TrimAdviceGiven.class, TrimCalculations::advice);
  }

  @PostMapping("/trimStep")
  @Operation(summary = "The next value of a lever, from what its flights have shown")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = TrimCalculations.TrimStepGiven.class)))
  TrimCalculations.TrimStepFound trimStep(@RequestBody JsonNode given) {
    return of(given, TrimCalculations.TrimStepGiven.class, TrimCalculations::step);
  }

  @PostMapping("/diagnose")
  @Operation(summary = "What explains measurements, weighed together, the likeliest first")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content =
          @Content(schema = @Schema(implementation = DiagnoseCalculation.DiagnoseGiven.class)))
  DiagnoseCalculation.DiagnoseFound diagnose(@RequestBody JsonNode given) {
    return of(given, DiagnoseCalculation.DiagnoseGiven.class, DiagnoseCalculation::of);
  }

  @PostMapping("/airForces")
  @Operation(summary = "What the air does to a model's shape at one moment; a stand-in, see docs")
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(implementation = AirCalculations.AirGiven.class)))
  AirCalculations.AirFound airForces(@RequestBody JsonNode given) {
    return of(given, AirCalculations.AirGiven.class, AirCalculations::of);
  }

  private <G, F> F of(JsonNode given, Class<G> type, Function<G, F> calculation) {
    try {
      G read = reader.forType(type).readValue(given);
      return calculation.apply(Given.need("document", read));
    } catch (JacksonException e) {
      throw JsonProblems.explained(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
