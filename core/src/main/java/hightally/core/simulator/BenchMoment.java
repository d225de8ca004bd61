package hightally.core.simulator;

import hightally.core.quantity.Said;
import hightally.core.signal.Positions;
import java.util.List;

/**
 * What the simulated bench shows.
 *
 * @param phase index of the phase that is on, or fading in
 * @param fadedIn how far it has come in, 0 to 1
 * @param motorHeld whether cut, arming or the latch hold the motor
 * @param motorPower how hard the motors turn, 0 to 1
 * @param motorBackwards whether a motor turns backwards
 * @param timerSeconds what every timer shows
 * @param spoken what the timers said in this step
 * @param alarms names of the alarms that sound
 * @param warnings what the transmitter warns of since it was switched on, until it is seen to
 * @param truths whether each condition is true
 * @param busy whether something goes on moving by itself
 */
public record BenchMoment(
    Positions positions,
    int phase,
    double fadedIn,
    boolean motorHeld,
    double motorPower,
    boolean motorBackwards,
    List<Double> timerSeconds,
    List<Said> spoken,
    List<String> alarms,
    List<Said> warnings,
    List<Boolean> truths,
    boolean busy) {}
