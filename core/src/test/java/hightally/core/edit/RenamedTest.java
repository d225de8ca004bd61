package hightally.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.DemoModels;
import hightally.core.airframe.Motor;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import org.junit.jupiter.api.Test;

/** A name that is changed leaves none of its kind behind. */
class RenamedTest {
  private static Setup named(Setup setup, String part, String name) {
    return Renamed.of(new Renamed.NameWish(setup, part, name));
  }

  @Test
  void servoAndChannelAreCalledAfterTheirSurface() {
    Setup glider = DemoModels.read("larkmere");
    Setup renamed = named(glider, "flap-left", "Inner left");
    assertThat(renamed.surface("flap-left").orElseThrow().name()).isEqualTo("Inner left");
    assertThat(renamed.servo("servo-flap-left").orElseThrow().name()).isEqualTo("Inner left servo");
    assertThat(renamed.channels())
        .filteredOn(one -> one.carries().equals("flap-left"))
        .extracting(one -> one.name())
        .containsExactly("Inner left");
    // What is written on a lead stays written there.
    assertThat(renamed.wiring()).isEqualTo(glider.wiring());
    assertThat(named(renamed, "flap-left", "Left flap")).isEqualTo(glider);
  }

  @Test
  void aNameOfItsOwnStays() {
    Setup glider = named(DemoModels.read("larkmere"), "flap-left", "Left flap");
    Setup own =
        glider
            .change()
            .channels(glider.channels().stream().map(one -> one.named("Own")).toList())
            .done();
    assertThat(named(own, "flap-left", "Inner").channels())
        .extracting(one -> one.name())
        .containsOnly("Own");
  }

  @Test
  void aMotorTakesItsChannelAlongAndNothingElseHasAName() {
    Setup twin = DemoModels.read("brindle");
    Motor motor = twin.airframe().motors().get(0);
    Setup renamed = named(twin, motor.id(), "Port");
    assertThat(renamed.airframe().motors().get(0).name()).isEqualTo("Port");
    assertThat(renamed.change().airframe(twin.airframe()).channels(twin.channels()).done())
        .isEqualTo(twin);
    assertThatThrownBy(() -> named(twin, "nothing", "Port"))
        .isInstanceOf(InvalidInputException.class)
        .hasMessageContaining("part");
  }
}
