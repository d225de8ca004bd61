package hightally.app.calculation;

import hightally.app.calculation.RodChangeCalculation.RodChangeFound;
import hightally.app.calculation.RodChangeCalculation.RodEndGiven;
import hightally.core.adjustment.Retrim;
import hightally.core.program.Trims;
import hightally.core.quantity.Clicks;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Kind {@code retrim}: the trims of every phase turned into rods and new clicks. */
final class RetrimCalculation {
  private static final int MOST_CLICKS = 1000;

  private RetrimCalculation() {}

  /** What a control has, roll, pitch and yaw; what is left out is 0. */
  record PerControl(Double roll, Double pitch, Double yaw) {}

  /** A servo with its rod and surface. */
  record RetrimServo(
      String name,
      PerControl shares,
      LinkageGiven linkage,
      OutputGiven output,
      ServoGiven servo,
      RodEndGiven rodEnd,
      Double chord) {}

  /** A phase: trim in clicks, preset in percent of command by servo. */
  record RetrimPhase(String name, PerControl trim, Map<String, Double> preset) {}

  /** Whether trims are common to all phases. */
  enum TrimScope {
    COMMON,
    PER_PHASE
  }

  /** All of it; the click step in percent of command. */
  record RetrimGiven(
      Double clickStep,
      String referencePhase,
      TrimScope trimScope,
      List<RetrimPhase> phases,
      List<RetrimServo> servos) {}

  /** Whole clicks. */
  record Clicks(int roll, int pitch, int yaw) {}

  /** A phase with the new rods; travel errors in mm by servo, null where one cannot reach. */
  record RetrimPhaseFound(
      String name, Clicks trimAfter, PerControl trimAfterExact, Map<String, Double> travelError) {}

  /** The answer, servos and phases in the order given. */
  record RetrimFound(List<RetrimServoFound> servos, List<RetrimPhaseFound> phases) {}

  /** The rod change of one servo; angles in degrees, travels and lengths in mm; null: locked. */
  record RetrimServoFound(
      String name, @com.fasterxml.jackson.annotation.JsonUnwrapped RodChangeFound change) {}

  static RetrimFound of(RetrimGiven given) {
    double step = Given.number("clickStep", given.clickStep(), 0.01, 10, Unit.PERCENT);
    List<Retrim.Driven> servos = new ArrayList<>();
    List<RetrimServo> all = Given.need("servos", given.servos());
    for (int i = 0; i < all.size(); i++) {
      servos.add(driven(all.get(i), "servos[" + i + "]."));
    }
    List<Retrim.FlownPhase> phases = new ArrayList<>();
    List<RetrimPhase> flown = Given.need("phases", given.phases());
    int reference = -1;
    for (int i = 0; i < flown.size(); i++) {
      phases.add(phase(flown.get(i), servos, "phases[" + i + "]."));
      reference = flown.get(i).name().equals(given.referencePhase()) ? i : reference;
    }
    if (servos.isEmpty() || reference < 0) {
      throw InvalidInputException.of(
          servos.isEmpty() ? "servos" : "referencePhase",
          servos.isEmpty() ? "none" : given.referencePhase(),
          servos.isEmpty() ? Said.of("demand.leastOne") : Said.of("demand.nameOnePhases"));
    }
    boolean common = Given.or(given.trimScope(), TrimScope.PER_PHASE) == TrimScope.COMMON;
    return found(servos, Retrim.of(servos, phases, reference, step, common));
  }

  private static Retrim.Driven driven(RetrimServo one, String path) {
    PerControl shares = Given.need(path + "shares", one.shares());
    double[] per = {
      share(path + "shares.roll", shares.roll()),
      share(path + "shares.pitch", shares.pitch()),
      share(path + "shares.yaw", shares.yaw())
    };
    return new Retrim.Driven(
        Given.need(path + "name", one.name()),
        per,
        Given.need(path + "linkage", one.linkage()).bar(path + "linkage."),
        Given.need(path + "output", one.output()).output(path + "output."),
        Given.need(path + "servo", one.servo()).servo(path + "servo."),
        Given.need(path + "rodEnd", one.rodEnd()).end(path + "rodEnd."),
        Given.number(path + "chord", one.chord(), 1, 2000, Unit.MILLIMETRES));
  }

  private static double share(String field, Double value) {
    return Given.number(field, Given.or(value, 0.0), -2, 2, Unit.NONE);
  }

  private static Retrim.FlownPhase phase(RetrimPhase one, List<Retrim.Driven> servos, String path) {
    PerControl trim = Given.or(one.trim(), new PerControl(null, null, null));
    Map<String, Double> presets = Given.or(one.preset(), Map.of());
    double[] rest = new double[servos.size()];
    for (int i = 0; i < rest.length; i++) {
      String name = servos.get(i).name();
      rest[i] =
          Given.number(
              path + "preset." + name, presets.getOrDefault(name, 0.0), -200, 200, Unit.PERCENT);
    }
    Trims clicks =
        new Trims(
            clicks(path + "trim.roll", trim.roll()),
            clicks(path + "trim.pitch", trim.pitch()),
            clicks(path + "trim.yaw", trim.yaw()));
    return new Retrim.FlownPhase(Given.need(path + "name", one.name()), clicks, rest);
  }

  private static int clicks(String field, Double value) {
    double number =
        Given.number(field, Given.or(value, 0.0), -MOST_CLICKS, MOST_CLICKS, Unit.CLICKS);
    if (number != Math.rint(number)) {
      throw InvalidInputException.of(field, number, Said.of("demand.wholeClicks"));
    }
    return (int) number;
  }

  private static RetrimFound found(List<Retrim.Driven> servos, Retrim.Retrimmed found) {
    List<RetrimServoFound> rods = new ArrayList<>();
    for (int i = 0; i < servos.size(); i++) {
      rods.add(
          new RetrimServoFound(
              servos.get(i).name(),
              RodChangeCalculation.found(found.changes().get(i), found.armPerPercent()[i])));
    }
    List<RetrimPhaseFound> phases = new ArrayList<>();
    for (Retrim.PhaseAfter phase : found.phases()) {
      Map<String, Double> errors = new LinkedHashMap<>();
      for (int i = 0; i < servos.size(); i++) {
        double error = phase.travelErrorMm()[i];
        errors.put(servos.get(i).name(), Double.isFinite(error) ? error : null);
      }
      Trims after = phase.trimAfter();
      double[] exact = phase.exact();
      phases.add(
          new RetrimPhaseFound(
              phase.name(),
              new Clicks(after.roll(), after.pitch(), after.yaw()),
              new PerControl(exact[0], exact[1], exact[2]),
              errors));
    }
    return new RetrimFound(rods, phases);
  }
}
