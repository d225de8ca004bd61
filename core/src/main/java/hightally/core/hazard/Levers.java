package hightally.core.hazard;

import hightally.core.airframe.LeverShare;
import hightally.core.mix.Mix;
import hightally.core.mix.MixSource;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** Inputs whose place itself moves a surface, not only by switching something. */
final class Levers {
  private Levers() {}

  static List<String> moving(Setup setup) {
    Set<String> found = new TreeSet<>();
    setup.surfaces().stream()
        .flatMap(surface -> surface.shares().levers().stream())
        .map(LeverShare::input)
        .forEach(found::add);
    setup.mixes().stream()
        .filter(mix -> mix.source() == MixSource.INPUT)
        .map(Mix::subject)
        .forEach(found::add);
    if (!setup.power().throttleInput().isEmpty()) {
      found.add(setup.power().throttleInput());
    }
    return List.copyOf(found);
  }
}
