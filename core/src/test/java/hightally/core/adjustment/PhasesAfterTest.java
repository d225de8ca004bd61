package hightally.core.adjustment;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.flightlog.PhaseReading;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Preset;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What an adjustment leaves in every phase, held against the setup it leaves. */
class PhasesAfterTest {
  private static Phase phase(String id, String when, Trims own, Preset... presets) {
    return new Phase(
        id,
        id,
        "",
        PhaseRole.OTHER,
        when,
        0,
        List.of(presets),
        List.of(),
        false,
        !when.isEmpty(),
        false,
        own,
        NoseNote.NOT_FLOWN);
  }

  /** A random rig with a phase that has pitch trim of its own and a preset. */
  private static Setup twoPhases(long seed) {
    Setup rig = Rigs.programmed(seed);
    return rig.change()
        .mixes(List.of())
        .phases(
            List.of(
                phase("own", "three", new Trims(0, 7, 0), new Preset("left", 4)),
                phase("base", "", Trims.ZERO, new Preset("right", -3))))
        .done();
  }

  private static FlownTrims flown(int roll, int pitch, int other, boolean presets) {
    return new FlownTrims(
        "base",
        List.of(
            FlownTrims.reading("own", new Trims(roll, other, 0)),
            FlownTrims.reading("base", new Trims(roll, pitch, 0))),
        presets,
        List.of(Control.values()));
  }

  private static double[] travel(Setup setup, int phase, Trims trims) {
    PhaseReading reading = FlownTrims.reading(setup.phases().get(phase).id(), trims);
    return SignalPath.of(setup).evaluateTrimmed(reading.rest(), phase, trims).travelMm();
  }

