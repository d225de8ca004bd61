package hightally.core.probe;

import hightally.core.airframe.Motor;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Where the search for what a rig is stands, in words.
 *
 * @param words what to do now
 * @param next what is looked at; null once nothing is
 * @param changes what is changed at the transmitter or the model
 * @param notes what the description then says otherwise
 * @param open looks that could still show something else
 */
public record ProbeTold(
    ProbeStage stage,
    Said words,
    @Absentable LookTold next,
    List<ChangeTold> changes,
    List<ChangeTold> notes,
    int open) {
  public ProbeTold {
    changes = List.copyOf(changes);
    notes = List.copyOf(notes);
  }

  /**
   * One look in words.
   *
   * @param title in a few words
   * @param instruction what to do
   * @param caution what can hurt; empty for nothing
   * @param lines how each surface must go, in the order of the picture, then the motor it is about
   */
  public record LookTold(
      Look look, Said title, Said instruction, Said caution, List<LineTold> lines) {
    public LookTold {
      lines = List.copyOf(lines);
    }
  }

  /**
   * How one surface, or motor, must go.
   *
   * @param way 1 up or right, -1 down or left, 0 stays
   * @param told whether that can be told by eye
   * @param words as it must be
   * @param plus as an answer: it went up, or right
   * @param minus as an answer: it went down, or left
   */
  public record LineTold(
      String surface, int way, boolean told, Said words, Said plus, Said minus) {}

  /** One change in words. */
  public record ChangeTold(RigDifference change, Said words) {}

  /** A rig made as the search says, and the answers that still hold. */
  public record Mended(Setup setup, List<LookAnswer> answers) {
    public Mended {
      answers = List.copyOf(answers);
    }
  }

  /**
   * Where it stands.
   *
   * @throws InvalidInputException for an answer to a look there is not, or about what is not there
   */
  public static ProbeTold of(Setup setup, List<LookAnswer> answers) {
    return of(checked(setup, answers), setup, answers);
  }

  /** Where it stands with a probe of a setup, and answers of it. */
  public static ProbeTold of(Probe probe, Setup setup, List<LookAnswer> answers) {
    ProbeStanding standing = probe.standing(answers);
    ProbeWords words = new ProbeWords(setup);
    List<ChangeTold> changes = new ArrayList<>();
    List<ChangeTold> notes = new ArrayList<>();
    if (standing.mend() != null) {
      standing.mend().changes().forEach(one -> changes.add(new ChangeTold(one, words.change(one))));
      standing.mend().notes().forEach(one -> notes.add(new ChangeTold(one, words.note(one))));
    }
    return new ProbeTold(
        standing.stage(),
        said(standing, probe, words),
        standing.next() == null ? null : told(standing.next(), words),
        changes,
        notes,
        standing.open());
  }

  /**
   * The rig once what is to be changed has been; as it was where nothing is.
   *
   * @throws InvalidInputException as above
   */
  public static Mended mended(Setup setup, List<LookAnswer> answers) {
    return mended(checked(setup, answers), setup, answers);
  }

  /** The same with a probe of a setup, and answers of it. */
  public static Mended mended(Probe probe, Setup setup, List<LookAnswer> answers) {
    ProbeStanding standing = probe.standing(answers);
    return standing.stage() == ProbeStage.MENDING
        ? new Mended(probe.after(standing.mend()), probe.kept(answers, standing))
        : new Mended(setup, answers);
  }

  private static Probe checked(Setup setup, List<LookAnswer> answers) {
    Probe probe = Probe.of(Validation.check(setup));
    for (int i = 0; i < answers.size(); i++) {
      check(probe, setup, "answers[" + i + "]", answers.get(i));
    }
    return probe;
  }

  /**
   * Checks an answer for being one to a look there is, about what is there.
   *
   * @param field the field it stands in
   * @throws InvalidInputException naming the field below it
   */
  public static void check(Probe probe, Setup setup, String field, LookAnswer answer) {
    List<String> known = new ArrayList<>();
    setup.surfaces().forEach(one -> known.add(one.id()));
    setup.airframe().motors().stream().map(Motor::id).forEach(known::add);
    named(field + ".look", answer.look(), probe.looks().stream().map(Look::id).toList());
    Set<String> seen = new HashSet<>();
    for (int i = 0; i < answer.seen().size(); i++) {
      String surface = answer.seen().get(i).surface();
      String of = field + ".seen[" + i + "].surface";
      named(of, surface, known);
      if (!seen.add(surface)) {
        throw InvalidInputException.of(of, surface, Said.of("demand.eachOnce"));
      }
    }
  }

  private static void named(String field, String id, List<String> known) {
    if (!known.contains(id)) {
      throw InvalidInputException.of(field, id, Said.of("demand.oneOf", "names", Said.list(known)));
    }
  }

  private static Said said(ProbeStanding standing, Probe probe, ProbeWords words) {
    return switch (standing.stage()) {
      case LOOKING -> Said.of("probe.looking");
      case MENDING ->
          standing.mend().changes().isEmpty() ? Said.of("probe.noting") : Said.of("probe.mending");
      case AGREED -> Said.of("probe.agreed");
      case UNMENDED -> Said.of("probe.unmended");
      case CONTRADICTED -> contrary(standing.contrary(), probe, words);
    };
  }

  private static Said contrary(List<String> looks, Probe probe, ProbeWords words) {
    Look one = probe.look(looks.get(0)).orElseThrow();
    return looks.size() == 1
        ? Said.of("probe.impossible", "one", words.title(one))
        : words.contrary(one, probe.look(looks.get(1)).orElseThrow());
  }

  private static LookTold told(Look look, ProbeWords words) {
    return new LookTold(
        look,
        words.title(look),
        words.instruction(look),
        words.caution(look),
        look.picture().stream()
            .filter(one -> words.about(look, one))
            .map(
                one ->
                    new LineTold(
                        one.surface(),
                        one.way(),
                        one.told(),
                        words.line(look, one),
                        words.went(one.surface(), 1),
                        words.went(one.surface(), -1)))
            .toList());
  }
}
