package hightally.core.setup;

import hightally.core.airframe.Airframe;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Transmitter;
import hightally.core.phase.Trims;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import hightally.core.response.Feel;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Everything that decides how a model answers its sticks: one immutable document.
 *
 * @param formatVersion version of the document's form; see {@link #FORMAT_VERSION}
 * @param name the model's name
 * @param notes anything the pilot wants to remember
 * @param airframe what is drawn
 * @param transmitter its conventions
 * @param channels the channel map
 * @param servos what the channels drive
 * @param surfaces what the servos move
 * @param feel rate and expo of each control
 * @param trims clicks that stand in the transmitter
 */
public record Setup(
    @Within(min = 1, max = FORMAT_VERSION, label = "Format version") int formatVersion,
    @Text(label = "Model name", max = 60) String name,
    @Text(label = "Notes", min = 0, max = 4000) String notes,
    Airframe airframe,
    Transmitter transmitter,
    List<Channel> channels,
    List<Servo> servos,
    List<Surface> surfaces,
    Feel feel,
    Trims trims)
    implements SelfChecked {
  /** The newest form this program writes and reads. */
  public static final int FORMAT_VERSION = 1;

  public Setup {
    channels = channels == null ? null : List.copyOf(channels);
    servos = servos == null ? null : List.copyOf(servos);
    surfaces = surfaces == null ? null : List.copyOf(surfaces);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    new SetupReferences(this, path, found).check();
  }

  /** The surface of that id, if there is one. */
  public Optional<Surface> surface(String id) {
    return surfaces.stream().filter(surface -> surface.id().equals(id)).findFirst();
  }

  /** The servo of that id, if there is one. */
  public Optional<Servo> servo(String id) {
    return servos.stream().filter(servo -> servo.id().equals(id)).findFirst();
  }

  /** The channel of that number, if there is one. */
  public Optional<Channel> channel(int number) {
    return channels.stream().filter(channel -> channel.number() == number).findFirst();
  }

  /** The same setup with other trims in the transmitter. */
  public Setup withTrims(Trims changed) {
    return new Setup(
        formatVersion,
        name,
        notes,
        airframe,
        transmitter,
        channels,
        servos,
        surfaces,
        feel,
        changed);
  }

  /** The same setup with other surfaces. */
  public Setup withSurfaces(List<Surface> changed) {
    return new Setup(
        formatVersion, name, notes, airframe, transmitter, channels, servos, changed, feel, trims);
  }
}
