package hightally.core.benchsetup;

import hightally.core.airframe.Surface;
import hightally.core.benchsetup.StepResult.SeatPicture;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.linkage.ArmSeating;
import hightally.core.linkage.ArmSeating.Seat;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.LinkageFit;
import hightally.core.linkage.LinkageFit.Explanation;
import hightally.core.linkage.LinkageFit.FitQuestion;
import hightally.core.linkage.LinkageFit.Reading;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.program.Trims;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Turns;
import hightally.core.quantity.Unit;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Says what the pilot's answers mean: what to turn, what to reverse, whether the ruler agrees. */
public final class AnswerComparison {
  /** A reading this much too large or small is a unit, not a linkage. */
  private static final double TEN = 10;

  private static final double INCH_MM = 25.4;

  /** How near a ratio must be to a unit's to be asked about. */
  private static final double UNIT_LEEWAY = 0.25;

  private static final double TRAVEL_LEEWAY = 0.1;

  /** What is left of this little cannot be seen. */
  private static final double LEVEL_MM = 0.05;

  /** Two sides compared with one carried gauge are equal within this, or this share of them. */
  private static final double EQUAL_MM = 0.6;

  private static final double EQUAL_SHARE = 0.03;

  private static final double ONCE_LEEWAY = 0.25;

  private final Setup setup;
  private final CentringMethod school;
  private final SignalPath path;
  private final Map<String, BenchStep> steps = new LinkedHashMap<>();
  private final Map<String, StepAnswer> answers = new LinkedHashMap<>();

  private AnswerComparison(Setup setup, CentringMethod school, List<StepAnswer> given) {
    this.setup = setup;
    this.school = school;
    path = SignalPath.of(setup);
    BenchSetUp.steps(setup).forEach(step -> steps.put(step.id(), step));
    given.forEach(answer -> answers.put(answer.step(), answer));
  }

  /** One verdict for every answered step that has something to judge. */
  public static List<StepResult> verdicts(
      Setup setup, CentringMethod school, List<StepAnswer> answers) {
    AnswerComparison judge = new AnswerComparison(setup, school, answers);
    List<StepResult> verdicts = new ArrayList<>();
    for (StepAnswer answer : answers) {
      BenchStep step = judge.steps.get(answer.step());
      if (step != null && answer.values().size() == step.figures().size()) {
        judge.verdict(step, answer).ifPresent(verdicts::add);
      }
    }
    return verdicts;
  }

  private Optional<StepResult> verdict(BenchStep step, StepAnswer answer) {
    return switch (step.kind()) {
      case SEAT -> Optional.of(seat(step, answer.values().get(0)));
      case FLUSH -> Optional.of(flush(step, answer.values().get(0)));
      case TRAVEL -> Optional.of(travel(step, answer));
      case CLICKS -> Optional.of(clicks(step, answer.values().get(0)));
      case TURN -> Optional.of(turn(step, answer.values().get(0)));
      case REFLEX -> Optional.of(reflex(step, answer.values().get(0)));
      case MOTOR_STOP, MOTOR_TOUCH, MOTOR_WAY, MOTOR_REVERSE, FAILSAFE ->
          Optional.of(new MotorSteps(setup, path).verdict(step, answer, answers));
      case HARMLESS, POWER, WAYS, MOTOR_SAFE, FINISH -> Optional.empty();
    };
  }

  private Surface surface(BenchStep step) {
    return setup.surface(step.surface()).orElseThrow();
  }

