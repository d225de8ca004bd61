package hightally.core.edit;

import hightally.core.setup.Setup;
import java.text.Normalizer;
import java.util.Collection;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;

/** Short names for new parts, made from the pilot's. */
public final class PartNames {
  private static final int LONGEST = 30;

  private final Set<String> taken = new HashSet<>();

  PartNames(Setup setup) {
    setup.surfaces().forEach(one -> taken.add(one.id()));
    setup.servos().forEach(one -> taken.add(one.id()));
    setup.airframe().panels().forEach(one -> taken.add(one.id()));
    setup.airframe().motors().forEach(one -> taken.add(one.id()));
    setup.transmitter().inputs().forEach(one -> taken.add(one.id()));
  }

  /** Names among ids that are taken already. */
  PartNames(Set<String> taken) {
    this.taken.addAll(taken);
  }

  /** A name for something new among ids that are taken already. */
  public static String among(Collection<String> taken, String name) {
    return new PartNames(new HashSet<>(taken)).id(name);
  }

  /** {@code Left inner flap} becomes {@code left-inner-flap}, with a number where that is taken. */
  String id(String name) {
    return id(name, "part");
  }

  /** The same, with what stands in where nothing of a name is left. */
  String id(String name, String otherwise) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .toLowerCase(Locale.ROOT)
            .replaceAll("\\p{M}", "")
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    String base = plain.isEmpty() ? otherwise : plain;
    base = base.length() > LONGEST ? base.substring(0, LONGEST).replaceAll("-$", "") : base;
    String id = base;
    for (int i = 2; !taken.add(id); i++) {
      id = base + "-" + i;
    }
    return id;
  }

  /** What was called after a name, wholly or with more behind it, is called after another. */
  static String calledAfter(String called, String old, String name) {
    return called.equals(old) || called.startsWith(old + " ")
        ? name + called.substring(old.length())
        : called;
  }
}
