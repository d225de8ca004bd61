package hightally.core.setup;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Servo;
import hightally.core.channel.Channel;
import java.util.ArrayList;
import java.util.List;

/**
 * Something with a plug: a servo, a motor's controller, or what a simple channel drives.
 *
 * @param id what leads name it by
 * @param name the pilot's name for it
 * @param channel the channel it listens to
 */
public record Device(String id, String name, int channel) {
  /** All devices of a setup: servos, motors, then simple channels. */
  public static List<Device> of(Setup setup) {
    List<Device> devices = new ArrayList<>();
    for (Servo servo : setup.servos()) {
      devices.add(new Device(servo.id(), servo.name(), servo.channel()));
    }
    for (Motor motor : setup.airframe().motors()) {
      devices.add(new Device(motor.id(), motor.name() + " controller", motor.channel()));
    }
    for (Channel channel : setup.channels()) {
      if (setup.transmitter().inputIndex(channel.carries()) >= 0) {
        devices.add(new Device(channel.carries(), channel.name(), channel.number()));
      }
    }
    return devices;
  }
}
