package hightally.core.trimming;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.program.Phase;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.List;
import net.jqwik.api.Example;

/** What an entry asks, on the demo models. */
class FlightFormTest {
  @Example
  void aWingIsNotAskedForYawNorForThrottle() {
    FlightForm form = FlightForm.of(DemoModels.read("skerrow")).get(0);
    assertThat(form.asked()).doesNotContain(Control.YAW);
    assertThat(form.throttleAsked()).isFalse();
    assertThat(say(form.reckoned())).isEmpty();
  }

  @Example
  void aCommonTrimIsAskedOnce() {
    Setup glider = DemoModels.read("larkmere");
    List<FlightForm> forms = FlightForm.of(glider);
    for (int i = 0; i < forms.size(); i++) {
      Phase phase = glider.phases().get(i);
      boolean base = i == forms.size() - 1;
      for (Control control : Control.values()) {
        assertThat(forms.get(i).asked().contains(control)).isEqualTo(base || phase.own(control));
        assertThat(forms.get(i).common().contains(control))
            .isNotEqualTo(base || phase.own(control));
      }
    }
  }

  @Example
  void brakesOnTheThrottleStickAreNoThrottle() {
    Setup glider = DemoModels.read("larkmere");
    FlightForm landing =
        FlightForm.of(glider).stream()
            .filter(one -> one.phase().equals("landing"))
            .findFirst()
            .orElseThrow();
    if (Brakes.of(glider).orElseThrow().source() == hightally.core.program.MixSource.THROTTLE) {
      assertThat(landing.throttleAsked()).isFalse();
      // The brakes are in with the stick forward, from 80 or 90 % on.
      assertThat(landing.throttlePercent()).isBetween(80.0, 100.0);
      assertThat(say(landing.reckoned())).contains("brakes in");
    } else {
      assertThat(landing.throttleAsked()).isTrue();
    }
    FlightForm thermal = FlightForm.of(glider).get(glider.phases().size() - 1);
    assertThat(thermal.throttleAsked()).isTrue();
  }
}
