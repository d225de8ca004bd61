package hightally.core.linkage;

import static hightally.core.WorkedCases.bar;
import static hightally.core.WorkedCases.close;
import static hightally.core.WorkedCases.end;
import static hightally.core.WorkedCases.of;
import static hightally.core.WorkedCases.or;
import static hightally.core.WorkedCases.output;
import static hightally.core.WorkedCases.servo;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.core.airframe.Servo;
import hightally.core.channel.Output;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Cases worked out independently of this program, held against the linkage itself. */
class WorkedCasesTest {
  static List<JsonNode> linkages() throws IOException {
    return of("linkage");
  }

  static List<JsonNode> rods() throws IOException {
    return of("rodChange");
  }

  static List<JsonNode> seats() throws IOException {
    return of("armSeating");
  }

  @ParameterizedTest
  @MethodSource("linkages")
  void anglesGainsAndTheUsableRange(JsonNode one) {
    FourBar bar = bar(one.get("given"));
    UsableRange range = RangeSearch.of(bar);
    close("from", one.at("/expect/usableFrom"), range.from(), one);
    close("to", one.at("/expect/usableTo"), range.to(), one);
    for (JsonNode stop : one.at("/expect/sweep")) {
      double arm = stop.get("arm").asDouble();
      double angle = bar.surfaceAngle(arm);
      close("angle at " + arm, stop.get("angle"), angle, one);
      if (!stop.get("angle").isNull()) {
        close("gain at " + arm, stop.get("gain"), bar.gain(arm), one);
        Pose pose = bar.pose(arm, angle);
        double rod =
            Math.hypot(
                pose.armHole().x() - pose.hornHole().x(), pose.armHole().y() - pose.hornHole().y());
        assertThat(rod).as("the rod keeps its length").isCloseTo(bar.rodLengthMm(), within(1e-6));
      }
    }
  }

  @ParameterizedTest
  @MethodSource("rods")
  void aTrimCarriedOverIntoARod(JsonNode one) {
    JsonNode given = one.get("given");
    JsonNode expect = one.get("expect");
    RodEnd rodEnd = end(given.get("rodEnd"));
    Output output = output(given.get("output"));
    Servo servo = servo(given.get("servo"));
    double neutral = or(given, "neutralCommand", 0);
    double trim = given.get("trimCommand").asDouble();
    double chord = given.get("chord").asDouble();
    double with = servo.armDegrees(output.pulse(neutral + trim));
    double without = servo.armDegrees(output.pulse(neutral));
    RodChange change = RodChange.of(bar(given), rodEnd, chord, with, without);
    if (expect.get("rodChange").isNull()) {
      assertThat(change).isInstanceOf(RodChange.Locked.class);
      return;
    }
    RodChange.Found found = (RodChange.Found) change;
    close("targetAngle", expect.get("targetAngle"), found.targetDegrees(), one);
    close("untrimmedAngle", expect.get("untrimmedAngle"), found.todayDegrees(), one);
    close("targetTravel", expect.get("targetTravel"), found.targetTravelMm(), one);
    close("gaugeChange", expect.get("gaugeChange"), found.gaugeChangeMm(), one);
    close("rodChange", expect.get("rodChange"), found.changeMm(), one);
    close("turnsExact", expect.get("turnsExact"), found.turnsExact(), one);
    close("rodChangeApplied", expect.get("rodChangeApplied"), found.appliedMm(), one);
    close("angleAfter", expect.get("angleAfter"), found.afterDegrees(), one);
    close("travelError", expect.get("travelError"), found.errorMm(), one);
    assertThat(found.steps()).isEqualTo(expect.get("steps").asLong());
    double slope = output.slope(neutral) * servo.slope();
    double left = found.driverLeftDegrees() / slope;
    close("trimLeftCommand", expect.get("trimLeftCommand"), left, one);
  }

  @ParameterizedTest
  @MethodSource("seats")
  void theNearestSeatOfAnArm(JsonNode one) {
    JsonNode given = one.get("given");
    ArmSeating seating = new ArmSeating(given.get("teeth").asInt(), given.get("arms").asInt());
    double wanted = given.get("wanted").asDouble();
    ArmSeating.Seat seat = seating.nearest(wanted);
    close("reached", one.at("/expect/reached"), seat.reachedDegrees(), one);
    close("remainder", one.at("/expect/remainder"), seat.remainderDegrees(), one);
    close("finestStep", one.at("/expect/finestStep"), seating.finestStepDegrees(), one);
    // Brute force: no tooth and arm comes nearer, and the seat is where its tooth and arm say.
    double nearest = Double.POSITIVE_INFINITY;
    for (int tooth = 0; tooth < seating.teeth(); tooth++) {
      for (int arm = 0; arm < seating.arms(); arm++) {
        double turned = tooth * 360.0 / seating.teeth() + arm * 360.0 / seating.arms();
        nearest = Math.min(nearest, Math.abs(Math.IEEEremainder(turned - wanted, 360)));
      }
    }
    assertThat(Math.abs(seat.remainderDegrees())).isCloseTo(nearest, within(1e-9));
    double said = seat.tooth() * 360.0 / seating.teeth() + seat.arm() * 360.0 / seating.arms();
    assertThat(Math.IEEEremainder(said - seat.reachedDegrees(), 360)).isCloseTo(0, within(1e-9));
    assertThat(seat.reachedDegrees()).isBetween(-180.0, 180.0).isNotEqualTo(-180.0);
  }
}
