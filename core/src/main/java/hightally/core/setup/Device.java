package hightally.core.setup;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Servo;
import hightally.core.channel.Channel;
import hightally.core.quantity.Said;
import java.util.ArrayList;
import java.util.List;

/**
 * Something with a plug: a servo, a motor's controller, or what a simple channel drives.
 *
 * @param id what leads name it by
 * @param own the pilot's name for what it is or belongs to
 * @param name what it is called
 * @param channel the channel it listens to
 */
public record Device(String id, String own, Said name, int channel) {
  /** All devices of a setup: servos, motors, then simple channels. */
  public static List<Device> of(Setup setup) {
    List<Device> devices = new ArrayList<>();
    for (Servo servo : setup.servos()) {
      devices.add(new Device(servo.id(), servo.name(), Said.text(servo.name()), servo.channel()));
    }
    for (Motor motor : setup.airframe().motors()) {
      devices.add(
          new Device(
              motor.id(),
              motor.name(),
              Said.of("wiring.controllerOf", "motor", motor.name()),
              motor.channel()));
    }
    for (Channel channel : setup.channels()) {
      if (setup.transmitter().inputIndex(channel.carries()) >= 0) {
        devices.add(
            new Device(
                channel.carries(), channel.name(), Said.text(channel.name()), channel.number()));
      }
    }
    return devices;
  }
}
