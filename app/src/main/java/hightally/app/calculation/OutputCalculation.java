package hightally.app.calculation;

import hightally.core.airframe.Servo;
import hightally.core.channel.Output;
import hightally.core.quantity.Unit;
import java.util.Arrays;
import java.util.List;

/** Kind {@code output}: command to pulse to arm angle. */
final class OutputCalculation {
  /** Far beyond any limit; a command this wild is a slip of the keyboard. */
  static final double WILDEST_COMMAND_PERCENT = 10_000;

  private OutputCalculation() {}

  /** Commands in percent. */
  record OutputsGiven(OutputGiven output, ServoGiven servo, List<Double> command) {}

  /** Pulses in µs, arm angles in degrees. */
  record OutputsFound(List<Double> pulse, List<Double> arm) {}

  static OutputsFound of(OutputsGiven given) {
    Output output = Given.need("output", given.output()).output("output.");
    Servo servo = Given.need("servo", given.servo()).servo("servo.");
    double wildest = WILDEST_COMMAND_PERCENT;
    double[] commands = Given.numbers("command", given.command(), -wildest, wildest, Unit.PERCENT);
    List<Double> pulses = Arrays.stream(commands).map(output::pulse).boxed().toList();
    return new OutputsFound(pulses, pulses.stream().map(servo::armDegrees).toList());
  }
}
