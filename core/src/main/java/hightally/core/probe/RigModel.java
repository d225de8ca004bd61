package hightally.core.probe;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A described rig made ready to be asked what would be seen of it if it were otherwise: commands
 * from the program as it stands and with each share turned, pulses by the channels' own output
 * stages, surfaces by how far a pulse moves them.
 */
final class RigModel {
  /** Moved so far, a surface is seen to move; not so far as the second, it is seen to stay. */
  static final double SEEN_MM = 2;

  static final double STILL_MM = 0.5;
  private static final double STEP_MICROSECONDS = 50;
  private static final double MOTOR_MM = 100;

  /** Of what goes nearly the same way with the stick either way, that way is looked at. */
  private static final double SAME_WAY = 0.25;

  private final Setup setup;
  private final SignalPath path;
  private final List<RigDifference> differences;
  private final List<Turn> turns = new ArrayList<>();
  private final List<String> servos;
  private final int[] servoOf;
  private final int[][] chains;
  private final int[] channelOfServo;
  private final double[] gain;
  private final Output[][] outputs;
  private final List<RigDifference> shares;
  private final SignalPath[] turned;

  /** Puts one difference into a state, or takes it out again. */
  interface Turn {
    void in(RigState state);
  }

  RigModel(Setup setup) {
    this.setup = setup;
    path = SignalPath.of(setup);
    servos = setup.servos().stream().map(Servo::id).toList();
    int surfaces = setup.surfaces().size();
    servoOf = new int[surfaces];
    chains = new int[surfaces][];
    for (int i = 0; i < surfaces; i++) {
      servoOf[i] = path.servoIndexBehind(i);
      chains[i] = chain(i);
    }
    List<Integer> numbers = setup.channels().stream().map(Channel::number).toList();
    channelOfServo =
        setup.servos().stream().mapToInt(servo -> numbers.indexOf(servo.channel())).toArray();
    gain = gains();
    outputs = new Output[numbers.size()][];
    for (int i = 0; i < outputs.length; i++) {
      Output output = path.output(i);
      outputs[i] = new Output[] {output, output.change().reversed(!output.reversed()).done()};
    }
    differences = Differences.of(setup);
    shares = differences.stream().filter(one -> one.part() == RigPart.SHARE_SIGN).toList();
    turned = new SignalPath[shares.size()];
    for (int i = 0; i < turned.length; i++) {
      turned[i] = SignalPath.of(Differences.made(setup, List.of(shares.get(i))));
    }
    differences.forEach(one -> turns.add(turn(one)));
  }

  private int[] chain(int surface) {
    List<Integer> found = new ArrayList<>();
    int at = surface;
    while (at >= 0) {
      found.add(at);
      Surface one = setup.surfaces().get(at);
      at = one.rod().driver() == DriverKind.SURFACE ? path.indexOf(one.rod().driverId()) : -1;
    }
    return found.stream().mapToInt(Integer::intValue).toArray();
  }

  /** How far each surface goes for a longer pulse, as described, mm per µs. */
  private double[] gains() {
    double[] none = new double[setup.channels().size()];
    double[] pulses = path.ofCommands(none).pulseMicroseconds();
    double[] high = Arrays.stream(pulses).map(one -> one + STEP_MICROSECONDS).toArray();
    double[] low = Arrays.stream(pulses).map(one -> one - STEP_MICROSECONDS).toArray();
    double[] up = path.ofPulses(none, high).travelMm();
    double[] down = path.ofPulses(none, low).travelMm();
    double[] found = new double[up.length];
    for (int i = 0; i < found.length; i++) {
      found[i] = (up[i] - down[i]) / (2 * STEP_MICROSECONDS);
    }
    return found;
  }

  private Turn turn(RigDifference one) {
    String subject = one.subject();
    return switch (one.part()) {
      case SERVO_SENSE -> state -> flip(state.servoTurned, servos.indexOf(subject));
      case SERVO_STILL -> state -> flip(state.servoStill, servos.indexOf(subject));
      case HORN_SIDE -> state -> flip(state.hornTurned, path.indexOf(subject));
      case SURFACE_STILL -> state -> flip(state.surfaceStill, path.indexOf(subject));
      case CHANNEL_SIGN -> state -> flip(state.channelTurned, channel(subject));
      case SHARE_SIGN -> state -> flip(state.shareTurned, shares.indexOf(one));
      case MOTOR_SENSE -> state -> flip(state.motorTurned, motor(subject));
      case LEADS -> {
        int first = servos.indexOf(subject);
        int second = servos.indexOf(one.other());
        yield state -> {
          int channel = state.channelOfServo[first];
          state.channelOfServo[first] = state.channelOfServo[second];
          state.channelOfServo[second] = channel;
        };
      }
    };
  }

