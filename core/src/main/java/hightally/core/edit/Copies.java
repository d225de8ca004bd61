package hightally.core.edit;

import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.program.SourceRoot;
import hightally.core.program.ThrottleCurve;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Copies of what is there: a phase's values, a mix, a set of rates, a throttle curve. */
public final class Copies {
  private static final int NAME_LONGEST = 80;

  private Copies() {}

  /** What can be copied. */
  public enum Copied {
    /** Presets, differential and own trims of one phase to another; both named by id. */
    PHASE,
    /** A mix, beside the one it was. */
    MIX,
    /** The same for the mirrored surfaces: every surface in it by its pair. */
    MIX_MIRRORED,
    /** A set of rates and expo. */
    FEEL_SET,
    /** A throttle curve, for the phase named; it is named by its place, counted from 1. */
    THROTTLE_CURVE
  }

  /**
   * What is asked.
   *
   * @param from id of what is copied
   * @param to id of the phase it goes to; empty where it becomes one more
   */
  public record CopyWish(
      Setup setup, Copied what, @Text(max = 40) String from, @Text(min = 0, max = 40) String to) {}

  /** The setup with the copy. */
  public static Setup of(CopyWish wish, Naming naming) {
    Validation.check(wish);
    Setup setup = wish.setup();
    Setup copied =
        switch (wish.what()) {
          case PHASE -> phase(setup, found(setup, wish.from()), found(setup, wish.to()));
          case MIX -> mix(setup, wish.from(), false, naming);
          case MIX_MIRRORED -> mix(setup, wish.from(), true, naming);
          case FEEL_SET -> set(setup, wish.from(), naming);
          case THROTTLE_CURVE -> curve(setup, wish);
        };
    return Validation.check(copied);
  }

  private static Phase found(Setup setup, String id) {
    return setup
        .phase(id)
        .orElseThrow(() -> InvalidInputException.of("phase", id, Said.of("demand.phasesId")));
  }

  private static Setup phase(Setup setup, Phase from, Phase to) {
    Phase copy =
        new Phase(
            to.id(),
            to.name(),
            to.goal(),
            to.role(),
            to.when(),
            to.fadeSeconds(),
            from.presets(),
            from.differential(),
            from.ownRoll(),
            from.ownPitch(),
            from.ownYaw(),
            from.trims(),
            to.nose());
    return setup
        .change()
        .phases(setup.phases().stream().map(one -> one.id().equals(to.id()) ? copy : one).toList())
        .done();
  }

  private static Setup mix(Setup setup, String id, boolean mirrored, Naming naming) {
    Mix from =
        setup.mixes().stream()
            .filter(one -> one.id().equals(id))
            .findFirst()
            .orElseThrow(() -> InvalidInputException.of("from", id, Said.of("demand.mixesId")));
    Set<String> taken = setup.mixes().stream().map(Mix::id).collect(Collectors.toSet());
    String subject =
        mirrored && from.source().root() == SourceRoot.SURFACE
            ? mirrored(setup, from.subject())
            : from.subject();
    List<MixTarget> targets =
        mirrored
            ? from.targets().stream()
                .map(
                    one ->
                        new MixTarget(
                            mirrored(setup, one.target()), one.factor(), one.factorMinus()))
                .toList()
            : from.targets();
    if (mirrored && subject.equals(from.subject()) && targets.equals(from.targets())) {
      throw InvalidInputException.of("from", id, Said.of("demand.mixOnPair"));
    }
    String name =
        naming.of(
            Said.of(mirrored ? "edit.mirrored" : "edit.copy", "name", from.name()), NAME_LONGEST);
    Mix copy =
        new Mix(
            new PartNames(taken).id(from.id()),
            name,
            from.reason(),
            from.source(),
            subject,
            from.weightPlusPercent(),
            from.weightMinusPercent(),
            from.startPercent(),
            from.curve(),
            targets,
            from.when(),
            from.phases(),
            from.fadeSeconds());
    return setup.change().mixes(behind(setup.mixes(), copy)).done();
  }

  private static String mirrored(Setup setup, String surface) {
    return setup.surface(surface).flatMap(setup::pairOf).map(one -> one.id()).orElse(surface);
  }

  private static Setup set(Setup setup, String id, Naming naming) {
    Optional<FeelSet> from =
        setup.feelSets().stream().filter(one -> one.id().equals(id)).findFirst();
    FeelSet one =
        from.orElseThrow(() -> InvalidInputException.of("from", id, Said.of("demand.feelSetsId")));
    Set<String> taken = setup.feelSets().stream().map(FeelSet::id).collect(Collectors.toSet());
    FeelSet copy =
        one.change()
            .id(new PartNames(taken).id(one.id()))
            .name(naming.of(Said.of("edit.copy", "name", one.name()), NAME_LONGEST))
            .done();
    return setup.change().feelSets(behind(setup.feelSets(), copy)).done();
  }

  /** Before the others, since the first that names a phase decides it. */
  private static Setup curve(Setup setup, CopyWish wish) {
    List<ThrottleCurve> curves = setup.power().curves();
    int place = -1;
    for (int i = 0; i < curves.size(); i++) {
      place = wish.from().equals(Integer.toString(i + 1)) ? i : place;
    }
    if (place < 0) {
      throw InvalidInputException.of("from", wish.from(), Said.of("demand.placeOfCurve"));
    }
    Phase phase = found(setup, wish.to());
    List<ThrottleCurve> all = new ArrayList<>();
    all.add(new ThrottleCurve(List.of(phase.id()), curves.get(place).points()));
    all.addAll(curves);
    return setup.change().power(setup.power().withCurves(all)).done();
  }

  private static <T> List<T> behind(List<T> all, T one) {
    List<T> more = new ArrayList<>(all);
    more.add(one);
    return more;
  }
}
