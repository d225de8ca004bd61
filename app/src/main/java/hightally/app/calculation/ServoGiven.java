package hightally.app.calculation;

import hightally.core.airframe.Servo;
import hightally.core.linkage.ArmSeating;
import java.util.List;

/** A servo as calculations take it; what is left out has the documented default. */
record ServoGiven(
    Double degreesPerMicrosecond,
    Double centrePulse,
    Double maxAngle,
    Boolean pullsOnIncrease,
    Double armOffset) {

  Servo servo(String path) {
    Servo servo =
        new Servo(
            "servo",
            "Servo",
            1,
            Given.need(path + "degreesPerMicrosecond", degreesPerMicrosecond),
            Given.or(centrePulse, 1500.0),
            Given.or(maxAngle, 90.0),
            Given.or(pullsOnIncrease, false),
            Given.or(armOffset, 0.0),
            0,
            new ArmSeating(25, 4),
            List.of(),
            0);
    return Given.checked(path, servo);
  }
}
