package hightally.core.air;

import hightally.core.air.AirShape.Role;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** Faults to hide in a model, from a seed. */
public final class Hidden {
  private Hidden() {}

  /** Kinds that show in a trim test: the others show in clicks and at the bench. */
  public static final Set<AirFault.Kind> SHOWN =
      Set.of(
          AirFault.Kind.BALANCE,
          AirFault.Kind.DOWN_THRUST,
          AirFault.Kind.RIGHT_THRUST,
          AirFault.Kind.TIP_MASS);

  /** Some faults that a model can have, no two of a kind, of sizes that are met. */
  public static List<AirFault> random(Setup setup, AirTraits traits, int count, Random random) {
    return random(setup, traits, count, random, EnumSet.allOf(AirFault.Kind.class));
  }

  /** The same of some kinds only. */
  public static List<AirFault> random(
      Setup setup, AirTraits traits, int count, Random random, Set<AirFault.Kind> among) {
    List<AirFault.Kind> kinds = new ArrayList<>(possible(setup, traits));
    kinds.retainAll(among);
    List<AirFault> faults = new ArrayList<>();
    while (faults.size() < count && !kinds.isEmpty()) {
      AirFault.Kind kind = kinds.remove(random.nextInt(kinds.size()));
      double size = kind.least() + random.nextDouble() * (kind.most() - kind.least());
      boolean less = kind != AirFault.Kind.PLAY && random.nextBoolean();
      faults.add(new AirFault(kind, subject(setup, traits, kind, random), less ? -size : size));
    }
    return List.copyOf(faults);
  }

  private static Set<AirFault.Kind> possible(Setup setup, AirTraits traits) {
    Set<AirFault.Kind> kinds = EnumSet.allOf(AirFault.Kind.class);
    if (setup.airframe().motors().isEmpty()) {
      kinds.remove(AirFault.Kind.DOWN_THRUST);
      kinds.remove(AirFault.Kind.RIGHT_THRUST);
    }
    if (!traits.roles().containsValue(Role.TAIL) && !traits.roles().containsValue(Role.CANARD)) {
      kinds.remove(AirFault.Kind.TAIL_INCIDENCE);
    }
    if (driven(setup, traits).isEmpty()) {
      kinds.removeAll(Set.of(AirFault.Kind.HORN, AirFault.Kind.ARM, AirFault.Kind.PLAY));
    }
    return kinds;
  }

  private static String subject(Setup setup, AirTraits traits, AirFault.Kind kind, Random random) {
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
  private static List<String> driven(Setup setup, AirTraits traits) {
    return setup.surfaces().stream()
        .filter(one -> one.rod().driver() == DriverKind.SERVO)
        .filter(one -> traits.roles().containsKey(one.place().panel()))
        .map(Surface::id)
        .sorted(Comparator.naturalOrder())
        .toList();
  }
}
