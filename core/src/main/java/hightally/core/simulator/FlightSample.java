package hightally.core.simulator;

/**
 * Where a simulated model is at one moment, thirty times a second.
 *
 * @param seconds since the flight began
 * @param northM metres; eastM and upM likewise
 * @param w quaternion body to world with x, y and z; world: north, east, down
 * @param speed over ground, m/s
 * @param roll stick, -1 to 1; pitch and yaw likewise
 * @param throttle 0 to 1
 */
public record FlightSample(
    double seconds,
    double northM,
    double eastM,
    double upM,
    double w,
    double x,
    double y,
    double z,
    double speed,
    double roll,
    double pitch,
    double yaw,
    double throttle) {}