  private static void flip(boolean[] flags, int index) {
    flags[index] = !flags[index];
  }

  int channel(String number) {
    return setup.channels().stream()
        .map(one -> Integer.toString(one.number()))
        .toList()
        .indexOf(number);
  }

  private int motor(String id) {
    return setup.airframe().motors().stream().map(one -> one.id()).toList().indexOf(id);
  }

  Setup setup() {
    return setup;
  }

  SignalPath path() {
    return path;
  }

  /** All that may differ. */
  List<RigDifference> differences() {
    return differences;
  }

  Turn turn(int difference) {
    return turns.get(difference);
  }

  /** Surfaces, then motors. */
  int size() {
    return gain.length + setup.airframe().motors().size();
  }

  int channels() {
    return outputs.length;
  }

  /** The channel a surface hangs on in a state. */
  int on(int surface, RigState state) {
    return state.channelOfServo[servoOf[surface]];
  }

  int surfaces() {
    return gain.length;
  }

  boolean isMotor(int seen) {
    return seen >= gain.length;
  }

  /** The name under which a sight of it is kept. */
  String id(int seen) {
    return isMotor(seen)
        ? setup.airframe().motors().get(seen - gain.length).id()
        : setup.surfaces().get(seen).id();
  }

  RigState described() {
    return new RigState(
        channelOfServo,
        gain.length,
        outputs.length,
        setup.airframe().motors().size(),
        shares.size());
  }

  double gain(int surface) {
    return gain[surface];
  }

  int servoOf(int surface) {
    return servoOf[surface];
  }

  int servo(String id) {
    return servos.indexOf(id);
  }

  /** Differences by their indices. */
  List<RigDifference> told(List<Integer> indices) {
    return indices.stream().map(differences::get).toList();
  }

  /** Whether something of a surface follows from a difference, in a state. */
  boolean touches(int difference, int seen, RigState state) {
    RigDifference one = differences.get(difference);
    if (isMotor(seen)) {
      return one.part() == RigPart.MOTOR_SENSE && motor(one.subject()) == seen - gain.length;
    }
    int servo = servoOf[seen];
    int on = state.channelOfServo[servo];
    return switch (one.part()) {
      case SERVO_SENSE, SERVO_STILL -> servos.indexOf(one.subject()) == servo;
      case LEADS -> servos.indexOf(one.subject()) == servo || servos.indexOf(one.other()) == servo;
      case CHANNEL_SIGN -> channel(one.subject()) == on;
      case SHARE_SIGN -> reaches(shares.indexOf(one), on);
      case HORN_SIDE, SURFACE_STILL ->
          Arrays.stream(chains[seen]).anyMatch(link -> link == path.indexOf(one.subject()));
      case MOTOR_SENSE -> false;
    };
  }

  /** Whether a change brings a lead to where it is wished, or makes something move. */
  boolean home(RigDifference one, RigState state, RigState wish) {
    return switch (one.part()) {
      case LEADS -> {
        int first = servos.indexOf(one.subject());
        int second = servos.indexOf(one.other());
        int[] on = state.channelOfServo;
        int[] wanted = wish.channelOfServo;
        boolean wrong = on[first] != wanted[first] && on[second] != wanted[second];
        yield wrong && (on[first] == wanted[second] || on[second] == wanted[first]);
      }
      case SERVO_STILL, SURFACE_STILL -> true;
      default -> false;
    };
  }

  private boolean[][] reached;

