package hightally.core.audit;

import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Severity;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.linkage.ArmSeating;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.HoleSearch;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.RigChoice;
import hightally.core.linkage.ThrowWish;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.setup.ThrowGoal;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/**
 * From throws wanted at full stick to holes, seating and endpoints of a setup's surface, on the
 * side of the rod it is on now.
 */
public final class ThrowSearch {
  /** Holes of arms and horns are mostly two millimetres apart. */
  private static final double[] HOLES_AROUND_MM = {-4, -2, 0, 2, 4};

  /** Servo arms have no hole further in than this, mm. */
  private static final double SMALLEST_HOLE_MM = 4;

  private static final int ANSWERS = 5;

  /** So many of the cheapest are worked out through the setup as it stands. */
  private static final int TRIED = 40;

  private ThrowSearch() {}

  /**
   * What is asked.
   *
   * @param surface id of a surface that a servo drives
   * @param plusMm wanted up (or right) at full stick of its main control
   * @param minusMm wanted down (or left), as a positive size
   * @param armHolesMm holes on the arm
   * @param hornHolesMm holes on the horn
   * @param seating teeth and arms of the servo
   * @param inDegrees whether the wanted throws are degrees of the surface instead of mm
   */
  public record ThrowQuestion(
      Setup setup,
      @Text(max = 40) String surface,
      @Within(min = 0.5, max = 300, unit = Unit.MILLIMETRES) double plusMm,
      @Within(min = 0.5, max = 300, unit = Unit.MILLIMETRES) double minusMm,
      List<Double> armHolesMm,
      List<Double> hornHolesMm,
      ArmSeating seating,
      boolean inDegrees) {

    /** A wanted throw in mm at the trailing edge. */
    private double mm(double wanted) {
      double chord = setup.surface(surface).orElseThrow().chordMm();
      return inDegrees ? chord * Math.sin(Math.toRadians(wanted)) : wanted;
    }
  }

  /**
   * One way to get there.
   *
   * @param choice what it costs
   * @param mend the values to set
   * @param plusMm what the bench then measures up (or right) from rest, mm
   * @param minusMm what it measures down (or left), mm
   * @param inTheWay what keeps a wish from being met to 0.05 mm; nothing where both are
   */
  public record ThrowAnswer(
      RigChoice choice, Mend mend, double plusMm, double minusMm, Said inTheWay) {}

  /**
   * What a question begins with.
   *
   * @param plusMm the wish noted before, mm; null for none
   * @param minusMm likewise
   * @param armHolesMm those that are there; where none is described, some around the one in use
   * @param hornHolesMm likewise
   */
  public record ThrowStart(
      @Absentable Double plusMm,
      @Absentable Double minusMm,
      List<Double> armHolesMm,
      List<Double> hornHolesMm,
      ArmSeating seating) {}

  /** What is known of a surface's wishes and holes. */
  public static ThrowStart start(Setup setup, String id) {
    Rig rig = new Rig(SignalPath.of(setup), setup.house());
    int index = rig.path().indexOf(id);
    Surface surface = rig.surface(index);
    Servo servo = rig.servo(index);
    Optional<ThrowGoal> goal =
        setup.notebook().goals().stream().filter(one -> one.surface().equals(id)).findFirst();
    return new ThrowStart(
        goal.map(ThrowGoal::plusMm).orElse(null),
        goal.map(ThrowGoal::minusMm).orElse(null),
        holes(servo.armHolesMm(), surface.rod().linkage().armRadiusMm()),
        holes(surface.hornHolesMm(), surface.rod().linkage().hornRadiusMm()),
        servo.seating());
  }

  private static List<Double> holes(List<Double> known, double radiusMm) {
    return known.isEmpty()
        ? DoubleStream.of(HOLES_AROUND_MM)
            .map(by -> Math.rint((radiusMm + by) * 10) / 10)
            .filter(hole -> hole >= SMALLEST_HOLE_MM)
            .boxed()
            .toList()
        : known;
  }