  @Property(tries = 100)
  void theErrorsSaidAreThoseOfTheSetupThatResults(
      @ForAll long seed,
      @ForAll @IntRange(min = -14, max = 14) int roll,
      @ForAll @IntRange(min = -14, max = 14) int pitch,
      @ForAll @IntRange(min = -14, max = 14) int other,
      @ForAll boolean presets) {
    Setup setup = twoPhases(seed);
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, flown(roll, pitch, other, presets));
    for (int i = 0; i < 2; i++) {
      PhaseOutcome outcome = plan.phases().get(i);
      Phase after = plan.after().phases().get(i);
      Trims effective = after.effective(plan.after().trims());
      assertThat(effective).isEqualTo(outcome.after());
      assertThat(outcome.reference()).isEqualTo(i == 1);
      assertThat(outcome.before()).isEqualTo(new Trims(roll, i == 0 ? other : pitch, 0));
      double[] stood = travel(setup, i, outcome.before());
      double[] stands = travel(plan.after(), i, effective);
      for (int surface = 0; surface < stood.length; surface++) {
        assertThat(outcome.errors().get(surface).mm())
            .isCloseTo(stands[surface] - stood[surface], within(1e-9));
      }
      if (presets) {
        assertThat(outcome.after()).isEqualTo(Trims.ZERO);
      }
    }
  }

  @Property(tries = 40)
  void presetsBringEverySurfaceAtAServoBackToATenthOfAPercent(
      @ForAll long seed,
      @ForAll @IntRange(min = -14, max = 14) int pitch,
      @ForAll @IntRange(min = -14, max = 14) int other) {
    Setup setup = twoPhases(seed);
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, flown(0, pitch, other, true));
    SignalPath path = SignalPath.of(plan.after());
    for (int i = 0; i < 2; i++) {
      double[] stands = travel(plan.after(), i, Trims.ZERO);
      for (String id : List.of("left", "right")) {
        int surface = path.indexOf(id);
        double error = plan.phases().get(i).errors().get(surface).mm();
        // Brute force: no preset within a percent brings it a twentieth of a percent nearer.
        double standing = plan.after().phases().get(i).presetPercent(id);
        assertThat(Math.abs(standing * 10 - Math.rint(standing * 10))).isLessThan(1e-6);
        for (int tenths = -10; tenths <= 10; tenths++) {
          Setup other10 = preset(plan.after(), i, id, standing + tenths / 10.0);
          double there = travel(other10, i, Trims.ZERO)[surface] - stands[surface] + error;
          double step = Math.abs(there - error) / Math.max(1, Math.abs(tenths));
          assertThat(Math.abs(there)).isGreaterThanOrEqualTo(Math.abs(error) - step * 0.1 - 1e-9);
        }
      }
    }
  }

  private static Setup preset(Setup setup, int phase, String surface, double percent) {
    List<Phase> phases = new ArrayList<>(setup.phases());
    List<Preset> presets = new ArrayList<>(phases.get(phase).presets());
    presets.removeIf(one -> one.surface().equals(surface));
    presets.add(new Preset(surface, percent));
    phases.set(phase, phases.get(phase).withPresets(presets));
    return setup.change().phases(phases).done();
  }

  @Example
  void aPresetThatIsThereIsAddedToAndNoneIsMadeForNothing() {
    // 16 clicks of pitch are 4 % at each elevon; the rods take 1 turn, 0.4 mm of the 0.377 mm.
    Setup setup = Rigs.plain();
    Setup standing = preset(setup, 0, "left", 5);
    Phase after =
        AdjustmentPlanner.plan(standing, presets(new Trims(0, 16, 0))).after().basePhase();
    assertThat(after.presetPercent("left")).isNotEqualTo(5).isCloseTo(5, within(0.5));
    assertThat(after.presets()).extracting(Preset::surface).doesNotHaveDuplicates();
    Phase untouched = AdjustmentPlanner.plan(standing, presets(Trims.ZERO)).after().basePhase();
    assertThat(untouched.presets()).containsExactly(new Preset("left", 5));
  }

  private static FlownTrims presets(Trims trims) {
    return new FlownTrims(
        "flight", List.of(FlownTrims.reading("flight", trims)), true, List.of(Control.values()));
  }

  @Property(tries = 150)
  void theEndpointsNamedBringTheOldThrowBack(
      @ForAll long seed, @ForAll @IntRange(min = -40, max = 40) int pitch) {
    Setup setup = Rigs.random(seed);
    SignalPath before = SignalPath.of(setup);
    AdjustmentPlan plan;
    try {
      plan = AdjustmentPlanner.plan(setup, new Trims(0, pitch, 0));
    } catch (InvalidInputException beyondReach) {
      return;
    }
    SignalPath after = SignalPath.of(plan.after());
    for (Surface surface : setup.surfaces()) {
      ThrowChange said =
          plan.throwChanges().stream()
              .filter(one -> one.surface().equals(surface.id()))
              .findFirst()
              .orElse(null);
      int i = before.indexOf(surface.id());
      if (surface.id().equals("slave")) {
        assertThat(said).isNull();
        continue;
      }
      double up = full(before, i, 100);
      double down = full(before, i, -100);
      double upNow = full(after, i, 100);
      double downNow = full(after, i, -100);
      boolean changes = Math.abs(up - upNow) > 0.05 || Math.abs(down - downNow) > 0.05;
      if (Double.isFinite(up + down + upNow + downNow)) {
        assertThat(said != null).isEqualTo(changes);
      }
      if (said != null) {
        restored(plan.after(), said, i, up, down);
      }
    }
  }

  private static void restored(Setup after, ThrowChange said, int i, double up, double down) {
    assertThat(said.plusBefore()).isEqualTo(up);
    assertThat(said.minusBefore()).isEqualTo(down);
    boolean known = said.endpointLow() != null && said.endpointHigh() != null;
    if (known) {
      SignalPath entered =
          SignalPath.of(
              after
                  .change()
                  .channels(
                      after.channels().stream()
                          .map(
                              one ->
                                  one.number() == said.channel()
                                      ? one.withLow(said.endpointLow())
                                          .withHigh(said.endpointHigh())
                                      : one)
                          .toList())
                  .done());
      assertThat(full(entered, i, 100)).isCloseTo(up, within(1e-6));
      assertThat(full(entered, i, -100)).isCloseTo(down, within(1e-6));
    }
  }

  @Example
  void anEndpointNotNamedIsNotToBeFoundByTryingThemAll() {
    int named = 0;
    int not = 0;
    for (long seed = 0; seed < 40; seed++) {
      Setup setup = Rigs.random(seed);
      SignalPath before = SignalPath.of(setup);
      AdjustmentPlan plan =
          AdjustmentPlanner.plan(setup, new Trims(0, seed % 2 == 0 ? 14 : -14, 0));
      for (ThrowChange said : plan.throwChanges()) {
        int i = before.indexOf(said.surface());
        boolean reversed = setup.channel(said.channel()).orElseThrow().reversed();
        for (boolean high : new boolean[] {true, false}) {
          double command = high == reversed ? -100 : 100;
          double wanted = full(before, i, command);
          if ((high ? said.endpointHigh() : said.endpointLow()) != null) {
            named++;
          } else if (Double.isFinite(wanted)) {
            not++;
            assertThat(found(plan.after(), said.channel(), i, high, command, wanted)).isFalse();
          }
        }
      }
    }
    assertThat(named).isGreaterThan(100).isGreaterThan(4 * not);
  }

  /** Whether some endpoint from 0 to 200 % makes a full command reach a travel. */
  private static boolean found(
      Setup setup, int channel, int surface, boolean high, double command, double wanted) {
    double last = Double.NaN;
    for (double percent = 0; percent <= 200; percent++) {
      double now = full(entered(setup, channel, high, percent), surface, command) - wanted;
      if (last * now < 0 && Math.abs(last - now) < 2) {
        return true;
      }
      last = now;
    }
    return false;
  }

  private static SignalPath entered(Setup setup, int channel, boolean high, double percent) {
    return SignalPath.of(
        setup
            .change()
            .channels(
                setup.channels().stream()
                    .map(one -> one.number() == channel ? at(one, high, percent) : one)
                    .toList())
            .done());
  }

  private static Channel at(Channel channel, boolean high, double percent) {
    return high ? channel.withHigh(percent) : channel.withLow(percent);
  }

  private static double full(SignalPath path, int surface, double command) {
    double[] all = new double[path.setup().channels().size()];
    all[path.channelBehind(surface)] = command;
    return path.ofCommands(all).travelMm()[surface];
  }

  @Example
  void onlySomeControlsGoIntoTheRodsAndTheOthersStay() {
    Setup setup = Rigs.plain();
    FlownTrims pitch =
        new FlownTrims(
            "flight",
            List.of(FlownTrims.reading("flight", new Trims(10, 16, 0))),
            false,
            List.of(Control.PITCH));
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, pitch);
    assertThat(plan.trims()).isEqualTo(new Trims(0, 16, 0));
    assertThat(plan.phases().get(0).after().roll()).isBetween(9, 11);
    assertThat(say(plan.steps().get(1).title())).isEqualTo("Trims in: pitch 16 clicks nose up");
    assertThat(say(plan.steps().get(1).detail()))
        .contains("stays on the trims all the time: roll 10 clicks right");
  }

  @Example
  void aPhaseThatIsGoneIsSaidAndOneThatWasNeverFlownIsRefused() {
    Setup setup = Rigs.plain();
    FlownTrims gone =
        new FlownTrims(
            "flight",
            List.of(
                FlownTrims.reading("flight", new Trims(0, 8, 0)),
                FlownTrims.reading("launch", new Trims(0, 3, 0))));
    assertThat(say(AdjustmentPlanner.plan(setup, gone).cautions()))
        .singleElement()
        .asString()
        .contains("phase launch are left out");
    assertThat(say(AdjustmentPlanner.plan(setup, new Trims(0, 8, 0)).cautions())).isEmpty();
    List<PhaseReading> flight = gone.phases();
    for (String reference : List.of("launch", "cruise")) {
      assertThatThrownBy(() -> AdjustmentPlanner.plan(setup, new FlownTrims(reference, flight)))
          .isInstanceOf(InvalidInputException.class)
          .satisfies(saying("reference is " + reference))
          .satisfies(saying("of flight"));
    }
    for (List<Control> none : Arrays.asList(List.<Control>of(), null)) {
      assertThatThrownBy(() -> new FlownTrims("flight", flight, false, none))
          .isInstanceOf(InvalidInputException.class)
          .satisfies(saying("at least one of roll, pitch, yaw"));
    }
  }

  @Example
  void aPhaseNotFlownCountsAsItStands() {
    Setup setup = twoPhases(3);
    List<PhaseReading> all =
        new FlownTrims("base", List.of(FlownTrims.reading("base", new Trims(5, 9, 0)))).all(setup);
    assertThat(all).extracting(PhaseReading::phase).containsExactly("own", "base");
    assertThat(all.get(0).trims()).isEqualTo(new Trims(5, 7, 0));
  }
}
