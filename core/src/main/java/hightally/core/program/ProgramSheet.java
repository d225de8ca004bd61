package hightally.core.program;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.condition.Condition;
import hightally.core.condition.ConditionKind;
import hightally.core.mix.CurvePoint;
import hightally.core.mix.Mix;
import hightally.core.mix.MixFunction;
import hightally.core.mix.SourceOf;
import hightally.core.phase.Phase;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.response.FeelSet;
import hightally.core.setup.ConditionLimits;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What a pilot wants to see of a program without moving a stick.
 *
 * @param phases when each phase is on
 * @param switches every switch with all that hangs on each position
 * @param conditions every condition as a sentence
 * @param mixCurves every mix as the curve it is, in the setup's order
 * @param sources what a mix can take its value from here
 */
public record ProgramSheet(
    List<PhaseColumn> phases,
    List<SwitchRow> switches,
    List<ConditionLine> conditions,
    List<List<CurvePoint>> mixCurves,
    List<SourceChoice> sources) {
  /**
   * A phase.
   *
   * @param when its condition as a sentence
   */
  public record PhaseColumn(String phase, Said when) {}

  /**
   * One position of a switch, or a lever; and what hangs on it.
   *
   * @param position counted from 1; 0 for a lever
   * @param brings what the pilot calls the position by: what it brings, or that it is for all else
   */
  public record SwitchRow(String input, String name, int position, Said brings, List<Said> hangs) {}

  /**
   * A position of a switch, or all of a lever or switch.
   *
   * @param position counted from 1
   */
  private record Place(String input, int position) {
    static final int ANYWHERE = 0;

    static Place lever(String input) {
      return new Place(input, ANYWHERE);
    }
  }

  /**
   * A condition in words, and what it can be changed to.
   *
   * @param finished whether it has all it is made of
   * @param subjects what one of its kind can look at; none for one made of others
   * @param least the least its limit may be
   * @param most the most its limit may be; {@code least} where it has none
   * @param unit of its limit
   */
  public record ConditionLine(
      String condition,
      Said sentence,
      boolean finished,
      List<SourceChoice.SubjectChoice> subjects,
      double least,
      double most,
      Unit unit) {
    static ConditionLine of(Setup setup, Condition one) {
      ConditionLimits.Range range = ConditionLimits.of(setup, one.kind(), one.subject());
      List<SourceChoice.SubjectChoice> subjects =
          ConditionLimits.subjects(setup, one.kind()).stream()
              .map(
                  id ->
                      new SourceChoice.SubjectChoice(
                          id, ConditionWords.looked(setup, one.kind(), id)))
              .toList();
      return new ConditionLine(
          one.id(),
          ConditionWords.of(setup, one.id()),
          one.finished(),
          subjects,
          range.least(),
          range.most(),
          range.unit());
    }
  }

  /** The sheet of a checked setup. */
  public static ProgramSheet of(Setup setup) {
    List<PhaseColumn> phases = setup.phases().stream().map(one -> column(setup, one)).toList();
    List<ConditionLine> conditions =
        setup.conditions().stream().map(one -> ConditionLine.of(setup, one)).toList();
    List<List<CurvePoint>> curves = setup.mixes().stream().map(MixFunction::asCurve).toList();
    return new ProgramSheet(phases, switches(setup), conditions, curves, SourceChoice.of(setup));
  }

  private static PhaseColumn column(Setup setup, Phase one) {
    Said when =
        one.when().isEmpty()
            ? Said.of("program.whenNoOther")
            : ConditionWords.of(setup, one.when());
    return new PhaseColumn(one.id(), when);
  }

  private static List<SwitchRow> switches(Setup setup) {
    Map<Place, List<Said>> hangs = new HashMap<>();
    for (Phase phase : setup.phases()) {
      note(setup, phase.when(), Said.of("hangs.phase", "phase", phase.name()), hangs);
    }
    for (FeelSet set : setup.feelSets()) {
      note(setup, set.when(), Said.of("hangs.rates", "set", set.name()), hangs);
    }
    for (Mix mix : setup.mixes()) {
      note(setup, mix.when(), Said.of("hangs.mix", "mix", mix.name()), hangs);
      if (mix.source().of() == SourceOf.INPUT) {
        put(hangs, Place.lever(mix.subject()), Said.of("hangs.mix", "mix", mix.name()));
      }
    }
    note(setup, setup.power().cutWhen(), Said.of("hangs.cut"), hangs);
    note(setup, setup.power().armWhen(), Said.of("hangs.arming"), hangs);
    setup
        .power()
        .timers()
        .forEach(
            one -> note(setup, one.when(), Said.of("hangs.timer", "timer", one.name()), hangs));
    if (!setup.power().throttleInput().isEmpty()) {
      put(hangs, Place.lever(setup.power().throttleInput()), Said.of("hangs.throttle"));
    }
    setup
        .surfaces()
        .forEach(
            surface ->
                surface
                    .shares()
                    .levers()
                    .forEach(
                        lever ->
                            put(hangs, Place.lever(lever.input()), Said.text(surface.name()))));
    List<SwitchRow> rows = new ArrayList<>();
    for (TransmitterInput input : setup.transmitter().inputs()) {
      if (input.kind() == InputKind.SWITCH) {
        for (int position = 1; position <= input.positions(); position++) {
          List<Said> here =
              new ArrayList<>(hangs.getOrDefault(new Place(input.id(), position), List.of()));
          here.addAll(hangs.getOrDefault(Place.lever(input.id()), List.of()));
          Said brings = SwitchWords.of(setup, input, position);
          rows.add(new SwitchRow(input.id(), input.name(), position, brings, here));
        }
      } else {
        List<Said> here = hangs.getOrDefault(Place.lever(input.id()), List.of());
        rows.add(new SwitchRow(input.id(), input.name(), Place.ANYWHERE, Said.NOTHING, here));
      }
    }
    return rows;
  }

  /** Follows a condition down to the switches it asks. */
  private static void note(Setup setup, String condition, Said what, Map<Place, List<Said>> hangs) {
    if (condition.isEmpty()) {
      return;
    }
    Condition one =
        setup.conditions().stream().filter(c -> c.id().equals(condition)).findFirst().orElseThrow();
    if (one.kind() == ConditionKind.SWITCH_AT) {
      put(hangs, new Place(one.subject(), (int) Math.round(one.limit())), what);
    } else if (one.kind() == ConditionKind.ABOVE || one.kind() == ConditionKind.BELOW) {
      put(hangs, Place.lever(one.subject()), what);
    }
    one.members().forEach(member -> note(setup, member, what, hangs));
  }

  private static void put(Map<Place, List<Said>> hangs, Place key, Said what) {
    List<Said> list = hangs.computeIfAbsent(key, one -> new ArrayList<>());
    if (!list.contains(what)) {
      list.add(what);
    }
  }
}