  /** The best answers, cheapest first; none if no pair of holes reaches that far. */
  public static List<ThrowAnswer> answers(ThrowQuestion question) {
    Rig rig = new Rig(SignalPath.of(question.setup()), question.setup().house());
    int index = rig.path().indexOf(question.surface());
    if (!rig.drivenByServo(index)) {
      throw InvalidInputException.of(
          "surface", question.surface(), Said.of("demand.drivenByServo"));
    }
    boolean opposite = rig.surface(index).rod().linkage().opposite();
    List<ThrowAnswer> answers =
        HoleSearch.best(wish(question, rig, index), Integer.MAX_VALUE).stream()
            .filter(choice -> choice.linkage().opposite() == opposite)
            .limit(TRIED)
            .map(choice -> answer(question, rig, index, choice))
            .toList();
    List<ThrowAnswer> met = answers.stream().filter(one -> one.inTheWay().isEmpty()).toList();
    Set<String> today = grounding(question.setup());
    // What the rules would ground is no answer, as long as there is another.
    Map<Boolean, List<ThrowAnswer>> grounds =
        (met.isEmpty() ? answers : met)
            .stream()
                .collect(
                    Collectors.partitioningBy(
                        one ->
                            !today.containsAll(
                                grounding(Edits.made(question.setup(), one.mend().edits())))));
    return grounds.get(grounds.get(false).isEmpty()).stream().limit(ANSWERS).toList();
  }

  /** What grounds a setup by the rules, by rule and place. */
  private static Set<String> grounding(Setup setup) {
    return Audit.of(SignalPath.of(setup)).stream()
        .filter(one -> one.severity() == Severity.GROUNDS)
        .map(one -> one.rule() + "/" + one.surface())
        .collect(Collectors.toSet());
  }

  /** What the setup as it stands makes of a choice of holes. */
  private static ThrowAnswer answer(ThrowQuestion asked, Rig rig, int index, RigChoice choice) {
    double plus = asked.mm(asked.plusMm());
    double minus = asked.mm(asked.minusMm());
    String surface = rig.surface(index).id();
    List<Edit> edits = new ArrayList<>();
    edits.add(Edit.of(Figure.ARM_RADIUS, surface, choice.linkage().armRadiusMm()));
    edits.add(Edit.of(Figure.HORN_RADIUS, surface, choice.linkage().hornRadiusMm()));
    edits.add(Edit.of(Figure.ARM_LEAN, surface, choice.linkage().armLeanDegrees()));
    Setup built = Edits.made(rig.setup(), edits);
    ThrowEnds.Found ends = ThrowEnds.of(built, index, plus, minus);
    edits.add(rig.channelEdit(index, Figure.ENDPOINT_HIGH, ends.high()));
    edits.add(rig.channelEdit(index, Figure.ENDPOINT_LOW, ends.low()));
    edits.add(Edit.of(Figure.WISHED_PLUS, surface, rounded(plus)));
    edits.add(Edit.of(Figure.WISHED_MINUS, surface, rounded(minus)));
    boolean raises =
        rig.servo(index).slope() * FourBar.of(rig.surface(index).rod().linkage()).gain(0) > 0;
    RigChoice exact =
        choice.withEndpoints(raises ? ends.high() : ends.low(), raises ? ends.low() : ends.high());
    Mend mend = new Mend(Said.of("audit.holesMend"), edits);
    return new ThrowAnswer(exact, mend, ends.plusMm(), ends.minusMm(), ends.inTheWay());
  }

  private static ThrowWish wish(ThrowQuestion question, Rig rig, int index) {
    Surface surface = rig.surface(index);
    Linkage linkage = surface.rod().linkage();
    Servo servo = rig.servo(index);
    return new ThrowWish(
        question.mm(question.plusMm()),
        question.mm(question.minusMm()),
        surface.chordMm(),
        question.armHolesMm(),
        question.hornHolesMm(),
        linkage.rodLengthMm(),
        linkage.hornLeanDegrees(),
        question.seating(),
        -linkage.armLeanDegrees(),
        servo.degreesPerMicrosecond(),
        servo.maxAngleDegrees(),
        servo.torqueNewtonCentimetres(),
        rig.setup().transmitter().microsecondsPer100() * fullCommand(rig, index),
        rig.setup().transmitter().endpointLimitPercent());
  }

  /** Command at full stick of the main control, as a fraction of nominal full travel. */
  private static double fullCommand(Rig rig, int index) {
    Rig most = new Rig(SignalPath.of(ThrowEnds.atLargestRate(rig.setup())), rig.house());
    double rest = most.command(index, 0);
    double command =
        Math.max(Math.abs(most.command(index, 1) - rest), Math.abs(most.command(index, -1) - rest))
            / 100;
    if (command == 0) {
      throw InvalidInputException.of(
          "surface", rig.surface(index).id(), Said.of("demand.movedByStick"));
    }
    return command;
  }

  private static double rounded(double mm) {
    return Math.rint(mm * 100) / 100;
  }
}
