package hightally.core.signal;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Lead;
import hightally.core.channel.Output;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.UsableRange;
import hightally.core.program.Trims;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * A setup made ready to evaluate: stick to surface, stage by stage.
 *
 * <p>The {@link Program} → output stage → servo → linkage, as {@code docs/computation.md} states
 * them. Immutable, so one path serves any number of threads. A surface whose rod cannot reach
 * stands where it locked.
 */
public final class SignalPath {
  private static final double FULL = 100;

  private final Setup setup;
  private final Program program;
  private final ChannelPath[] channels;
  private final Servo[] servos;
  private final int[] channelOfServo;
  private final SurfacePath[] surfaces;
  private final int[] servoOfSurface;
  private final int[] masterOfSurface;
  private final int[] order;

  /** Found when first asked for; whoever comes second finds the same. */
  private final Moment[] rests;

  private final Drive[][] drives;

  private SignalPath(Setup setup) {
    this.setup = setup;
    program = new Program(setup);
    channels =
        setup.channels().stream()
            .map(channel -> new ChannelPath(setup, channel))
            .toArray(ChannelPath[]::new);
    servos = setup.servos().stream().map(this::asWired).toArray(Servo[]::new);
    channelOfServo = setup.servos().stream().mapToInt(this::channelIndex).toArray();
    surfaces = setup.surfaces().stream().map(SurfacePath::new).toArray(SurfacePath[]::new);
    servoOfSurface = setup.surfaces().stream().mapToInt(this::servoIndex).toArray();
    masterOfSurface = setup.surfaces().stream().mapToInt(this::masterIndex).toArray();
    order = mastersFirst();
    rests = new Moment[setup.phases().size()];
    drives = new Drive[rests.length][surfaces.length];
  }

  /** The same aircraft, leads and channels with another program. */
  private SignalPath(Setup setup, SignalPath like) {
    this.setup = setup;
    program = new Program(setup);
    channels = like.channels;
    servos = like.servos;
    channelOfServo = like.channelOfServo;
    surfaces = like.surfaces;
    servoOfSurface = like.servoOfSurface;
    masterOfSurface = like.masterOfSurface;
    order = like.order;
    rests = new Moment[setup.phases().size()];
    drives = new Drive[rests.length][surfaces.length];
  }

  /**
   * The path of a setup that differs from this one's in its program alone: nothing behind the
   * program is worked out again, and what is within its ranges is for the caller to know.
   */
  public SignalPath reprogrammed(Setup changed) {
    if (!changed.surfaces().equals(setup.surfaces())
        || !changed.servos().equals(setup.servos())
        || !changed.channels().equals(setup.channels())
        || !changed.wiring().equals(setup.wiring())
        || !changed.transmitter().equals(setup.transmitter())
        || !changed.airframe().equals(setup.airframe())) {
      throw new IllegalStateException("More than the program differs");
    }
    return new SignalPath(changed, this);
  }

  /**
   * The path of a setup.
   *
   * @throws InvalidInputException naming every field that is out of its range
   */
  public static SignalPath of(Setup setup) {
    return new SignalPath(Validation.check(setup));
  }

  /** The setup this path was made from. */
  public Setup setup() {
    return setup;
  }

  /** Where everything stands at a moment. The moment must be within its ranges. */
  public Positions evaluate(Moment moment) {
    return evaluate(moment, phase(moment));
  }

  /** The same in a phase, whichever the conditions say. */
  public Positions evaluate(Moment moment, int phase) {
    return positions(program.commands(moment, phase), moment);
  }

  /**
   * Where everything stands in the phase that is on when no other is, whatever the switches say,
   * with the moment's trims in effect even if that phase has its own.
   */
  public Positions evaluateBase(Moment moment) {
    return positions(program.commands(moment, basePhase(), moment.trims()), moment);
  }

  /** Where everything stands in a phase with given trims in effect, whether its own or not. */
  public Positions evaluateTrimmed(Moment moment, int phase, Trims trims) {
    return positions(program.commands(moment, phase, trims), moment);
  }

  /** The phase that is on at a moment, as an index of the setup's list. */
  public int phase(Moment moment) {
    return program.conditions().phase(moment);
  }

  /** The phase that is on when no other is, as an index. */
  public int basePhase() {
    return setup.phases().size() - 1;
  }

