package hightally.core.probe;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * A rig as it may be, told by where it differs from its description. Differences are made and taken
 * back while states are searched.
 */
final class RigState {
  private static final int CHANNEL_BITS = 6;

  final int[] channelOfServo;
  final boolean[] servoTurned;
  final boolean[] hornTurned;
  final boolean[] channelTurned;
  final boolean[] servoStill;
  final boolean[] surfaceStill;
  final boolean[] motorTurned;
  final boolean[] shareTurned;

  /** Indices of the differences in it, in the order they were put in. */
  private final List<Integer> made = new ArrayList<>();

  RigState(int[] channelOfServo, int surfaces, int channels, int motors, int shares) {
    this.channelOfServo = channelOfServo.clone();
    servoTurned = new boolean[channelOfServo.length];
    servoStill = new boolean[channelOfServo.length];
    hornTurned = new boolean[surfaces];
    surfaceStill = new boolean[surfaces];
    channelTurned = new boolean[channels];
    motorTurned = new boolean[motors];
    shareTurned = new boolean[shares];
  }

  /** Makes a difference, or takes one back that was made: the last one first. */
  void turn(int index, RigModel.Turn turn) {
    turn.in(this);
    int at = made.lastIndexOf(index);
    if (at < 0) {
      made.add(index);
    } else {
      made.remove(at);
    }
  }

  List<Integer> made() {
    return List.copyOf(made);
  }

  int size() {
    return made.size();
  }

  boolean has(int difference) {
    return made.contains(difference);
  }

  RigState copy() {
    RigState copy =
        new RigState(
            channelOfServo,
            hornTurned.length,
            channelTurned.length,
            motorTurned.length,
            shareTurned.length);
    System.arraycopy(servoTurned, 0, copy.servoTurned, 0, servoTurned.length);
    System.arraycopy(servoStill, 0, copy.servoStill, 0, servoStill.length);
    System.arraycopy(hornTurned, 0, copy.hornTurned, 0, hornTurned.length);
    System.arraycopy(surfaceStill, 0, copy.surfaceStill, 0, surfaceStill.length);
    System.arraycopy(channelTurned, 0, copy.channelTurned, 0, channelTurned.length);
    System.arraycopy(motorTurned, 0, copy.motorTurned, 0, motorTurned.length);
    System.arraycopy(shareTurned, 0, copy.shareTurned, 0, shareTurned.length);
    copy.made.addAll(made);
    return copy;
  }

  /** The same rig, from which changes are counted anew. */
  RigState begun() {
    RigState copy = copy();
    copy.made.clear();
    return copy;
  }

  /** What tells it from every other state. */
  BitSet key() {
    BitSet key = new BitSet();
    int at = 0;
    for (boolean[] flags :
        new boolean[][] {
          servoTurned, servoStill, hornTurned, surfaceStill, channelTurned, motorTurned, shareTurned
        }) {
      for (boolean flag : flags) {
        key.set(at++, flag);
      }
    }
    for (int channel : channelOfServo) {
      for (int bit = 0; bit < CHANNEL_BITS; bit++) {
        key.set(at++, (channel >> bit & 1) == 1);
      }
    }
    return key;
  }
}
