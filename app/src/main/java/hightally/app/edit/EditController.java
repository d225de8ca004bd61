package hightally.app.edit;

import hightally.app.words.ReaderWords;
import hightally.core.edit.Copies;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.FeelStart;
import hightally.core.edit.MixGallery;
import hightally.core.edit.NewPart;
import hightally.core.edit.NewPartChoice;
import hightally.core.edit.NewParts;
import hightally.core.edit.Pairing;
import hightally.core.edit.PartWish;
import hightally.core.edit.PartsAdded;
import hightally.core.edit.PartsRemoved;
import hightally.core.edit.PhaseAdded;
import hightally.core.edit.PhasesStart;
import hightally.core.edit.ProgramEdits;
import hightally.core.edit.ProgramRemoved;
import hightally.core.edit.Renamed;
import hightally.core.edit.SwitchedOn;
import hightally.core.movement.MovementSolver;
import hightally.core.movement.OutputSheet;
import hightally.core.movement.WantedMovement;
import hightally.core.program.ConditionKind;
import hightally.core.program.CurvePoint;
import hightally.core.program.MixSource;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SetupDifference;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimLeverValues;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Every edit that has a rule to it: a setup and a wish go in, the changed setup comes out. */
@RestController
@RequestMapping("/api/edits")
class EditController {
  private final ReaderWords words;

  EditController(ReaderWords words) {
    this.words = words;
  }

  /**
   * What an edit made.
   *
   * @param changed every value that differs now
   * @param notes what goes with it, a sentence each; mostly none
   */
  record Edited(Setup setup, List<SetupDifference.ValueLine> changed, List<Said> notes) {
    static Edited of(Setup before, Setup after) {
      return of(before, after, List.of());
    }

    static Edited of(Setup before, Setup after, List<Said> notes) {
      return new Edited(after, SetupDifference.of(before, after).values(), notes);
    }
  }

  /** A setup and the part to add to it. */
  record PartAsked(Setup setup, PartWish wish) {}

  /** A setup and the id of the part to take off it. */
  record PartGone(Setup setup, @Text(max = 40) String id) {}

  /** A setup and figures to set in it. */
  record MendAsked(Setup setup, List<Edit> edits) {}

  /** A setup and what is to be new in it. */
  record NewAsked(Setup setup, NewPart part) {}

  /** A setup, the id of one of its mixes, and what it is to come from. */
  record SourceAsked(Setup setup, @Text(max = 40) String mix, MixSource source) {}

  /** A setup, the id of one of its conditions, and what it is to look at. */
  record LookAsked(
      Setup setup,
      @Text(max = 40) String condition,
      ConditionKind kind,
      @Text(min = 0, max = 40) String subject) {}

  /** A setup, the id of a surface or panel, and that of the one that mirrors it; empty for none. */
  record PairAsked(
      Setup setup, @Text(max = 40) String part, @Text(min = 0, max = 40) String pair) {}

  @PostMapping("/phases/start")
  @Operation(summary = "The usual phases of a kind of flying at once")
  Edited phases(@RequestBody PhasesStart.PhasesWish wish) {
    return Edited.of(wish.setup(), PhasesStart.of(wish, words));
  }

  /**
   * A setup with a condition.
   *
   * @param condition its id
   */
  record ConditionMade(Setup setup, String condition) {}

  @PostMapping("/conditions/switch")
  @Operation(summary = "The condition that a switch stands at a position, made if there is none")
  ConditionMade switchedOn(@RequestBody SwitchedOn.SwitchWish wish) {
    Setup setup = SwitchedOn.of(wish, words);
    return new ConditionMade(
        setup, SwitchedOn.existing(setup, wish.input(), wish.position()).orElseThrow());
  }

  @PostMapping("/copies")
  @Operation(summary = "A phase's values, a mix, a set of rates or a throttle curve copied")
  Edited copy(@RequestBody Copies.CopyWish wish) {
    return Edited.of(wish.setup(), Copies.of(wish, words));
  }

  /** A curve. */
  record CurveAsked(List<CurvePoint> points) {}

  @PostMapping("/parts")
  @Operation(summary = "A part added, complete with servo, channel and lead")
  Edited add(@RequestBody PartAsked asked) {
    return Edited.of(asked.setup(), PartsAdded.of(asked.setup(), asked.wish(), words));
  }

  /** A setup that is to have another part. */
  record PartChoicesAsked(Setup setup) {}

  @PostMapping("/parts/choices")
  @Operation(summary = "Every sort of part that can be added, and what is asked for it")
  List<NewPartChoice> choices(@RequestBody PartChoicesAsked asked) {
    return NewPartChoice.of(Validation.check(asked.setup()));
  }

