package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.airframe.Surface;
import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What a change does in millimetres, against a plain second way. */
class MovementsTest {
  private static final double TOLD_MM = 0.05;
  private static final double FINE = 1e-4;

  private static Setup turned(Setup before) {
    Surface left = before.surface("left").orElseThrow();
    return before
        .withSurface(left.withRod(left.rod().changedBy(0.4)))
        .change()
        .trims(new Trims(2, 0, 0))
        .done();
  }

  @Property(tries = 30)
  void everySurfaceThatStandsElsewhereIsTold(@ForAll long seed) {
    Setup before = RandomPrograms.of(seed);
    Setup after = turned(before);
    PlainModel was = new PlainModel(before);
    PlainModel is = new PlainModel(after);
    List<Movements.MovementLine> lines = Movements.differences(before, after);
    int told = 0;
    for (int p = 0; p < before.phases().size(); p++) {
      Phase phase = before.phases().get(p);
      for (int place = 0; place < 7; place++) {
        Moment one = place(before, p, place);
        Moment two = place(after, p, place);
        for (Surface surface : before.surfaces()) {
          double from = was.travel(surface, one, p);
          double to = is.travel(after.surface(surface.id()).orElseThrow(), two, p);
          Said where = where(place);
          List<Movements.MovementLine> found =
              lines.stream()
                  .filter(line -> line.surface().equals(surface.name()))
                  .filter(line -> line.phase().equals(phase.name()))
                  .filter(line -> line.where().equals(where))
                  .toList();
          if (Math.abs(Math.abs(to - from) - TOLD_MM) > FINE) {
            assertThat(found).hasSize(Math.abs(to - from) > TOLD_MM ? 1 : 0);
          }
          for (Movements.MovementLine line : found) {
            assertThat(line.beforeMm()).isCloseTo(from, within(FINE));
            assertThat(line.afterMm()).isCloseTo(to, within(FINE));
          }
          told += found.size();
        }
      }
    }
    told += levers(before, after, lines);
    assertThat(lines).hasSize(told);
  }

  /** The same of the throttle, levers and switches: how many lines are theirs. */
  private static int levers(Setup before, Setup after, List<Movements.MovementLine> lines) {
    PlainModel was = new PlainModel(before);
    PlainModel is = new PlainModel(after);
    int told = 0;
    for (int p = 0; p < before.phases().size(); p++) {
      Moment from = place(before, p, 0);
      Moment to = place(after, p, 0);
      for (Surface surface : before.surfaces()) {
        Surface there = after.surface(surface.id()).orElseThrow();
        for (int end = 0; end <= 1; end++) {
          double one = was.travel(surface, from.withThrottle(end, false), p);
          double two = is.travel(there, to.withThrottle(end, false), p);
          told += Math.abs(two - one) > TOLD_MM ? 1 : 0;
        }
        for (int i = 0; i < before.transmitter().inputs().size(); i++) {
          TransmitterInput input = before.transmitter().inputs().get(i);
          boolean lever = input.kind() == InputKind.LEVER;
          int last = lever ? 1 : input.positions() - 1;
          for (int at = lever ? 1 : 0; at <= last; at++) {
            double one = was.travel(surface, from.withInput(i, (double) at / last), p);
            double two = is.travel(there, to.withInput(i, (double) at / last), p);
            told += Math.abs(two - one) > TOLD_MM ? 1 : 0;
          }
        }
      }
    }
    long theirs =
        lines.stream()
            .filter(
                one ->
                    one.where().code().equals("place.input")
                        || one.where().code().equals("place.throttle"))
            .count();
    assertThat(theirs).isEqualTo(told);
    return told;
  }

  private static Moment place(Setup setup, int phase, int place) {
    Moment rest = SignalPath.of(setup).rest(phase).withTrims(setup.trims());
    return place == 0
        ? rest
        : rest.with(Control.values()[(place - 1) / 2], place % 2 == 1 ? 1 : -1);
  }

  private static Said where(int place) {
    return place == 0
        ? Said.of("place.rest")
        : Said.of(
            "place.stick", "control", Control.values()[(place - 1) / 2], "plus", place % 2 == 1);
  }

  /** What only one of them has is not compared; phases and surfaces are found by their ids. */
  @Example
  void phasesAndSurfacesOfOneOnlyAreLeftOut() {
    Setup before = RandomPrograms.of(5);
    while (before.phases().size() < 2) {
      before = RandomPrograms.of(before.hashCode());
    }
    Setup after = turned(before);
    List<Phase> last = List.of(after.basePhase());
    Setup fewer =
        after
            .change()
            .conditions(List.of())
            .phases(last)
            .mixes(List.of())
            .feelSets(List.of())
            .power(hightally.core.program.Power.PLAIN)
            .done();
    List<Movements.MovementLine> lines = Movements.differences(before, fewer);
    assertThat(lines).isNotEmpty().allMatch(line -> line.phase().equals(last.get(0).name()));
    List<Surface> without = new ArrayList<>(fewer.surfaces());
    without.removeIf(one -> one.id().equals("slave"));
    Setup smaller = fewer.change().surfaces(without).done();
    assertThat(Movements.differences(before, smaller))
        .isEqualTo(lines.stream().filter(line -> !line.surface().equals("slave")).toList());
  }
}