  /** Rest in a phase, no trims: see {@link Rest}. */
  public Moment rest(int phase) {
    if (rests[phase] == null) {
      rests[phase] = Rest.of(this, phase);
    }
    return rests[phase];
  }

  /** What drives a surface in a phase. */
  public Drive drive(int surface, int phase) {
    if (drives[phase][surface] == null) {
      drives[phase][surface] = Drive.of(this, surface, phase);
    }
    return drives[phase][surface];
  }

  /** Whether the throttle stick drives a motor in a phase, if need be with a switch to arm it. */
  public boolean throttleDrives(int phase) {
    return Rest.throttleDrives(this, phase);
  }

  /** The program behind it. */
  public Program program() {
    return program;
  }

  /**
   * Where everything stands for given commands.
   *
   * @param programCommands of all surfaces, then of all motors, percent
   */
  public Positions positions(double[] programCommands, Moment moment) {
    double[] commands = new double[channels.length];
    double[] pulses = new double[channels.length];
    for (int i = 0; i < channels.length; i++) {
      commands[i] = channels[i].command(programCommands, moment);
      pulses[i] = channels[i].output().pulse(commands[i]);
    }
    return ofPulses(commands, pulses);
  }

  /** Where everything stands for given commands of every channel, percent. */
  public Positions ofCommands(double[] channelCommands) {
    double[] pulses = new double[channels.length];
    for (int i = 0; i < channels.length; i++) {
      pulses[i] = channels[i].output().pulse(channelCommands[i]);
    }
    return ofPulses(channelCommands.clone(), pulses);
  }

  /** Where everything stands for given pulses; the commands are only passed on. */
  public Positions ofPulses(double[] commands, double[] pulses) {
    double[] arms = new double[channelOfServo.length];
    for (int i = 0; i < arms.length; i++) {
      arms[i] = servos[i].armDegrees(pulses[channelOfServo[i]]);
    }
    return withSurfaces(commands, pulses, arms);
  }

  /** How hard the motors are told to turn, 0 to 1, whichever way: the hardest of them. */
  public double motorPower(Moment moment) {
    return motorPower(moment, phase(moment));
  }

  /** The same in a phase, whichever the conditions say. */
  public double motorPower(Moment moment, int phase) {
    return program.motorPower(moment, phase);
  }

  /** The command of the motor that is told to turn hardest in a phase; 0 where there is none. */
  public double motorCommand(Moment moment, int phase) {
    return program.motorCommand(moment, phase);
  }

  private Positions withSurfaces(double[] commands, double[] pulses, double[] arms) {
    double[] degrees = new double[surfaces.length];
    double[] travel = new double[surfaces.length];
    for (int i : order) {
      double driver =
          servoOfSurface[i] >= 0 ? arms[servoOfSurface[i]] : degrees[masterOfSurface[i]];
      degrees[i] = surfaces[i].angle(driver);
      travel[i] = surfaces[i].surface().travelMm(degrees[i]);
    }
    return new Positions(commands, pulses, arms, degrees, travel);
  }

  /** Index of a surface in the setup's list. */
  public int indexOf(String surfaceId) {
    for (int i = 0; i < surfaces.length; i++) {
      if (surfaces[i].surface().id().equals(surfaceId)) {
        return i;
      }
    }
    throw InvalidInputException.of("surface", surfaceId, Said.of("demand.idSurfaceSetup"));
  }

  /** The linkage solver of a surface, with its rod as it stands. */
  public FourBar bar(int surface) {
    return surfaces[surface].bar();
  }

  /** The usable range of a surface's linkage. */
  public UsableRange range(int surface) {
    return surfaces[surface].range();
  }

  /** The angle of what drives a surface's rod, as far as the rod lets it go, degrees. */
  public double driverDegrees(int surface, Positions positions) {
    double driver =
        servoOfSurface[surface] >= 0
            ? positions.armDegrees()[servoOfSurface[surface]]
            : positions.surfaceDegrees()[masterOfSurface[surface]];
    return surfaces[surface].held(driver);
  }

  /**
   * The servo that moves a surface in the end, through however many slave rods, as it answers to
   * the channel's pulse: behind a reverser it is mirrored.
   */
  public Servo servoBehind(int surface) {
    return servos[servoIndexBehind(surface)];
  }

