package hightally.benchmark;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Power;
import hightally.core.program.Preset;
import hightally.core.program.ThrottleCurve;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * The demo biplane programmed by somebody who likes switches: as many of three positions as are
 * asked for, a flight phase on each, and five mixes to every two of them. The elevator hangs on
 * every switch by a mix of its own, the other surfaces on some, the motor on the cut and one mix.
 */
final class LargeProgram {
  private static final int AILERONS = 4;

  private final int switches;
  private final double fadeSeconds;
  private final Setup base;
  private final List<Condition> conditions = new ArrayList<>();
  private final List<Mix> mixes = new ArrayList<>();

  private LargeProgram(Setup base, int switches, double fadeSeconds) {
    this.base = base;
    this.switches = switches;
    this.fadeSeconds = fadeSeconds;
  }

  /**
   * @param switches of three positions, an even number
   * @param fadeSeconds over which every phase comes in
   */
  static Setup of(int switches, double fadeSeconds) {
    return new LargeProgram(DemoModel.biplane(), switches, fadeSeconds).made(false);
  }

  /** The same with a motor that one of the switches starts. */
  static Setup startingAMotor(int switches, double fadeSeconds) {
    return new LargeProgram(DemoModel.biplane(), switches, fadeSeconds).made(true);
  }

  private Setup made(boolean starts) {
    List<TransmitterInput> inputs = new ArrayList<>(base.transmitter().inputs().subList(0, 2));
    List<Phase> phases = new ArrayList<>();
    for (int i = 1; i <= switches; i++) {
      String id = "switch-" + i;
      inputs.add(new TransmitterInput(id, id, InputKind.SWITCH, 3));
      on(id + "-middle", ConditionKind.SWITCH_AT, id, 2, List.of());
      on(id + "-far", ConditionKind.SWITCH_AT, id, 3, List.of());
      on(id + "-away", ConditionKind.OR, "", 0, List.of(id + "-middle", id + "-far"));
      phases.add(phase(i, i == switches ? "" : id + "-far"));
      MixSource[] sources = {MixSource.CONSTANT, MixSource.RESPONSE, MixSource.INPUT};
      MixSource source = sources[i % sources.length];
      String subject =
          switch (source) {
            case RESPONSE -> "pitch";
            case INPUT -> inputs.get(0).id();
            default -> "";
          };
      mix(
          "elevator-" + i,
          source,
          subject,
          i % 2 == 0 ? 1.0 + i : -2.0 - i,
          id + "-middle",
          "elevator");
    }
    for (int i = 1; i + 1 <= switches; i += 2) {
      String one = "switch-" + i;
      String two = "switch-" + (i + 1);
      on("both-" + i, ConditionKind.AND, "", 0, List.of(one + "-away", two + "-middle"));
      mix("rudder-" + i, MixSource.RESPONSE, "roll", 5 + i, "both-" + i, "rudder");
      mix("ailerons-" + i, MixSource.INPUT, inputs.get(1).id(), 4, two + "-away", ailerons());
      mix("power-" + i, MixSource.THROTTLE, "", 2, one + "-away", "elevator");
    }
    if (starts) {
      mix("motor", MixSource.CONSTANT, "", 40, "switch-2-middle", "motor");
    }
    Power power = base.power();
    return base.change()
        .transmitter(base.transmitter().withInputs(inputs))
        .conditions(conditions)
        .phases(phases)
        .feelSets(List.of())
        .mixes(mixes)
        .power(
            new Power(
                "",
                power.twoWay(),
                List.of(ThrottleCurve.PLAIN),
                "switch-1-middle",
                power.cutPercent(),
                "",
                true,
                power.failsafe(),
                true,
                List.of(),
                List.of(),
                power.alarms(),
                power.stopMicroseconds()))
        .done();
  }

  private String[] ailerons() {
    return base.surfaces().stream().limit(AILERONS).map(one -> one.id()).toArray(String[]::new);
  }

  private void on(
      String id, ConditionKind kind, String subject, double limit, List<String> members) {
    conditions.add(new Condition(id, id, kind, subject, limit, members, 0));
  }

  private Phase phase(int number, String when) {
    String id = "phase-" + number;
    return new Phase(
        id,
        id,
        "",
        PhaseRole.OTHER,
        when,
        fadeSeconds,
        List.of(new Preset("elevator", number - 2.0)),
        List.of(),
        false,
        number % 2 == 0,
        false,
        Trims.ZERO,
        NoseNote.NOT_FLOWN);
  }

  private void mix(
      String id, MixSource source, String subject, double percent, String when, String... to) {
    List<MixTarget> targets = new ArrayList<>();
    for (String target : to) {
      targets.add(MixTarget.even(target, 1));
    }
    mixes.add(
        new Mix(
            id, id, "", source, subject, percent, percent, 0, List.of(), targets, when, List.of(),
            0));
  }
}
