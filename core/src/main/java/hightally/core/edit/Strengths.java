package hightally.core.edit;

import hightally.core.program.CurvePoint;
import hightally.core.program.Differential;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.MixFunction;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.program.Preset;
import hightally.core.program.Response;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.setup.TypedMovement.Kind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * The percent behind a movement: of a preset, a rate, a differential, or of what a mix gives one
 * target at one end of its source, which is its weight and the target's factor together.
 */
public final class Strengths {
  private static final double FULL = 100;
  private static final double MOST_FACTOR = 2;
  private static final double MOST_WEIGHT = 150;

  private Strengths() {}

  /**
   * Where a percent stands.
   *
   * @param bothSides whether a rate's other side gets the same
   */
  public record Place(
      Kind kind, String subject, String surface, boolean plusSide, boolean bothSides) {}

  /** What stands there today. */
  public static double percent(
      Setup setup, Kind kind, String subject, String surface, boolean plusSide) {
    return switch (kind) {
      case PRESET -> phase(setup, subject).presetPercent(surface);
      case DIFFERENTIAL -> FULL * phase(setup, subject).differential(surface);
      case RATE_ROLL -> rate(feel(setup, subject).roll(), plusSide);
      case RATE_PITCH -> rate(feel(setup, subject).pitch(), plusSide);
      case RATE_YAW -> rate(feel(setup, subject).yaw(), plusSide);
      case MIX -> ofMix(mix(setup, subject), surface, plusSide);
    };
  }

  private static double rate(Response response, boolean plusSide) {
    return plusSide ? response.ratePositivePercent() : response.rateNegativePercent();
  }

  private static double ofMix(Mix mix, String target, boolean plusSide) {
    double end = MixFunction.of(mix).value(end(mix, plusSide));
    return end
        * mix.targets().stream()
            .filter(one -> one.target().equals(target))
            .mapToDouble(one -> plusSide ? one.factor() : one.factorMinus())
            .sum();
  }

  private static double end(Mix mix, boolean plusSide) {
    return plusSide ? FULL : mix.source().least();
  }

  /** Whether a mirrored target goes the same way, 1, or the other, -1; 0 if it is no target. */
  public static double mirrored(Mix mix, String target, String pair) {
    double one = factor(mix, target);
    double other = factor(mix, pair);
    boolean both =
        mix.targets().stream().anyMatch(each -> each.target().equals(pair))
            && mix.targets().stream().anyMatch(each -> each.target().equals(target));
    if (!both) {
      return 0;
    }
    return one * other < 0 || one * other == 0 && mix.subject().equals("roll") ? -1 : 1;
  }

  private static double factor(Mix mix, String target) {
    return mix.targets().stream()
        .filter(each -> each.target().equals(target))
        .mapToDouble(each -> each.factor() == 0 ? each.factorMinus() : each.factor())
        .sum();
  }

  /** The largest percent that can stand there. */
  public static double most(Setup setup, Place place) {
    return switch (place.kind()) {
      case DIFFERENTIAL -> FULL;
      case MIX -> {
        Mix mix = mix(setup, place.subject());
        if (mix.curve().isEmpty()) {
          yield MOST_WEIGHT * (FULL - mix.startPercent()) / FULL;
        }
        double end = Math.abs(MixFunction.of(mix).value(end(mix, place.plusSide())));
        double most = mix.curve().stream().mapToDouble(one -> Math.abs(one.y())).max().orElse(0);
        yield most == 0 ? 0 : MOST_WEIGHT * end / most;
      }
      default -> MOST_WEIGHT;
    };
  }

  /** The setup with another percent there. */
  public static Setup put(Setup setup, Place place, double percent) {
    return switch (place.kind()) {
      case PRESET ->
          phases(setup, place, one -> one.withPresets(preset(one, place.surface(), percent)));
      case DIFFERENTIAL ->
          phases(
              setup,
              place,
              one -> one.withDifferential(differential(one, place.surface(), percent)));
      case RATE_ROLL -> rated(setup, place, Control.ROLL, percent);
      case RATE_PITCH -> rated(setup, place, Control.PITCH, percent);
      case RATE_YAW -> rated(setup, place, Control.YAW, percent);
      case MIX ->
          setup
              .change()
              .mixes(
                  OneChanged.of(
                      setup.mixes(),
                      place.subject(),
                      one -> one.id().equals(place.subject()),
                      one -> mixed(once(one), place, percent)))
              .done();
    };
  }

  private static Setup phases(Setup setup, Place place, UnaryOperator<Phase> change) {
    return setup
        .change()
        .phases(
            OneChanged.of(
                setup.phases(), place.subject(), one -> one.id().equals(place.subject()), change))
        .done();
  }

  private static List<Preset> preset(Phase phase, String surface, double percent) {
    List<Preset> presets = new ArrayList<>(phase.presets());
    presets.removeIf(one -> one.surface().equals(surface));
    if (percent != 0) {
      presets.add(new Preset(surface, percent));
    }
    return presets;
  }

  private static List<Differential> differential(Phase phase, String surface, double percent) {
    List<Differential> all = new ArrayList<>(phase.differential());
    all.removeIf(one -> one.surface().equals(surface));
    if (percent != 0) {
      all.add(new Differential(surface, percent));
    }
    return all;
  }

