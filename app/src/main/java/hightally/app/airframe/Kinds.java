package hightally.app.airframe;

import hightally.app.transfer.SetupDocuments;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/**
 * The kinds of airframe a new model can start from. A kind is a setup file in the folder {@code
 * kinds}; another file is another kind.
 */
@Component
class Kinds {
  /** The usual ones first; a file that is not named here comes behind them, by its kind. */
  private static final List<String> USUAL =
      List.of(
          "tailed-two-aileron-servos.json",
          "tailed-one-aileron-servo.json",
          "no-rudder.json",
          "flaps-two-servos.json",
          "v-tail-flaps.json",
          "glider-flaps-no-motor.json",
          "v-tail-hotliner.json",
          "elevons.json",
          "elevons-motor.json",
          "biplane-four-ailerons.json",
          "twin-motor.json");

  private final SetupDocuments documents;

  private record Kind(int place, Setup setup) {}

  Kinds(SetupDocuments documents) {
    this.documents = documents;
  }

  /** All kinds, the usual ones first. */
  List<Setup> all() {
    try {
      List<Kind> kinds = new ArrayList<>();
      Resource[] files =
          new PathMatchingResourcePatternResolver().getResources("classpath:kinds/*.json");
      for (Resource file : files) {
        int place = USUAL.indexOf(file.getFilename());
        Setup setup = documents.read(file.getContentAsString(StandardCharsets.UTF_8));
        kinds.add(new Kind(place < 0 ? USUAL.size() : place, setup));
      }
      kinds.sort(
          Comparator.comparingInt(Kind::place).thenComparing(one -> one.setup().airframe().kind()));
      return kinds.stream().map(Kind::setup).toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
