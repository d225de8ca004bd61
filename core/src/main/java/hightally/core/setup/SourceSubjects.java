package hightally.core.setup;

import hightally.core.airframe.Surface;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.SourceOf;
import hightally.core.quantity.Control;
import java.util.Arrays;
import java.util.List;

/** What the subject of a mix can be in a setup. */
public final class SourceSubjects {
  private SourceSubjects() {}

  /** Ids, the usual one first; none for a source without a subject. */
  public static List<String> of(Setup setup, SourceOf of) {
    return switch (of) {
      case STICK -> Arrays.stream(Control.values()).map(Control::word).toList();
      case INPUT -> setup.transmitter().inputs().stream().map(TransmitterInput::id).toList();
      case SURFACE -> setup.surfaces().stream().map(Surface::id).toList();
      case NOTHING -> List.of();
    };
  }
}