  /**
   * How far the pulse of no command turns a servo's arm from where it was seated, degrees; 0 for
   * one that moves no surface.
   */
  public double restTurned(String servoId) {
    for (int i = 0; i < surfaces.length; i++) {
      if (surfaces[i].surface().rod().driverId().equals(servoId) && servoOfSurface[i] >= 0) {
        Servo wired = servoBehind(i);
        double pulse = output(channelBehind(i)).pulse(0);
        return (pulse - wired.centrePulseMicroseconds()) * wired.slope();
      }
    }
    return 0;
  }

  private Servo asWired(Servo servo) {
    boolean reverser = setup.wiring().lead(servo.id()).map(Lead::reverser).orElse(false);
    return reverser ? servo.mirrored(Lead.REVERSER_CENTRE_MICROSECONDS) : servo;
  }

  /** Index of that servo in the setup's list. */
  public int servoIndexBehind(int surface) {
    return servoOfSurface[first(surface)];
  }

  double held(int surface, double driverDegrees) {
    return surfaces[surface].held(driverDegrees);
  }

  /** Index of the channel behind a surface. */
  public int channelBehind(int surface) {
    return channelOfServo[servoOfSurface[first(surface)]];
  }

  /** The output stage of a channel, with what sits between receiver and servos. */
  public Output output(int channel) {
    return channels[channel].output();
  }

  /** Index of the surface whose command a surface's channel carries. */
  public int carriedBehind(int surface) {
    return channels[channelBehind(surface)].carried();
  }

  /** Whether longer pulses on its channel move a surface its plus way: up, or right. */
  public boolean highIsPlus(int surface) {
    int channel = channelBehind(surface);
    // A reversed channel turns the command round before its endpoints.
    double high = setup.channels().get(channel).reversed() ? -FULL : FULL;
    double[] commands = new double[channels.length];
    commands[channel] = high;
    double atHigh = ofCommands(commands).travelMm()[surface];
    commands[channel] = -high;
    return atHigh > ofCommands(commands).travelMm()[surface];
  }

  ChannelPath channel(int index) {
    return channels[index];
  }

  /** A surface's angle for an arm angle of the servo behind it. */
  public double angleBehind(int surface, double armDegrees, boolean rodsAsTheyStand) {
    int master = masterOfSurface[surface];
    double driver = master < 0 ? armDegrees : angleBehind(master, armDegrees, rodsAsTheyStand);
    return rodsAsTheyStand
        ? surfaces[surface].angle(driver)
        : surfaces[surface].angleAtNeutralRod(driver);
  }

  private int first(int surface) {
    return masterOfSurface[surface] < 0 ? surface : first(masterOfSurface[surface]);
  }

  private int channelIndex(Servo servo) {
    for (int i = 0; i < setup.channels().size(); i++) {
      if (setup.channels().get(i).number() == servo.channel()) {
        return i;
      }
    }
    throw new IllegalStateException("A checked setup has the channel of every servo");
  }

  private int servoIndex(Surface surface) {
    Rod rod = surface.rod();
    List<String> ids = setup.servos().stream().map(Servo::id).toList();
    return rod.driver() == DriverKind.SERVO ? ids.indexOf(rod.driverId()) : -1;
  }

  private int masterIndex(Surface surface) {
    Rod rod = surface.rod();
    List<String> ids = setup.surfaces().stream().map(Surface::id).toList();
    return rod.driver() == DriverKind.SURFACE ? ids.indexOf(rod.driverId()) : -1;
  }

  /** Every surface after the one whose horn drives it. */
  private int[] mastersFirst() {
    List<Integer> sorted = new ArrayList<>();
    while (sorted.size() < surfaces.length) {
      for (int i = 0; i < surfaces.length; i++) {
        boolean ready = masterOfSurface[i] < 0 || sorted.contains(masterOfSurface[i]);
        if (ready && !sorted.contains(i)) {
          sorted.add(i);
        }
      }
    }
    return sorted.stream().mapToInt(Integer::intValue).toArray();
  }

  /** Order in which surfaces follow one another: drivers before what they drive. */
  public List<Surface> surfacesInDrivingOrder() {
    return java.util.Arrays.stream(order).mapToObj(i -> surfaces[i].surface()).toList();
  }
}