  private static Setup rated(Setup setup, Place place, Control control, double percent) {
    UnaryOperator<Feel> change =
        feel -> feel.with(control, rated(feel.of(control), place, percent));
    if (place.subject().isEmpty()) {
      return setup.change().feel(change.apply(setup.feel())).done();
    }
    return setup
        .change()
        .feelSets(
            OneChanged.of(
                setup.feelSets(),
                place.subject(),
                one -> one.id().equals(place.subject()),
                one -> one.withFeel(change.apply(one.feel()))))
        .done();
  }

  private static Response rated(Response was, Place place, double percent) {
    boolean plus = place.plusSide() || place.bothSides();
    boolean minus = !place.plusSide() || place.bothSides();
    return was.change()
        .ratePositivePercent(plus ? percent : was.ratePositivePercent())
        .rateNegativePercent(minus ? percent : was.rateNegativePercent())
        .done();
  }

  /** A target named twice is named once, with both factors together. */
  private static Mix once(Mix mix) {
    Map<String, MixTarget> sums = new LinkedHashMap<>();
    mix.targets().forEach(one -> sums.merge(one.target(), one, MixTarget::and));
    return mix.moving(List.copyOf(sums.values()));
  }

  /**
   * The target's factor takes it, as far as factors go; beyond that the weight grows and the other
   * targets' factors shrink with it, so that they give what they gave.
   */
  private static Mix mixed(Mix mix, Place place, double percent) {
    double end = MixFunction.of(mix).value(end(mix, place.plusSide()));
    if (!mix.curve().isEmpty()) {
      if (end == 0) {
        throw InvalidInputException.of("value", percent, Said.of("demand.curveEndsElsewhere"));
      }
      double factor = percent / end;
      if (Math.abs(factor) <= MOST_FACTOR) {
        return targeting(mix, place.surface(), one -> MixTarget.even(one.target(), factor));
      }
      double grown = Math.abs(percent / end);
      List<CurvePoint> curve =
          mix.curve().stream().map(one -> new CurvePoint(one.x(), one.y() * grown)).toList();
      Mix steeper = mix.weighing(mix.weightPlusPercent(), mix.weightMinusPercent(), curve);
      return targeting(
          all(steeper, one -> MixTarget.even(one.target(), one.factor() / grown)),
          place.surface(),
          one -> MixTarget.even(one.target(), Math.signum(factor)));
    }
    return weighed(mix, place, percent);
  }

  private static Mix weighed(Mix mix, Place place, double percent) {
    boolean plus = place.plusSide();
    double reach = (FULL - mix.startPercent()) / FULL * (plus ? 1 : -1);
    double product = reach == 0 ? 0 : percent / reach;
    double weight = plus ? mix.weightPlusPercent() : mix.weightMinusPercent();
    if (weight != 0 && Math.abs(product / weight) <= MOST_FACTOR) {
      return targeting(mix, place.surface(), one -> sided(one, plus, product / weight));
    }
    double grown = Math.abs(product);
    if (grown == 0) {
      return targeting(mix, place.surface(), one -> sided(one, plus, 0));
    }
    if (grown > MOST_WEIGHT) {
      double most = MOST_WEIGHT * Math.abs(reach);
      throw InvalidInputException.of("value", percent, Validation.range(-most, most, Unit.PERCENT));
    }
    Mix heavier =
        mix.weighing(
            plus ? grown : mix.weightPlusPercent(),
            plus ? mix.weightMinusPercent() : grown,
            mix.curve());
    double shrink = weight / grown;
    Mix kept =
        all(heavier, one -> sided(one, plus, shrink * (plus ? one.factor() : one.factorMinus())));
    return targeting(kept, place.surface(), one -> sided(one, plus, Math.signum(product)));
  }

  private static MixTarget sided(MixTarget was, boolean plus, double factor) {
    return new MixTarget(
        was.target(), plus ? factor : was.factor(), plus ? was.factorMinus() : factor);
  }

  private static Mix all(Mix mix, UnaryOperator<MixTarget> change) {
    return mix.moving(mix.targets().stream().map(change).toList());
  }

  private static Mix targeting(Mix mix, String surface, UnaryOperator<MixTarget> change) {
    return mix.moving(
        OneChanged.of(mix.targets(), surface, one -> one.target().equals(surface), change));
  }

  private static Phase phase(Setup setup, String id) {
    return setup
        .phase(id)
        .orElseThrow(() -> InvalidInputException.of("subject", id, Said.of("demand.phasesId")));
  }

  private static Feel feel(Setup setup, String set) {
    return set.isEmpty()
        ? setup.feel()
        : setup.feelSets().stream()
            .filter(one -> one.id().equals(set))
            .map(FeelSet::feel)
            .findFirst()
            .orElseThrow(
                () -> InvalidInputException.of("subject", set, Said.of("demand.feelSetsId")));
  }

  private static Mix mix(Setup setup, String id) {
    return setup.mixes().stream()
        .filter(one -> one.id().equals(id))
        .findFirst()
        .orElseThrow(() -> InvalidInputException.of("subject", id, Said.of("demand.mixesId")));
  }
}
