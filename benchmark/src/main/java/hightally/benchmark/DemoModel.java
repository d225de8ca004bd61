package hightally.benchmark;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Side;
import hightally.core.airframe.SurfaceRole;
import hightally.core.channel.InputKind;
import hightally.core.channel.Transmitter;
import hightally.core.channel.TransmitterInput;
import hightally.core.edit.PartWish;
import hightally.core.edit.PartWish.NewPartKind;
import hightally.core.edit.PartsAdded;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;

/** The demo models, as they ship with the application. */
final class DemoModel {
  private DemoModel() {}

  static Setup biplane() {
    return read("quillon");
  }

  static Setup glider() {
    return read("larkmere");
  }

  /** The demo glider with five phases, four switches of three positions, and eight servos. */
  static Setup largeGlider() {
    Setup glider = glider();
    Transmitter transmitter = glider.transmitter();
    List<TransmitterInput> inputs =
        transmitter.inputs().stream()
            .map(
                one ->
                    one.kind() == InputKind.SWITCH
                        ? new TransmitterInput(one.id(), one.name(), one.kind(), 3)
                        : one)
            .toList();
    Setup switched = glider.change().transmitter(transmitter.withInputs(inputs)).done();
    return PartsAdded.of(
        switched,
        new PartWish(
            NewPartKind.SURFACE,
            "Left spoiler",
            "Right spoiler",
            SurfaceRole.SPOILER,
            PanelRole.WING,
            Side.LEFT,
            true,
            glider.airframe().panels().get(0).id()),
        (what, longest) -> what.code());
  }

  private static Setup read(String name) {
    try (InputStream in = DemoModel.class.getResourceAsStream("/demo/" + name + ".json")) {
      return new ObjectMapper().readValue(in, Setup.class);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
