package hightally.core.guide;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What a surface that went the wrong way means. A surface with one command is reversed at its
 * servo. One with two is told apart by both: wrong in both, its servo; both surfaces of a pair
 * wrong in one, or each in another, their leads are exchanged.
 *
 * <p>What the stick should do stays what it is: where the model did otherwise, its description was
 * wrong as well. So a servo found to turn the other way is reversed in the transmitter and turned
 * round in the description, in one change; and leads found exchanged are put right by hand, which
 * makes the description true.
 */
final class DirectionJudge {
  private final Setup setup;
  private final SignalPath path;
  private final Map<String, GuideAnswer> answers;

  private DirectionJudge(Setup setup, SignalPath path, Map<String, GuideAnswer> answers) {
    this.setup = setup;
    this.path = path;
    this.answers = answers;
  }

  static GuideVerdict of(
      Setup setup, SignalPath path, Map<String, GuideAnswer> answers, GuideStep step) {
    return new DirectionJudge(setup, path, answers).verdict(step);
  }

  private GuideVerdict verdict(GuideStep step) {
    Surface surface = setup.surface(step.surface()).orElseThrow();
    List<String> commands = commands(surface);
    List<String> wrong = wrong(surface, commands);
    if (wrong.isEmpty()) {
      return GuideVerdict.agrees(step.id(), Said.of("guide.rightWay"));
    }
    if (commands.size() == 1 || wrong.size() == commands.size()) {
      return wholly(step, surface);
    }
    if (!answered(surface, commands)) {
      return GuideVerdict.differs(step.id(), Said.of("guide.notedOtherCommandTellWhether"));
    }
    return mixed(step, surface, wrong.get(0));
  }

  /** Wrong in every command: the servo, unless others on its channel go the right way. */
  private GuideVerdict wholly(GuideStep step, Surface surface) {
    List<Surface> others = sharing(surface);
    if (others.stream().allMatch(one -> wrongInAll(one))) {
      return GuideVerdict.differs(
          step.id(), Said.of("guide.wrongEveryCommandReverseServo"), reversed(surface));
    }
    String names = String.join(", ", others.stream().map(Surface::name).toList());
    return others.stream().allMatch(one -> answered(one, commands(one)))
        ? GuideVerdict.differs(
            step.id(), Said.of("guide.wrongOneChannelSoReversing", "names", names))
        : GuideVerdict.differs(
            step.id(), Said.of("guide.notedSharesChannelCheckFirst", "names", names));
  }

  /** The other surfaces with a servo of their own, or the same servo, on a surface's channel. */
  private List<Surface> sharing(Surface surface) {
    int channel = path.channelBehind(path.indexOf(surface.id()));
    return setup.surfaces().stream()
        .filter(one -> one.rod().driver() == DriverKind.SERVO && !one.id().equals(surface.id()))
        .filter(one -> path.channelBehind(path.indexOf(one.id())) == channel)
        .toList();
  }

  private boolean wrongInAll(Surface surface) {
    List<String> commands = commands(surface);
    return answered(surface, commands) && wrong(surface, commands).size() == commands.size();
  }

  private GuideVerdict mixed(GuideStep step, Surface surface, String wrong) {
    Surface partner = partner(surface);
    if (partner == null || !answered(partner, commands(partner))) {
      return GuideVerdict.differs(
          step.id(), Said.of("guide.wrongOnlyCheckOtherSurface", "wrong", wrong));
    }
    List<String> theirs = wrong(partner, commands(partner));
    if (theirs.size() == 1 && theirs.contains(wrong)) {
      return GuideVerdict.differs(
          step.id(), Said.of("guide.bothSurfacesWrongRightOtherwise", "wrong", wrong));
    }
    if (theirs.size() == 1) {
      return GuideVerdict.differs(step.id(), Said.of("guide.oneCommandActsOtherExchange"));
    }
    return GuideVerdict.differs(step.id(), Said.of("guide.wiringAloneCannotDoLook"));
  }

  /**
   * The channel reversed, and every servo on it turned round in the description: its arm rests
   * where it rested, and moves for a stick as it moved before.
   */
  private Mend reversed(Surface surface) {
    int index = path.channelBehind(path.indexOf(surface.id()));
    Channel channel = setup.channels().get(index);
    List<Edit> edits = new ArrayList<>();
    String number = Integer.toString(channel.number());
    edits.add(Edit.flag(Figure.REVERSED, number, !channel.reversed()));
    for (Servo servo : setup.servos()) {
      if (servo.channel() == channel.number()) {
        edits.add(Edit.flag(Figure.PULLS_ON_INCREASE, servo.id(), !servo.pullsOnIncrease()));
        double turned = restTurned(servo, path.output(index).pulse(0));
        if (turned != 0) {
          double offset = servo.armOffsetDegrees() + 2 * turned;
          edits.add(Edit.of(Figure.ARM_OFFSET, servo.id(), offset));
        }
      }
    }
    return new Mend(
        Said.of(
            "guide.channelTransmitterServoNotedTurning",
            "number",
            channel.number(),
            "channel",
            channel.name(),
            "reversed",
            !channel.reversed()),
        edits);
  }

  /** How far the centred pulse turns a servo's arm from where it was seated, degrees. */
  private double restTurned(Servo servo, double pulse) {
    return setup.surfaces().stream()
        .filter(one -> one.rod().driverId().equals(servo.id()))
        .findFirst()
        .map(one -> path.servoBehind(path.indexOf(one.id())))
        .map(wired -> (pulse - wired.centrePulseMicroseconds()) * wired.slope())
        .orElse(0.0);
  }

  private List<String> commands(Surface surface) {
    int channel = path.channelBehind(path.indexOf(surface.id()));
    Surface carried = setup.surface(setup.channels().get(channel).carries()).orElseThrow();
    List<String> commands = new ArrayList<>();
    for (Control control : Control.values()) {
      if (carried.shares().of(control) != 0) {
        commands.add(control.word());
      }
    }
    return commands.isEmpty()
        ? carried.shares().levers().stream().map(lever -> lever.input()).toList()
        : commands;
  }

  private GuideAnswer answer(Surface surface, String command) {
    return answers.get(StepKind.DIRECTION.step(surface.id(), command));
  }

  private boolean answered(Surface surface, List<String> commands) {
    return commands.stream().allMatch(command -> answer(surface, command) != null);
  }

  private List<String> wrong(Surface surface, List<String> commands) {
    return commands.stream()
        .filter(command -> answer(surface, command) != null)
        .filter(command -> answer(surface, command).choice().equals(Guide.WRONG))
        .toList();
  }

  private Surface partner(Surface surface) {
    return setup.pairOf(surface).orElse(null);
  }
}