  private StepResult seat(BenchStep step, double offDegrees) {
    int index = path.indexOf(step.surface());
    Seat seat = path.servoBehind(index).seating().nearest(-offDegrees);
    double slope = path.servoBehind(index).slope();
    Said turn =
        seat.tooth() == 0 && seat.arm() == 0
            ? Said.of("guide.leaveArm")
            : Said.of(
                "guide.armOff",
                "teeth",
                Math.abs(seat.tooth()),
                "toothward",
                seat.tooth() > 0,
                "arm",
                seat.arm() + 1,
                "size",
                Quantity.degrees(Math.abs(seat.reachedDegrees()), 1),
                "towards",
                seat.reachedDegrees() >= 0);
    double left = seat.remainderDegrees();
    boolean rod = school == CentringMethod.ROD_FIRST;
    Said rest =
        Said.of(
            rod ? "guide.leftForRod" : "guide.leftForSubTrim",
            "left",
            Quantity.degrees(Math.abs(left), 1),
            "subTrim",
            Quantity.microseconds(left / slope));
    ArmSeating seating = path.servoBehind(index).seating();
    SeatPicture picture =
        new SeatPicture(
            seating.teeth(), seating.arms(), offDegrees, seat.reachedDegrees(), left, seat.arm());
    List<Mend> mends = List.of(seatMend(index, rod, left, slope));
    return new StepResult(step.id(), true, false, Said.all(turn, rest), mends, List.of(picture));
  }

  private Mend seatMend(int index, boolean rod, double left, double slope) {
    String surface = setup.surfaces().get(index).id();
    Edit lean = Edit.of(Figure.ARM_LEAN, surface, rod ? -rounded(left, 10) : 0.0);
    double subTrim = rod ? 0 : Math.rint(left / slope);
    int channel = setup.channels().get(path.channelBehind(index)).number();
    Edit centre = Edit.of(Figure.SUB_TRIM, channel, subTrim);
    if (rod) {
      return new Mend(Said.of("guide.armLeftOver"), List.of(centre, lean));
    }
    // What the seat leaves and what the sub-trim takes back belong together: the arm stands square.
    String servo = setup.surfaces().get(index).rod().driverId();
    Edit offset = Edit.of(Figure.ARM_OFFSET, servo, -rounded(left, 100));
    return new Mend(Said.of("guide.setSubTrim"), List.of(centre, lean, offset));
  }

  private StepResult flush(BenchStep step, double offMm) {
    Surface surface = surface(step);
    int index = path.indexOf(surface.id());
    FourBar bar = path.bar(index);
    double driver = path.driverDegrees(index, path.evaluateBase(Moment.centred(Trims.ZERO)));
    if (Math.abs(offMm) >= surface.chordMm()) {
      return asks(step, offMm, surface.chordMm());
    }
    double wanted = bar.surfaceAngle(driver) - Math.toDegrees(Math.asin(offMm / surface.chordMm()));
    double change = bar.rodFor(driver, wanted) - bar.rodLengthMm();
    RodEnd end = surface.rod().end();
    long count = end.steps(change);
    if (Double.isNaN(change) || count == 0) {
      return StepResult.agrees(step.id(), Said.of("guide.levelEnough"));
    }
    Object amount =
        end.kind() == RodEndKind.SLIDE
            ? Quantity.mm(count * end.stepMm()).size()
            : new Turns(count * end.kind().sixthsPerStep());
    double was = Math.sin(Math.toRadians(bar.surfaceAngle(driver)));
    double is =
        Math.sin(
            Math.toRadians(
                bar.withRod(bar.rodLengthMm() + count * end.stepMm()).surfaceAngle(driver)));
    double moves = surface.chordMm() * (is - was);
    return StepResult.agrees(
        step.id(),
        Said.of(
            "guide.rodTurned",
            "longer",
            count > 0,
            "amount",
            amount,
            "way2",
            surface.goes(moves),
            "mm",
            Quantity.mm(moves).size(),
            "left",
            Quantity.mm(offMm + moves).size(),
            "level",
            Math.abs(offMm + moves) < LEVEL_MM));
  }

  private StepResult travel(BenchStep step, StepAnswer answer) {
    double house = setup.house().unevenMm();
    boolean agrees = true;
    for (int i = 0; i < step.figures().size(); i++) {
      double expected = step.figures().get(i).expected();
      double measured = Math.abs(answer.values().get(i));
      if (otherUnit(measured, expected)) {
        return asks(step, measured, expected);
      }
      double leeway = Math.max(house, TRAVEL_LEEWAY * expected);
      agrees &= Math.abs(measured - expected) <= leeway;
    }
    return agrees
        ? new StepResult(step.id(), true, false, Said.of("guide.rulerProgramAgree"), even(step))
        : differs(step, answer);
  }

