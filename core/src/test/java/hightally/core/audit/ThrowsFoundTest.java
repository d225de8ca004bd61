package hightally.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.channel.Between;
import hightally.core.channel.BetweenKind;
import hightally.core.channel.Wiring;
import hightally.core.edit.Edits;
import hightally.core.linkage.ArmSeating;
import hightally.core.phase.Trims;
import hightally.core.plain.PlainModel;
import hightally.core.quantity.Control;
import hightally.core.response.Feel;
import hightally.core.response.FeelSet;
import hightally.core.response.Response;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What is taken from the search is what the bench then measures, by a plain second way. */
class ThrowsFoundTest {
  private static final double MEETS = 0.05 + 1e-6;

  private static double between(Random random, double low, double high) {
    return low + random.nextDouble() * (high - low);
  }

  /** A rig with everything on the way from stick to edge crooked. */
  private static Setup rig(Random random, double rate, double share) {
    Setup rig = Rigs.random(random.nextLong());
    Response some = Response.even(rate * 0.6, between(random, 0, 40));
    Response most = Response.even(rate, between(random, 0, 40));
    List<FeelSet> sets =
        List.of(
            new FeelSet(
                "most", "Most", "", List.of(), true, true, true, new Feel(most, most, most)));
    List<Servo> servos = new ArrayList<>();
    for (Servo servo : rig.servos()) {
      servos.add(servo.seated(servo.pullsOnIncrease(), between(random, -8, 8)));
    }
    List<Surface> surfaces = new ArrayList<>();
    for (Surface surface : rig.surfaces()) {
      Shares shares = new Shares(surface.shares().roll() * 2 * share, 0, 0, List.of());
      surfaces.add(surface.withShares(shares).withRod(surface.rod().changedBy(adjusted(random))));
    }
    Wiring wiring = rig.wiring();
    boolean limited = random.nextInt(3) == 0;
    Between box =
        new Between(
            "Box",
            BetweenKind.values()[0],
            List.of(1, 2),
            between(random, 60, 120),
            true,
            !limited);
    return rig.change()
        .feel(new Feel(some, some, some))
        .feelSets(sets)
        .servos(servos)
        .surfaces(surfaces)
        .wiring(new Wiring(wiring.receiver(), wiring.leads(), List.of(box)))
        .done();
  }

  private static double adjusted(Random random) {
    return between(random, -0.8, 0.8);
  }

  private static ThrowSearch.ThrowQuestion question(Setup rig, double plus, double minus) {
    return new ThrowSearch.ThrowQuestion(
        rig,
        "right",
        plus,
        minus,
        List.of(8.0, 10.0, 12.0, 14.0),
        List.of(12.0, 15.0, 18.0, 22.0),
        new ArmSeating(25, 4),
        false);
  }

  @Property(tries = 120)
  void aThrowTakenIsMetOrTheAnswerSaysWhatStandsInTheWay(@ForAll long seed) {
    Random random = new Random(seed);
    Setup rig = rig(random, between(random, 40, 120), between(random, 0.3, 1));
    double plus = between(random, 3, 22);
    double minus = between(random, 3, 22);
    for (ThrowSearch.ThrowAnswer answer : ThrowSearch.answers(question(rig, plus, minus))) {
      Setup taken = Edits.made(rig, answer.mend().edits());
      double up = measured(taken, 1);
      double down = -measured(taken, -1);
      assertThat(answer.plusMm()).isCloseTo(up, within(1e-3));
      assertThat(answer.minusMm()).isCloseTo(down, within(1e-3));
      boolean meets = Math.abs(up - plus) <= MEETS && Math.abs(down - minus) <= MEETS;
      assertThat(meets).as(() -> answer + "").isEqualTo(answer.inTheWay().isEmpty());
    }
  }

  /** From rest to where full roll, either way, takes the right elevon furthest up or down. */
  private static double measured(Setup setup, int way) {
    PlainModel plain = new PlainModel(setup);
    Surface surface = setup.surface("right").orElseThrow();
    Moment rest = Moment.centred(Trims.ZERO);
    double still = plain.travel(surface, rest, 0);
    double one = plain.travel(surface, rest.with(Control.ROLL, 1), 0) - still;
    double other = plain.travel(surface, rest.with(Control.ROLL, -1), 0) - still;
    return way > 0 ? Math.max(one, other) : Math.min(one, other);
  }

  /** A flap that only a lever moves is asked for one way; the lever does the rest. */
  @Property(tries = 40)
  void aLeverCarriesASurfaceToItsWish(@ForAll long seed) {
    Random random = new Random(seed);
    Setup rig = rig(random, 80, 1);
    List<Surface> surfaces = new ArrayList<>();
    for (Surface surface : rig.surfaces()) {
      LeverShare lever = new LeverShare("lever", surface.id().equals("right") ? -1 : 0.5);
      surfaces.add(surface.withShares(new Shares(0, 0, 0, List.of(lever))));
    }
    Setup flap = rig.change().surfaces(surfaces).done();
    PlainModel before = new PlainModel(flap);
    Surface right = flap.surface("right").orElseThrow();
    Moment rest = Moment.centred(Trims.ZERO);
    boolean up = before.travel(right, rest.withInput(0, 1), 0) > before.travel(right, rest, 0);
    double wanted = between(random, 4, 18);
    for (ThrowSearch.ThrowAnswer answer : ThrowSearch.answers(question(flap, wanted, wanted))) {
      Setup taken = Edits.made(flap, answer.mend().edits());
      PlainModel plain = new PlainModel(taken);
      Surface surface = taken.surface("right").orElseThrow();
      double moved =
          plain.travel(surface, rest.withInput(0, 1), 0) - plain.travel(surface, rest, 0);
      assertThat(answer.inTheWay().isEmpty())
          .isEqualTo(Math.abs(Math.abs(moved) - wanted) <= MEETS);
      assertThat(moved > 0).isEqualTo(up);
    }
  }
}
