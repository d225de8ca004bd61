package hightally.core.wiring;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.StickFunction;
import hightally.core.setup.Setup;
import java.util.Optional;

/** A channel of today's map with what it is for, so that it can be given another number. */
record ChannelGroup(Channel channel, Optional<Surface> surface) {
  private static final double NOTHING = 1e-9;

  static ChannelGroup of(Setup setup, Channel channel) {
    return new ChannelGroup(channel, setup.surface(channel.carries()));
  }

  /** How much of a stick's function it carries; 0 if none. */
  double weight(StickFunction function) {
    if (function == StickFunction.THROTTLE) {
      return channel.carriesThrottle() ? 1 : 0;
    }
    return surface.map(one -> Math.abs(share(one, function))).orElse(0.0);
  }

  private static double share(Surface surface, StickFunction function) {
    return switch (function) {
      case ROLL -> surface.shares().roll();
      case PITCH -> surface.shares().pitch();
      case YAW -> surface.shares().yaw();
      case THROTTLE -> 0;
    };
  }

  /** Whether the function is the one it carries most of. */
  boolean mostly(StickFunction function) {
    double here = weight(function);
    for (StickFunction other : StickFunction.values()) {
      if (weight(other) > here + NOTHING) {
        return false;
      }
    }
    double levers =
        surface.stream()
            .flatMap(one -> one.shares().levers().stream())
            .mapToDouble(LeverShare::share)
            .map(Math::abs)
            .sum();
    return here > 0 && here >= levers;
  }

  /** Centre first, then left, then right, so that a pair keeps its order. */
  int sideOrder() {
    Side side = surface.map(Surface::side).orElse(Side.CENTRE);
    return side == Side.CENTRE ? 0 : side == Side.LEFT ? 1 : 2;
  }

  /** Those on a stick before those on a lever, and what only follows a switch last. */
  int kindOrder() {
    for (StickFunction function : StickFunction.values()) {
      if (mostly(function)) {
        return function.ordinal();
      }
    }
    int afterSticks = StickFunction.values().length;
    return surface.isPresent() ? afterSticks : afterSticks + 1;
  }
}
