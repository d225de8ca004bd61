package hightally.core.simulator;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.setup.Setup;
import hightally.core.simulator.FlyingShape.Role;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** Faults to hide in a model, from a seed. */
public final class FaultGenerator {
  private FaultGenerator() {}

  /** Kinds that show in a trim test: the others show in clicks and at the bench. */
  public static final Set<HiddenFault.Kind> SHOWN =
      Set.of(
          HiddenFault.Kind.BALANCE,
          HiddenFault.Kind.DOWN_THRUST,
          HiddenFault.Kind.RIGHT_THRUST,
          HiddenFault.Kind.TIP_MASS);

  /** Some faults that a model can have, no two of a kind, of sizes that are met. */
  public static List<HiddenFault> random(
      Setup setup, FlightTraits traits, int count, Random random) {
    return random(setup, traits, count, random, EnumSet.allOf(HiddenFault.Kind.class));
  }

  /** The same of some kinds only. */
  public static List<HiddenFault> random(
      Setup setup, FlightTraits traits, int count, Random random, Set<HiddenFault.Kind> among) {
    List<HiddenFault.Kind> kinds = new ArrayList<>(possible(setup, traits));
    kinds.retainAll(among);
    List<HiddenFault> faults = new ArrayList<>();
    while (faults.size() < count && !kinds.isEmpty()) {
      HiddenFault.Kind kind = kinds.remove(random.nextInt(kinds.size()));
      double size = kind.least() + random.nextDouble() * (kind.most() - kind.least());
      boolean less = kind != HiddenFault.Kind.PLAY && random.nextBoolean();
      faults.add(new HiddenFault(kind, subject(setup, traits, kind, random), less ? -size : size));
    }
    return List.copyOf(faults);
  }

  private static Set<HiddenFault.Kind> possible(Setup setup, FlightTraits traits) {
    Set<HiddenFault.Kind> kinds = EnumSet.allOf(HiddenFault.Kind.class);
    if (setup.airframe().motors().isEmpty()) {
      kinds.remove(HiddenFault.Kind.DOWN_THRUST);
      kinds.remove(HiddenFault.Kind.RIGHT_THRUST);
    }
    if (!traits.roles().containsValue(Role.TAIL) && !traits.roles().containsValue(Role.CANARD)) {
      kinds.remove(HiddenFault.Kind.TAIL_INCIDENCE);
    }
    if (driven(setup, traits).isEmpty()) {
      kinds.removeAll(Set.of(HiddenFault.Kind.HORN, HiddenFault.Kind.ARM, HiddenFault.Kind.PLAY));
    }
    return kinds;
  }

  private static String subject(
      Setup setup, FlightTraits traits, HiddenFault.Kind kind, Random random) {
    List<String> among =
        switch (kind) {
          case HORN, ARM, PLAY -> driven(setup, traits);
          case WARP ->
              traits.roles().keySet().stream()
                  .filter(one -> traits.roles().get(one) == Role.WING)
                  .sorted()
                  .toList();
          default -> List.of();
        };
    return among.isEmpty() ? "" : among.get(random.nextInt(among.size()));
  }

  /** Surfaces in the air with a servo of their own. */
  private static List<String> driven(Setup setup, FlightTraits traits) {
    return setup.surfaces().stream()
        .filter(one -> one.rod().driver() == DriverKind.SERVO)
        .filter(one -> traits.roles().containsKey(one.place().panel()))
        .map(Surface::id)
        .sorted(Comparator.naturalOrder())
        .toList();
  }
}
