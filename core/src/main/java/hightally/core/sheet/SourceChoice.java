package hightally.core.sheet;

import hightally.core.program.MixSource;
import hightally.core.program.SourceOf;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.setup.SourceSubjects;
import java.util.Arrays;
import java.util.List;

/**
 * What a mix can take its value from.
 *
 * @param name the source in words
 * @param subjects what it can be of, the usual one first; none where it is of nothing
 */
public record SourceChoice(MixSource source, Said name, List<SubjectChoice> subjects) {
  /** One thing a source can be of. */
  public record SubjectChoice(String id, Said name) {}

  /** Every source, in the order they are offered. */
  public static List<SourceChoice> of(Setup setup) {
    return Arrays.stream(MixSource.values())
        .map(
            one ->
                new SourceChoice(
                    one,
                    Said.of("program.source", "source", one),
                    SourceSubjects.of(setup, one.of()).stream()
                        .map(id -> new SubjectChoice(id, name(setup, one.of(), id)))
                        .toList()))
        .toList();
  }

  private static Said name(Setup setup, SourceOf of, String id) {
    return switch (of) {
      case STICK -> Said.of("control", "control", Control.named(id));
      case INPUT ->
          Said.text(setup.transmitter().inputs().get(setup.transmitter().inputIndex(id)).name());
      case SURFACE -> Said.text(setup.surface(id).orElseThrow().name());
      case NOTHING -> Said.NOTHING;
    };
  }
}
