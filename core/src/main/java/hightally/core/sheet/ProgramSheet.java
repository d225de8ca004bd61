package hightally.core.sheet;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.CurvePoint;
import hightally.core.program.MixFunction;
import hightally.core.program.Phase;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.ConditionLimits;
import hightally.core.setup.Setup;
import hightally.core.sheet.SwitchHangs.Hang;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

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
    List<Hang> hangs = SwitchHangs.of(setup);
    List<SwitchRow> rows = new ArrayList<>();
    for (TransmitterInput input : setup.transmitter().inputs()) {
      if (input.kind() == InputKind.SWITCH) {
        for (int position = 1; position <= input.positions(); position++) {
          Said brings = SwitchWords.of(setup, hangs, input, position);
          rows.add(row(input, position, brings, hangs));
        }
      } else {
        rows.add(row(input, SwitchHangs.ANYWHERE, Said.NOTHING, hangs));
      }
    }
    return rows;
  }

  /** What asks for the position, then what follows the switch wherever it stands. */
  private static SwitchRow row(
      TransmitterInput input, int position, Said brings, List<Hang> hangs) {
    List<Said> here =
        IntStream.of(position, SwitchHangs.ANYWHERE)
            .distinct()
            .boxed()
            .flatMap(
                at ->
                    hangs.stream()
                        .filter(one -> one.input().equals(input.id()) && one.position() == at))
            .map(Hang::what)
            .distinct()
            .toList();
    return new SwitchRow(input.id(), input.name(), position, brings, here);
  }
}
