package hightally.core.setup;

import hightally.core.airframe.Airframe;
import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Contact;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Transmitter;
import hightally.core.channel.Wiring;
import hightally.core.program.Condition;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.Trims;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.HouseValues;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
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
 * @param wiring receiver, leads, what sits in between
 * @param channels the channel map
 * @param servos what the channels drive
 * @param surfaces what the servos move
 * @param contacts surfaces that were seen to touch
 * @param conditions by which phases, mixes and feel are switched
 * @param phases flight phases, the first whose condition is true being on
 * @param feel rate and expo of each control where no set decides it
 * @param feelSets rates and expo by switch or phase
 * @param mixes what moves what besides
 * @param power from the throttle to the motor, and what watches over it
 * @param trims clicks that stand in the transmitter
 * @param balance where it should balance, and does
 * @param house the pilot's thresholds
 * @param notebook wishes, sources, accepted findings
 */
@Copyable
public record Setup(
    @Within(min = 1, max = FORMAT_VERSION) int formatVersion,
    @Text(max = 60) String name,
    @Text(min = 0, max = 4000) String notes,
    Airframe airframe,
    Transmitter transmitter,
    Wiring wiring,
    List<Channel> channels,
    List<Servo> servos,
    List<Surface> surfaces,
    List<Contact> contacts,
    List<Condition> conditions,
    List<Phase> phases,
    Feel feel,
    List<FeelSet> feelSets,
    List<Mix> mixes,
    Power power,
    Trims trims,
    BalanceSheet balance,
    HouseValues house,
    Notebook notebook)
    implements SelfChecked {
  /** The newest form this program writes; older ones are brought up to it on reading. */
  public static final int FORMAT_VERSION = 10;

  public Setup {
    channels = channels == null ? null : List.copyOf(channels);
    servos = servos == null ? null : List.copyOf(servos);
    surfaces = surfaces == null ? null : List.copyOf(surfaces);
    contacts = contacts == null ? null : List.copyOf(contacts);
    conditions = conditions == null ? null : List.copyOf(conditions);
    phases = phases == null ? null : List.copyOf(phases);
    feelSets = feelSets == null ? null : List.copyOf(feelSets);
    mixes = mixes == null ? null : List.copyOf(mixes);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    new SetupReferences(this, path, found).check();
  }

  /** The surface of that id, if there is one. */
  public Optional<Surface> surface(String id) {
    return surfaces.stream().filter(surface -> surface.id().equals(id)).findFirst();
  }

  /** The surface that mirrors one, if there is one. */
  public Optional<Surface> pairOf(Surface one) {
    return surface(one.pair());
  }

  /** The servo of that id, if there is one. */
  public Optional<Servo> servo(String id) {
    return servos.stream().filter(servo -> servo.id().equals(id)).findFirst();
  }

  /** The channel of that number, if there is one. */
  public Optional<Channel> channel(int number) {
    return channels.stream().filter(channel -> channel.number() == number).findFirst();
  }

  /** The device of that id, if there is one. */
  public Optional<Device> device(String id) {
    return Device.of(this).stream().filter(device -> device.id().equals(id)).findFirst();
  }

  /** The phase that is on when no other is. */
  public Phase basePhase() {
    return phases.get(phases.size() - 1);
  }

  /** The phase of that id, if there is one. */
  public Optional<Phase> phase(String id) {
    return phases.stream().filter(phase -> phase.id().equals(id)).findFirst();
  }

  /** A copy to change, part by part. */
  public SetupCopy change() {
    return SetupCopy.from(this);
  }

  /** The same setup with other trims in the transmitter. */
  public Setup withTrims(Trims changed) {
    return change().trims(changed).done();
  }

  /** The same setup without failsafe settings of channels that are no longer there. */
  public Setup withoutLostFailsafe() {
    return change()
        .power(
            power.withFailsafe(
                power.failsafe().stream()
                    .filter(one -> channel(one.channel()).isPresent())
                    .toList()))
        .done();
  }

  /** The same setup with one surface changed. */
  public Setup withSurface(Surface changed) {
    return withSurfaces(
        surfaces.stream().map(one -> one.id().equals(changed.id()) ? changed : one).toList());
  }

  /** The same setup with other surfaces. */
  public Setup withSurfaces(List<Surface> changed) {
    return change().surfaces(changed).done();
  }

  /**
   * The description of a second aircraft of the type: nothing that was only found or accepted on
   * the first goes with it, and its trims stand at zero.
   */
  public Setup forAnother(String called) {
    Notebook notes = notebook.change().accepted(List.of()).done();
    return change()
        .name(called)
        .trims(Trims.ZERO)
        .phases(phases.stream().map(one -> one.withTrims(Trims.ZERO)).toList())
        .notebook(notes)
        .done();
  }
}