  private StepResult differs(BenchStep step, StepAnswer answer) {
    Surface surface = surface(step);
    int index = path.indexOf(surface.id());
    List<Reading> readings = readings(surface, answer);
    Said words = Said.of("guide.rulerDisagrees");
    if (readings.stream().anyMatch(one -> Math.abs(one.travelMm()) >= surface.chordMm())) {
      return asks(step, answer.values().get(0), ThrowsFromRest.of(path, index).plusMm());
    }
    List<Mend> mends =
        explanations(surface, readings).stream()
            .map(one -> MeasuredThrows.taken(surface.id(), one))
            .toList();
    return new StepResult(step.id(), false, false, words, mends);
  }

  private List<Reading> readings(Surface surface, StepAnswer answer) {
    int index = path.indexOf(surface.id());
    ThrowsFromRest expected = ThrowsFromRest.of(path, index);
    double rest = path.evaluateBase(Moment.centred(Trims.ZERO)).travelMm()[index];
    return List.of(
        new Reading(expected.plusDriverDegrees(), rest + Math.abs(answer.values().get(0))),
        new Reading(expected.minusDriverDegrees(), rest - Math.abs(answer.values().get(1))));
  }

  private List<Explanation> explanations(Surface surface, List<Reading> readings) {
    double ruler = setup.house().rulerMm();
    return LinkageFit.explanations(
            new FitQuestion(surface.rod().linkage(), surface.chordMm(), readings, ruler))
        .stream()
        .filter(Explanation::explains)
        .toList();
  }

  /**
   * Left against right, once both have been measured: the description first made to say what was
   * read at both, then the larger one made smaller by its endpoint.
   */
  private List<Mend> even(BenchStep step) {
    StepAnswer here = answers.get(step.id());
    StepAnswer there = onTheOtherSide(step);
    if (there == null || larger(here, there).isEmpty()) {
      return List.of();
    }
    Surface surface = surface(step);
    List<Edit> facts = new ArrayList<>(asRead(surface, here));
    facts.addAll(asRead(setup.pairOf(surface).orElseThrow(), there));
    SignalPath read = facts.isEmpty() ? path : SignalPath.of(Edits.made(setup, facts));
    List<Mend> mends = new ArrayList<>();
    for (int end : larger(here, there)) {
      double ratio = Math.abs(there.values().get(end)) / Math.abs(here.values().get(end));
      Mend mend = EvenPair.smaller(read, path.indexOf(step.surface()), end == 0, ratio);
      List<Edit> edits = new ArrayList<>(facts);
      edits.addAll(mend.edits());
      mends.add(new Mend(mend.words(), edits));
    }
    return mends;
  }

  /** The ends at which one side goes further than a pilot would leave it. */
  private List<Integer> larger(StepAnswer here, StepAnswer there) {
    List<Integer> ends = new ArrayList<>();
    for (int i = 0; i < here.values().size(); i++) {
      double apart = Math.abs(here.values().get(i)) - Math.abs(there.values().get(i));
      if (apart > setup.house().pairMm() / 2) {
        ends.add(i);
      }
    }
    return ends;
  }

  /** What makes the description of a surface say what was read; nothing where nothing does. */
  private List<Edit> asRead(Surface surface, StepAnswer answer) {
    List<Reading> readings = readings(surface, answer);
    if (readings.stream().anyMatch(one -> Math.abs(one.travelMm()) >= surface.chordMm())) {
      return List.of();
    }
    return explanations(surface, readings).stream()
        .findFirst()
        .map(one -> MeasuredThrows.taken(surface.id(), one).edits())
        .orElse(List.of());
  }

  /** What the same step found at the surface that mirrors this one; null where nothing was. */
  private StepAnswer onTheOtherSide(BenchStep step) {
    return setup
        .pairOf(surface(step))
        .flatMap(other -> steps.values().stream().filter(step.sameOf(other.id())).findFirst())
        .map(one -> answers.get(one.id()))
        .orElse(null);
  }

