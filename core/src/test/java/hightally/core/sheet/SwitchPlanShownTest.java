package hightally.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.sheet.ProgramSheet.SwitchRow;
import hightally.core.signal.Moment;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * The switch plan against the program itself: with one switch moved and everything else anywhere,
 * what then comes on or goes off stands in that switch's rows, and what a row calls a position by
 * needs that position.
 */
class SwitchPlanShownTest {
  private static final int MOMENTS = 60;

  @Property(tries = 60)
  void whatASwitchDecidesStandsInItsRows(@ForAll long seed) {
    checked(RandomPrograms.of(seed), seed);
  }

  @Example
  void soItIsWithEveryModelThatShips() {
    DemoModels.all().forEach(one -> checked(one, 7));
  }

  private static void checked(Setup setup, long seed) {
    List<SwitchRow> rows = ProgramSheet.of(setup).switches();
    List<TransmitterInput> inputs = setup.transmitter().inputs();
    List<String> shown = new ArrayList<>();
    for (TransmitterInput one : inputs) {
      if (one.kind() == InputKind.SWITCH) {
        for (int position = 1; position <= one.positions(); position++) {
          shown.add(one.id() + " " + position);
        }
      } else {
        shown.add(one.id() + " 0");
      }
    }
    assertThat(rows.stream().map(one -> one.input() + " " + one.position())).isEqualTo(shown);
    PlainModel plain = new PlainModel(setup);
    Random random = new Random(seed);
    for (int input = 0; input < inputs.size(); input++) {
      TransmitterInput one = inputs.get(input);
      if (one.kind() == InputKind.SWITCH) {
        decided(setup, plain, rows, input, random);
      }
    }
  }

  private static void decided(
      Setup setup, PlainModel plain, List<SwitchRow> rows, int input, Random random) {
    TransmitterInput one = setup.transmitter().inputs().get(input);
    Set<Said> told = new HashSet<>();
    rows.stream()
        .filter(row -> row.input().equals(one.id()))
        .forEach(row -> told.addAll(row.hangs()));
    for (int i = 0; i < MOMENTS; i++) {
      Moment anywhere = RandomPrograms.moment(random);
      if (anywhere.inputs().size() <= input) {
        anywhere = anywhere.change().inputs(places(setup, random)).done();
      }
      // What hangs on a phase is told with the phase: it stays the same here.
      int phase = plain.phase(anywhere);
      Map<Said, List<Boolean>> states = new LinkedHashMap<>();
      for (int position = 0; position < one.positions(); position++) {
        List<Double> places = new ArrayList<>(anywhere.inputs());
        places.set(input, (double) position / (one.positions() - 1));
        Moment here = anywhere.change().inputs(places).done();
        on(setup, plain, here, phase)
            .forEach((what, on) -> states.computeIfAbsent(what, x -> new ArrayList<>()).add(on));
      }
      states.forEach(
          (what, on) -> {
            if (on.contains(true) && on.contains(false)) {
              assertThat(told).as("%s: %s", setup.name(), one.id()).contains(what);
            }
          });
    }
  }

  private static List<Double> places(Setup setup, Random random) {
    return setup.transmitter().inputs().stream()
        .map(
            one ->
                one.kind() == InputKind.SWITCH
                    ? (double) random.nextInt(one.positions()) / (one.positions() - 1)
                    : random.nextDouble())
        .toList();
  }

  /** What a condition of its own switches, and whether that is true there, in words of the plan. */
  private static Map<Said, Boolean> on(Setup setup, PlainModel plain, Moment moment, int phase) {
    Map<Said, Boolean> on = new LinkedHashMap<>();
    for (Phase one : setup.phases()) {
      put(on, plain, one.when(), Said.of("hangs.phase", "phase", one.name()), moment, phase);
    }
    for (FeelSet one : setup.feelSets()) {
      put(on, plain, one.when(), Said.of("hangs.rates", "set", one.name()), moment, phase);
    }
    for (Mix one : setup.mixes()) {
      put(on, plain, one.when(), Said.of("hangs.mix", "mix", one.name()), moment, phase);
    }
    put(on, plain, setup.power().cutWhen(), Said.of("hangs.cut"), moment, phase);
    put(on, plain, setup.power().armWhen(), Said.of("hangs.arming"), moment, phase);
    return on;
  }

  private static void put(
      Map<Said, Boolean> on, PlainModel plain, String when, Said what, Moment moment, int phase) {
    if (!when.isEmpty()) {
      on.put(what, plain.isTrue(when, moment, phase));
    }
  }
}
