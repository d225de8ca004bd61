package hightally.core.history;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.airframe.Surface;
import hightally.core.flightlog.Diagnosis.Cause;
import hightally.core.flightlog.Diagnosis.Suspect;
import hightally.core.history.History.Origin;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import org.junit.jupiter.api.Test;

class RestorationTest {
  private static final Setup BIPLANE = DemoModels.read("quillon");

  private static Setup turned(Setup setup, String surface, double mm) {
    Surface one = setup.surface(surface).orElseThrow();
    return setup.withSurface(one.withRod(one.rod().changedBy(mm)));
  }

  @Test
  void rodsAreTurnedBackAndTheTrimsOfTheLastFlightThereStand() {
    Histories history = new Histories(BIPLANE).flown(new Trims(0, 12, 0));
    history.flown(new Trims(0, 13, 0));
    history.revised(
        turned(BIPLANE, "elevator", 0.45).withTrims(new Trims(0, 1, 0)), Origin.ADJUSTED);
    history.flown(new Trims(0, 2, 0));
    Restoration way = Restoration.of(history.done(), 1, 0);
    assertThat(way.rods()).hasSize(1);
    assertThat(way.rods().get(0).steps()).isEqualTo(-2);
    assertThat(say(way.rods().get(0).turn())).isEqualTo("1 turn in");
    assertThat(say(way.rods().get(0).rotation())).contains("clockwise");
    assertThat(way.parts()).isEmpty();
    assertThat(way.setup().trims()).isEqualTo(new Trims(0, 13, 0));
    assertThat(way.setup().withTrims(Trims.ZERO)).isEqualTo(BIPLANE.withTrims(Trims.ZERO));
    assertThat(Restoration.of(history.done(), 1, 1).setup().trims()).isEqualTo(new Trims(0, 12, 0));
    assertThat(way.entries()).isNotEmpty();
    history.revised(way.setup(), Origin.RESTORED);
    assertThat(history.standing().trims().of("flight")).isEqualTo(new Trims(0, 13, 0));
  }

  @Test
  void whatWasLearnedSinceStaysKnown() {
    Histories history = new Histories(turned(BIPLANE, "elevator", 0.45));
    history.revised(turned(history.setup(), "elevator", 0.45), Origin.ADJUSTED);
    Setup corrected =
        Correction.applied(history.setup(), new Suspect(Cause.THREAD, "CLEVIS 0.45", 0.9, 1.11));
    Setup clicks =
        corrected.change().transmitter(corrected.transmitter().withClickStep(0.7)).done();
    history.revised(corrected, Origin.CORRECTED).revised(clicks, Origin.CORRECTED);
    Restoration way = Restoration.of(history.done(), 1, 0);
    assertThat(way.setup().transmitter().clickStepPercent()).isCloseTo(0.7, within(1e-9));
    Surface elevator = way.setup().surface("elevator").orElseThrow();
    assertThat(elevator.rod().end().pitchMm()).isEqualTo(0.5);
    assertThat(elevator.rod().adjustedMm()).isCloseTo(0.5, within(1e-9));
    assertThat(way.rods()).hasSize(1);
    assertThat(way.rods().get(0).steps()).isEqualTo(-2);
  }

  @Test
  void anotherLinkageIsSaidAndNoTurnMendsIt() {
    Histories history = new Histories(BIPLANE);
    Surface rudder = BIPLANE.surface("rudder").orElseThrow();
    history.revised(BIPLANE.withSurface(rudder.withRod(rudder.rod().withHorn(25))), Origin.EDITED);
    Restoration way = Restoration.of(history.done(), 1, 0);
    assertThat(way.parts()).containsExactly("Rudder");
    assertThat(way.rods()).isEmpty();
    assertThatThrownBy(() -> Restoration.of(history.done(), 2, 0))
        .satisfies(saying("revision is 2"));
    assertThatThrownBy(() -> Restoration.of(history.done(), 0, 0)).satisfies(saying("1 to 1"));
  }
}