  private StepResult clicks(BenchStep step, double measured) {
    double expected = step.figures().get(0).expected();
    if (expected < BenchSetUp.TOLD_MM) {
      return tooSmall(step, expected);
    }
    if (near(measured, expected)) {
      return StepResult.agrees(step.id(), Said.of("guide.clickAgrees"));
    }
    if (otherUnit(measured, expected)) {
      return asks(step, measured, expected);
    }
    double click = rounded(setup.transmitter().clickStepPercent() * measured / expected, 1000);
    Edit edit = Edit.of(Figure.CLICK_STEP, "", click);
    Said words = Said.of("guide.oneClickTransmitter", "click", Quantity.percent(click, 3));
    return StepResult.differs(
        step.id(), Said.of("guide.clicksDisagree"), new Mend(words, List.of(edit)));
  }

  private static StepResult tooSmall(BenchStep step, double expected) {
    return StepResult.differs(
        step.id(), Said.of("guide.tooSmall", "expected", Quantity.mm(expected)));
  }

  private StepResult turn(BenchStep step, double measured) {
    double expected = step.figures().get(0).expected();
    if (expected < BenchSetUp.TOLD_MM) {
      return tooSmall(step, expected);
    }
    if (near(measured, expected)) {
      return StepResult.agrees(step.id(), Said.of("guide.turnAgrees"));
    }
    if (otherUnit(measured, expected)) {
      return asks(step, measured, expected);
    }
    double pitch = rounded(surface(step).rod().end().pitchMm() * measured / expected, 1000);
    Edit edit = Edit.of(Figure.THREAD_PITCH, step.surface(), pitch);
    Said words = Said.of("guide.threadPitch", "pitch", Quantity.mm(pitch, 3));
    return StepResult.differs(
        step.id(), Said.of("guide.turnDisagrees"), new Mend(words, List.of(edit)));
  }

  private StepResult reflex(BenchStep step, double mm) {
    Surface surface = surface(step);
    if (Math.abs(mm) >= surface.chordMm()) {
      return asks(step, mm, surface.chordMm());
    }
    double degrees = Math.toDegrees(Math.asin(mm / surface.chordMm()));
    Said size =
        Said.of(
            "guide.reflexMeasured", "mm", Quantity.mm(mm), "degrees", Quantity.degrees(degrees, 1));
    StepAnswer there = onTheOtherSide(step);
    if (there == null) {
      return StepResult.agrees(step.id(), size);
    }
    double apart = Math.abs(there.values().get(0) - mm);
    double larger = Math.max(Math.abs(there.values().get(0)), Math.abs(mm));
    return apart > Math.max(EQUAL_MM, EQUAL_SHARE * larger)
        ? StepResult.differs(
            step.id(), Said.of("guide.otherSideApart", "size", size, "apart", Quantity.mm(apart)))
        : StepResult.agrees(step.id(), Said.of("guide.bothSidesAgree", "size", size));
  }

  private boolean near(double measured, double expected) {
    double leeway = Math.max(setup.house().rulerMm(), ONCE_LEEWAY * expected);
    return Math.abs(Math.abs(measured) - expected) <= leeway;
  }

  /** Whether a reading looks as if it were in centimetres, tenths or inches. */
  static boolean otherUnit(double measured, double expected) {
    if (expected < 1 || measured == 0) {
      return false;
    }
    double ratio = Math.abs(measured) / expected;
    for (double unit : new double[] {TEN, 1 / TEN, INCH_MM, 1 / INCH_MM}) {
      if (Math.abs(ratio / unit - 1) < UNIT_LEEWAY) {
        return true;
      }
    }
    return false;
  }

  private static StepResult asks(BenchStep step, double measured, double expected) {
    Said words =
        Said.of(
            "guide.otherUnit",
            "unit",
            Unit.MILLIMETRES,
            "plain",
            Quantity.plain(measured, 2),
            "expected",
            Quantity.mm(expected));
    return new StepResult(step.id(), false, true, words, List.of());
  }

  static double rounded(double value, double perUnit) {
    return Math.rint(value * perUnit) / perUnit;
  }
}
