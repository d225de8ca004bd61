package hightally.core.history;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Surface;
import hightally.core.flightlog.Diagnosis.Cause;
import hightally.core.flightlog.Diagnosis.Suspect;
import hightally.core.linkage.RodEnd;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.List;

/** An explanation taken into the description: the model itself is as it was. */
public final class Correction {
  private static final double TENTHS = 10;
  private static final double THOUSANDTHS = 1000;

  private Correction() {}

  /** What would be corrected, in words. */
  static Calibration.Named of(Setup setup, Suspect one) {
    String surface = first(setup, one);
    double was = value(setup, one.cause(), surface);
    double becomes = value(applied(setup, one), one.cause(), surface);
    Said words =
        Said.of(
            "story.named",
            "what",
            told(setup, one),
            "was",
            quantity(one.cause(), was),
            "becomes",
            quantity(one.cause(), becomes),
            "surfaces",
            Said.list(names(setup, touched(setup, one))));
    return new Calibration.Named(one.cause(), one.subject(), one.factor(), was, becomes, words);
  }

  /** Ids of the surfaces for which it changes what is reckoned. */
  static List<String> touched(Setup setup, Suspect one) {
    return switch (one.cause()) {
      case NOTHING -> List.of();
      case CLICK_STEP ->
          setup.surfaces().stream()
              .filter(
                  each ->
                      each.shares().roll() != 0
                          || each.shares().pitch() != 0
                          || each.shares().yaw() != 0)
              .map(Surface::id)
              .toList();
      case THREAD -> threaded(setup, one.subject());
      case ARM, HORN ->
          setup.surfaces().stream()
              .filter(
                  each ->
                      each.id().equals(one.subject())
                          || each.rod().driver() == DriverKind.SURFACE
                              && each.rod().driverId().equals(one.subject()))
              .map(Surface::id)
              .toList();
    };
  }

  /** Why a revision was made of it. */
  public static Said reason(Setup setup, Suspect one) {
    Calibration.Named named = of(setup, one);
    return Said.of(
        "story.corrected",
        "what",
        told(setup, one),
        "was",
        quantity(one.cause(), named.was()),
        "becomes",
        quantity(one.cause(), named.becomes()));
  }

  /** The description with it corrected. */
  public static Setup applied(Setup setup, Suspect one) {
    return switch (one.cause()) {
      case NOTHING -> setup;
      case CLICK_STEP -> {
        double step = setup.transmitter().clickStepPercent() * one.factor();
        yield setup
            .change()
            .transmitter(
                setup.transmitter().withClickStep(Math.rint(step * THOUSANDTHS) / THOUSANDTHS))
            .done();
      }
      case THREAD -> {
        Setup now = setup;
        for (String id : threaded(setup, one.subject())) {
          now = now.withSurface(threaded(now.surface(id).orElseThrow(), one.factor()));
        }
        yield now;
      }
      case ARM -> {
        Surface surface = setup.surface(one.subject()).orElseThrow();
        double radius = surface.rod().linkage().armRadiusMm() * one.factor();
        yield setup.withSurface(
            surface.withRod(surface.rod().withArm(Math.rint(radius * TENTHS) / TENTHS)));
      }
      case HORN -> {
        Surface surface = setup.surface(one.subject()).orElseThrow();
        double radius = surface.rod().linkage().hornRadiusMm() * one.factor();
        yield setup.withSurface(
            surface.withRod(surface.rod().withHorn(Math.rint(radius * TENTHS) / TENTHS)));
      }
    };
  }

  /** Another thread: the turns that were made were turns of that one as well. */
  private static Surface threaded(Surface surface, double factor) {
    Rod rod = surface.rod();
    RodEnd end = Calibration.threaded(rod.end(), factor);
    double made = rod.adjustedMm() * end.pitchMm() / rod.end().pitchMm();
    return surface.withRod(rod.onEnd(end).changedBy(made - rod.adjustedMm()));
  }

  /** Ids of the surfaces whose ends are of a class. */
  static List<String> threaded(Setup setup, String name) {
    return CalibrationModel.ends(setup).stream()
        .filter(one -> one.name().equals(name))
        .flatMap(one -> one.surfaces().stream())
        .toList();
  }

  private static double value(Setup setup, Cause cause, String surface) {
    Rod rod = setup.surface(surface).orElseThrow().rod();
    return switch (cause) {
      case NOTHING -> 1;
      case CLICK_STEP -> setup.transmitter().clickStepPercent();
      case THREAD -> rod.end().pitchMm();
      case ARM -> rod.linkage().armRadiusMm();
      case HORN -> rod.linkage().hornRadiusMm();
    };
  }

  /** A surface it is about. */
  private static String first(Setup setup, Suspect one) {
    return switch (one.cause()) {
      case ARM, HORN -> one.subject();
      case THREAD -> threaded(setup, one.subject()).get(0);
      case NOTHING, CLICK_STEP -> setup.surfaces().get(0).id();
    };
  }

  private static Quantity quantity(Cause cause, double value) {
    return switch (cause) {
      case CLICK_STEP -> Quantity.percent(value, 3);
      case THREAD -> Quantity.mm(value, 3);
      default -> Quantity.mm(value, 1);
    };
  }

  /** An explanation as a pilot would say it. */
  static Said told(Setup setup, Suspect one) {
    List<String> names =
        switch (one.cause()) {
          case THREAD -> names(setup, threaded(setup, one.subject()));
          case ARM, HORN -> names(setup, List.of(one.subject()));
          default -> List.<String>of();
        };
    return Said.of("story.cause", "cause", one.cause(), "surfaces", Said.list(names));
  }

  private static List<String> names(Setup setup, List<String> ids) {
    return ids.stream().flatMap(id -> setup.surface(id).stream()).map(Surface::name).toList();
  }
}