  /** Whether a share's sign is felt on a channel: its own, or one that a mix leads it to. */
  private boolean reaches(int share, int channel) {
    if (reached == null) {
      reached = new boolean[shares.size()][outputs.length];
      Moment rest = path.rest(path.basePhase());
      List<Moment> moments = new ArrayList<>(List.of(rest));
      for (Control control : Control.values()) {
        moments.add(rest.with(control, 1));
      }
      for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
        moments.add(rest.withInput(i, 1));
      }
      for (Moment moment : moments) {
        double[] usual = path.evaluateBase(moment).commandPercent();
        for (int i = 0; i < turned.length; i++) {
          double[] other = turned[i].evaluateBase(moment).commandPercent();
          for (int c = 0; c < usual.length; c++) {
            reached[i][c] |= Math.abs(usual[c] - other[c]) > 1e-6;
          }
        }
      }
    }
    return reached[share][channel];
  }

  /** A look's commands, as the program stands and with every share turned. */
  final class Effect {
    private final Look look;
    private final double[][] commands;
    private final double[][][] turnedBy;
    private final int nudged;
    private final int unplugged;
    private final int motor;

    Effect(Look look) {
      this.look = look;
      List<Moment> moments = new ArrayList<>(List.of(look.rest(), look.there()));
      if (look.back() != null) {
        moments.add(look.back());
      }
      commands = new double[moments.size()][];
      turnedBy = new double[moments.size()][turned.length][];
      for (int i = 0; i < commands.length; i++) {
        commands[i] = told(path, moments.get(i)).commandPercent();
        for (int j = 0; j < turned.length; j++) {
          double[] other = told(turned[j], moments.get(i)).commandPercent();
          double[] adds = new double[other.length];
          boolean any = false;
          for (int c = 0; c < other.length; c++) {
            adds[c] = other[c] - commands[i][c];
            any |= Math.abs(adds[c]) > 1e-9;
          }
          turnedBy[i][j] = any ? adds : null;
        }
      }
      nudged = look.kind() == LookKind.NUDGE ? channel(look.subject()) : -1;
      unplugged = look.unplugged().isEmpty() ? -1 : channel(look.unplugged());
      motor = look.kind() == LookKind.MOTOR ? motor(look.subject()) : -1;
    }

    Look look() {
      return look;
    }

    private Positions told(SignalPath from, Moment moment) {
      return from.evaluate(moment);
    }

    /** How far a surface would be seen to go, mm; of a motor, a figure of its own. */
    double seen(RigState state, int one) {
      if (isMotor(one)) {
        int index = one - gain.length;
        return index != motor ? 0 : state.motorTurned[index] ? -MOTOR_MM : MOTOR_MM;
      }
      int servo = servoOf[one];
      if (motor >= 0 || state.servoStill[servo] || state.channelOfServo[servo] == unplugged) {
        return 0;
      }
      double sign = state.servoTurned[servo] ? -gain[one] : gain[one];
      for (int link : chains[one]) {
        if (state.surfaceStill[link]) {
          return 0;
        }
        sign = state.hornTurned[link] ? -sign : sign;
      }
      int channel = state.channelOfServo[servo];
      if (nudged >= 0) {
        return channel == nudged ? sign * look.microseconds() : 0;
      }
      return sign * moved(state, channel);
    }

    /** The ways all would be seen to go. */
    List<Integer> shows(RigState state) {
      List<Integer> ways = new ArrayList<>();
      for (int i = 0; i < size(); i++) {
        ways.add(way(seen(state, i)));
      }
      return ways;
    }

    /** Whether a motor turns in it. */
    boolean runsMotor() {
      return motor >= 0;
    }

    /** Whether it is looked at with sticks, levers and switches alone. */
    boolean hands() {
      return look.kind() != LookKind.NUDGE && look.kind() != LookKind.UNPLUG;
    }

    private double moved(RigState state, int channel) {
      double rest = pulse(state, 0, channel);
      double there = pulse(state, 1, channel) - rest;
      if (commands.length < 3) {
        return there;
      }
      double back = pulse(state, 2, channel) - rest;
      double largest = Math.max(Math.abs(there), Math.abs(back));
      double apart = there - back;
      return Math.abs(apart) < SAME_WAY * largest
          ? Math.copySign(largest, there)
          : Math.copySign(largest, apart);
    }

    private double pulse(RigState state, int moment, int channel) {
      double command = commands[moment][channel];
      for (int i = 0; i < turned.length; i++) {
        if (state.shareTurned[i] && turnedBy[moment][i] != null) {
          command += turnedBy[moment][i][channel];
        }
      }
      return outputs[channel][state.channelTurned[channel] ? 1 : 0].pulse(command);
    }
  }

  /** The way a movement is seen: 1, 0, -1; {@link #UNTOLD} where it is too small to tell. */
  static int way(double mm) {
    double size = Math.abs(mm);
    return size < STILL_MM ? 0 : size < SEEN_MM ? UNTOLD : mm > 0 ? 1 : -1;
  }

  static final int UNTOLD = 2;

  /** Whether a movement may have been seen as a way. */
  static boolean agrees(double mm, int way) {
    int told = way(mm);
    return told == UNTOLD ? way == 0 || way == (mm > 0 ? 1 : -1) : told == way;
  }
}
