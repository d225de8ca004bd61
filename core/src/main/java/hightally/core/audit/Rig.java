package hightally.core.audit;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.quantity.HouseValues;
import hightally.core.setup.Setup;
import hightally.core.signal.Drive;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.Optional;
import java.util.stream.IntStream;

/** What the rules ask of a setup, worked out once. */
final class Rig {
  private final SignalPath path;
  private final HouseValues house;

  Rig(SignalPath path, HouseValues house) {
    this.path = path;
    this.house = house;
  }

  SignalPath path() {
    return path;
  }

  HouseValues house() {
    return house;
  }

  Setup setup() {
    return path.setup();
  }

  /** Indexes of all surfaces. */
  IntStream surfaces() {
    return IntStream.range(0, setup().surfaces().size());
  }

  Surface surface(int index) {
    return setup().surfaces().get(index);
  }

  boolean drivenByServo(int index) {
    return surface(index).rod().driver() == DriverKind.SERVO;
  }

  /**
   * Surfaces whose servos hang on the same channel: what changes the channel changes all of them.
   */
  IntStream onChannelOf(int index) {
    int channel = path.channelBehind(index);
    return surfaces().filter(this::drivenByServo).filter(i -> path.channelBehind(i) == channel);
  }

  /** One surface for every channel that drives any, so that a channel is reported once. */
  IntStream onePerChannel() {
    return surfaces()
        .filter(this::drivenByServo)
        .filter(i -> onChannelOf(i).min().orElseThrow() == i);
  }

  /** Whether only this surface hangs on its channel. */
  boolean alone(int index) {
    return onChannelOf(index).count() == 1;
  }

  Servo servo(int index) {
    return path.servoBehind(index);
  }

  Channel channel(int index) {
    return setup().channels().get(path.channelBehind(index));
  }

  Output output(int index) {
    return path.output(path.channelBehind(index));
  }

  /** What drives a surface in the phase that is on when no other is. */
  Drive drive(int index) {
    return path.drive(index, path.basePhase());
  }

  /** Whether some phase makes one side of a surface's roll smaller on purpose. */
  boolean differential(int index) {
    String id = surface(index).id();
    return setup().phases().stream().anyMatch(phase -> phase.differential(id) != 0);
  }

  /** Everything with a surface's drive at a place, from rest, the trims at zero. */
  Positions at(int index, double stick) {
    return path.evaluateBase(drive(index).moved(path.rest(path.basePhase()), stick));
  }

  /** The command of the channel behind a surface with its drive at a place, percent. */
  double command(int index, double stick) {
    return at(index, stick).commandPercent()[path.channelBehind(index)];
  }

  /**
   * How far the drive takes a surface both ways, percent of command: where a mix, a rate or the
   * differential makes the ways unequal on purpose, the smaller of the two.
   */
  double equalCommand(int index) {
    double rest = command(index, 0);
    return Math.min(Math.abs(command(index, 1) - rest), Math.abs(command(index, -1) - rest));
  }

  /** Travel from rest for so much command more than at rest, mm, plus up or right. */
  double travelFor(int index, double command) {
    Positions rest = at(index, 0);
    double[] commands = rest.commandPercent().clone();
    commands[path.channelBehind(index)] += command;
    return path.ofCommands(commands).travelMm()[index] - rest.travelMm()[index];
  }

  /** The pulse of the channel behind a surface with the surface moved all the way up or down. */
  double pulseOf(int index, double sign) {
    boolean plain = (moved(index, 1) - moved(index, -1)) * sign > 0;
    return at(index, plain ? 1 : -1).pulseMicroseconds()[path.channelBehind(index)];
  }

  private double moved(int index, double stick) {
    return at(index, stick).travelMm()[index] - at(index, 0).travelMm()[index];
  }

  /** Index of the surface that mirrors this one on the right, for one on the left. */
  Optional<Integer> partner(int left) {
    if (surface(left).side() != Side.LEFT) {
      return Optional.empty();
    }
    return setup().pairOf(surface(left)).map(right -> path.indexOf(right.id()));
  }

  /** Sets a field of the channel behind a surface. */
  Edit channelEdit(int index, Figure figure, double value) {
    return Edit.of(figure, channel(index).number(), value);
  }

  /** Sets what has been added to a surface's rod. */
  Edit rodEdit(int index, double adjustedMm) {
    return Edit.of(Figure.ROD_ADDED, surface(index).id(), adjustedMm);
  }
}