  @PostMapping("/parts/remove")
  @Operation(summary = "A part and all that only served it taken off")
  Edited remove(@RequestBody PartGone asked) {
    return Edited.of(asked.setup(), PartsRemoved.of(asked.setup(), asked.id()));
  }

  @PostMapping("/name")
  @Operation(summary = "A surface or motor renamed, and what was called after it with it")
  Edited name(@RequestBody Renamed.NameWish wish) {
    return Edited.of(wish.setup(), Renamed.of(wish));
  }

  @PostMapping("/pair")
  @Operation(summary = "Two surfaces, or two panels, said to mirror one another")
  Edited pair(@RequestBody PairAsked asked) {
    return Edited.of(asked.setup(), Pairing.of(asked.setup(), asked.part(), asked.pair()));
  }

  @PostMapping("/mend")
  @Operation(summary = "The figures of a mend set")
  Edited mend(@RequestBody MendAsked asked) {
    return Edited.of(asked.setup(), Edits.made(asked.setup(), asked.edits()));
  }

  @PostMapping("/new")
  @Operation(summary = "Something new with values to begin with")
  Edited fresh(@RequestBody NewAsked asked) {
    return Edited.of(asked.setup(), NewParts.added(asked.setup(), asked.part(), words));
  }

  @PostMapping("/phases")
  @Operation(summary = "A phase made separate; today's values are copied into it")
  Edited phase(@RequestBody PhaseAdded.PhaseWish wish) {
    return Edited.of(wish.setup(), PhaseAdded.of(wish, words));
  }

  @PostMapping("/mixes")
  @Operation(summary = "A common mix added, its weights worked out")
  Edited mix(@RequestBody MixGallery.RecipeAsked asked) {
    return Edited.of(asked.setup(), MixGallery.build(asked, words));
  }

  @PostMapping("/mixes/source")
  @Operation(summary = "A mix taken from another source")
  Edited source(@RequestBody SourceAsked asked) {
    return Edited.of(
        asked.setup(), ProgramEdits.sourced(asked.setup(), asked.mix(), asked.source()));
  }

  @PostMapping("/conditions/look")
  @Operation(summary = "A condition that looks at something else; what no longer fits is cleared")
  Edited look(@RequestBody LookAsked asked) {
    Setup setup = asked.setup();
    return Edited.of(
        setup, ProgramEdits.looking(setup, asked.condition(), asked.kind(), asked.subject()));
  }

  /** A setup, and where a lever of a trim test in the program is to stand, in its unit. */
  record LeverAsked(
      Setup setup,
      TrimLever lever,
      TestCase test,
      @Within(min = -150, max = 150, unit = Unit.NONE) double value) {}

  @PostMapping("/levers")
  @Operation(summary = "A lever of the trim tests moved: differential or a mix, built if needed")
  Edited lever(@RequestBody LeverAsked asked) {
    Setup setup = asked.setup();
    return Edited.of(
        setup, TrimLeverValues.moved(asked.lever(), setup, asked.test(), asked.value(), words));
  }

  /** A setup, where the bench stands, and a movement to have. */
  record MovementAsked(Setup setup, Moment moment, WantedMovement wish) {}

  @PostMapping("/movements")
  @Operation(
      summary = "A preset, rate, differential or mix set by what it moves: mm, degrees or percent")
  Edited movement(@RequestBody MovementAsked asked) {
    Validation.check(asked.moment());
    Setup setup = Validation.check(asked.setup());
    return Edited.of(setup, MovementSolver.made(setup, asked.moment(), asked.wish()));
  }

  @PostMapping("/outputs")
  @Operation(
      summary = "An endpoint, limit of travel or sub-trim set by the side the surface goes to")
  Edited output(@RequestBody OutputSheet.OutputWish wish) {
    return Edited.of(wish.setup(), OutputSheet.set(wish));
  }

  @PostMapping("/curves/point")
  @Operation(summary = "A curve with one more point, in the middle of its widest gap")
  List<CurvePoint> point(@RequestBody CurveAsked asked) {
    asked.points().forEach(Validation::check);
    return ProgramEdits.withPoint(asked.points());
  }

  @PostMapping("/feel")
  @Operation(summary = "One of the usual ways of rates and expo")
  Edited feel(@RequestBody FeelStart.FeelWish wish) {
    return Edited.of(wish.setup(), FeelStart.of(wish, words));
  }

  @PostMapping("/removal")
  @Operation(summary = "A phase or condition taken out of the program, and what goes with it")
  Edited removal(@RequestBody ProgramRemoved.RemovalAsked asked) {
    ProgramRemoved.Removal removal = ProgramRemoved.of(asked);
    return Edited.of(asked.setup(), removal.setup(), removal.notes());
  }
}
