package hightally.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.plain.RandomPrograms;
import hightally.core.plain.StandInTransmitter;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The sheet typed from top to bottom into an empty transmitter gives the same trims and the same
 * movements as the program it was made from.
 */
class TypedIntoAnEmptyTransmitterTest {
  private static final double SAME = 0.02;

  private static Setup typed(Setup setup) {
    StandInTransmitter empty =
        new StandInTransmitter(
            setup, id -> ConditionWords.of(setup, id), id -> ConditionWords.subject(setup, id));
    EntrySheet.of(setup).forEach(one -> empty.type(one.key(), one.what(), one.value()));
    return empty.typed();
  }

  private static Moment moment(Setup setup, Random random, Trims trims) {
    List<Double> inputs = new ArrayList<>();
    setup
        .transmitter()
        .inputs()
        .forEach(
            one -> {
              int last = Math.max(1, one.positions() - 1);
              boolean lever = one.positions() < 2;
              inputs.add(lever ? random.nextDouble() : random.nextInt(last + 1) / (double) last);
            });
    return new Moment(
        2 * random.nextDouble() - 1,
        2 * random.nextDouble() - 1,
        2 * random.nextDouble() - 1,
        random.nextDouble(),
        false,
        trims,
        inputs,
        Readings.NORMAL);
  }

  private static void same(Setup setup, long seed) {
    Setup again = typed(setup);
    assertThat(again.phases()).hasSameSizeAs(setup.phases());
    for (int i = 0; i < setup.phases().size(); i++) {
      assertThat(again.phases().get(i).effective(again.trims()))
          .isEqualTo(setup.phases().get(i).effective(setup.trims()));
    }
    SignalPath one = SignalPath.of(setup);
    SignalPath other = SignalPath.of(again);
    Random random = new Random(seed);
    for (int i = 0; i < 200; i++) {
      Random here = new Random(random.nextLong());
      long same = here.nextLong();
      Moment asked = moment(setup, new Random(same), setup.trims());
      Moment typed = moment(again, new Random(same), again.trims());
      assertThat(other.phase(typed)).isEqualTo(one.phase(asked));
      Positions was = one.evaluate(asked);
      Positions is = other.evaluate(typed);
      assertThat(is.pulseMicroseconds()).containsExactly(was.pulseMicroseconds(), within(SAME));
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"larkmere", "brindle", "quillon", "skerrow"})
  void theDemoModels(String name) {
    same(DemoModels.read(name), name.hashCode());
  }

  @Property(tries = 150)
  void randomPrograms(@ForAll long seed) {
    same(RandomPrograms.of(seed), seed);
  }
}
