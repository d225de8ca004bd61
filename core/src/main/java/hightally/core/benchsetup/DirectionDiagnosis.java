package hightally.core.benchsetup;

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
 * What a surface that went the wrong way means.
 *
 * <p>What the stick should do is fixed by the surface's role. So there are three: what is meant,
 * what the model did, and what the description says; all must become the same. Reversing a channel
 * or a share turns model and description; noting a servo the other way turns the description alone;
 * a lead or a rod changed by hand turns the model alone.
 *
 * <p>Where the description is off in every command, the servo is noted the wrong way round. Where
 * it is off in some only, leads are exchanged, which both surfaces of a pair tell together. What is
 * then still wrong in every command is reversed in the transmitter, what is wrong in one only has
 * the wrong sign in its share.
 */
final class DirectionDiagnosis {
  private final Setup setup;
  private final SignalPath path;
  private final Map<String, StepAnswer> answers;

  private DirectionDiagnosis(Setup setup, SignalPath path, Map<String, StepAnswer> answers) {
    this.setup = setup;
    this.path = path;
    this.answers = answers;
  }

  static StepResult of(
      Setup setup, SignalPath path, Map<String, StepAnswer> answers, BenchStep step) {
    return new DirectionDiagnosis(setup, path, answers).verdict(step);
  }

  private StepResult verdict(BenchStep step) {
    Surface surface = setup.surface(step.surface()).orElseThrow();
    if (surface.rod().driver() == DriverKind.SURFACE) {
      return slave(step, surface);
    }
    List<String> commands = commands(surface);
    List<String> wrong = wrong(surface, commands);
    List<String> off = off(surface, commands);
    if (wrong.isEmpty() && off.isEmpty()) {
      return StepResult.agrees(step.id(), Said.of("guide.rightWay"));
    }
    if (!answered(surface, commands)) {
      return StepResult.differs(step.id(), Said.of("guide.otherCommandTells"));
    }
    if (!off.isEmpty() && off.size() < commands.size()) {
      return mixed(step, surface, off.get(0));
    }
    return wrong.size() == commands.size() || wrong.isEmpty()
        ? wholly(step, surface, !wrong.isEmpty())
        : signs(step, surface, wrong, !off.isEmpty());
  }

  /**
   * Wrong, or described wrongly, in every command: the servo, unless others on its channel are not.
   *
   * @param turned whether the model went the wrong way
   */
  private StepResult wholly(BenchStep step, Surface surface, boolean turned) {
    List<Surface> others = sharing(surface);
    if (!others.stream().allMatch(one -> answered(one, commands(one)))) {
      return StepResult.differs(step.id(), Said.of("guide.sharedFirst", "names", names(others)));
    }
    if (others.stream().allMatch(one -> wrongInAll(one) == turned && wholeOff(one))) {
      Said words = Said.of(turned ? "guide.reverseServo" : "guide.describedTurned");
      return StepResult.differs(step.id(), words, reversed(surface, turned));
    }
    return alone(step, surface, others, turned);
  }

  /** One of several on a channel: at its own rod or horn, never by turning the others round. */
  private StepResult alone(BenchStep step, Surface surface, List<Surface> others, boolean turned) {
    boolean described = off(surface, commands(surface)).isEmpty();
    Edit raises =
        Edit.flag(Figure.PUSH_RAISES, surface.id(), !surface.rod().linkage().pushRaises());
    Mend noted =
        new Mend(Said.of("guide.hornOtherWay", "surface", surface.name()), List.of(raises));
    if (!turned) {
      return StepResult.differs(step.id(), Said.of("guide.describedTurned"), noted);
    }
    Said words = Said.of("guide.wrongShared", "names", names(others));
    return described
        ? StepResult.differs(step.id(), words, noted)
        : StepResult.differs(step.id(), words);
  }

  /** One that another surface drives: at its own rod or horn, once what drives it is right. */
  private StepResult slave(BenchStep step, Surface surface) {
    Surface master = setup.surface(surface.rod().driverId()).orElseThrow();
    List<String> asked = List.of(step.command());
    List<String> wrong = wrong(surface, asked);
    List<String> off = off(surface, asked);
    if (wrong.isEmpty() && off.isEmpty()) {
      return StepResult.agrees(step.id(), Said.of("guide.rightWay"));
    }
    boolean sound =
        answered(master, asked) && wrong(master, asked).isEmpty() && off(master, asked).isEmpty();
    return sound
        ? alone(step, surface, List.of(master), !wrong.isEmpty())
        : StepResult.differs(step.id(), Said.of("guide.driverFirst", "surface", master.name()));
  }

  /** Wrong in some commands, and described so: the sign of a share. */
  private StepResult signs(BenchStep step, Surface surface, List<String> wrong, boolean off) {
    int channel = path.channelBehind(path.indexOf(surface.id()));
    Surface carried = setup.surface(setup.channels().get(channel).carries()).orElseThrow();
    List<Edit> edits = new ArrayList<>();
    for (String command : wrong) {
      for (Control control : Control.values()) {
        if (control.word().equals(command)) {
          Figure figure =
              switch (control) {
                case ROLL -> Figure.SHARE_ROLL;
                case PITCH -> Figure.SHARE_PITCH;
                case YAW -> Figure.SHARE_YAW;
              };
          edits.add(Edit.of(figure, carried.id(), -carried.shares().of(control)));
        }
      }
    }
    if (edits.isEmpty() || !sharing(surface).isEmpty()) {
      return StepResult.differs(step.id(), Said.of("guide.notWiring"));
    }
    if (off) {
      turnedRound(surface).forEach(edits::add);
    }
    Said words = Said.of("guide.shareSign", "wrong", wrong);
    return StepResult.differs(
        step.id(),
        words,
        new Mend(Said.of("guide.turnTheShare", "surface", carried.name()), edits));
  }

  private static String names(List<Surface> surfaces) {
    return String.join(", ", surfaces.stream().map(Surface::name).toList());
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
    return wrong(surface, commands).size() == commands.size();
  }

  /** Whether its description is right in every command, or wrong in every one. */
  private boolean wholeOff(Surface surface) {
    List<String> commands = commands(surface);
    int off = off(surface, commands).size();
    return off == 0 || off == commands.size();
  }

  private StepResult mixed(BenchStep step, Surface surface, String wrong) {
    Surface partner = partner(surface);
    if (partner == null || !answered(partner, commands(partner))) {
      return StepResult.differs(step.id(), Said.of("guide.wrongOfPair", "wrong", wrong));
    }
    List<String> theirs = off(partner, commands(partner));
    if (theirs.size() == 1 && theirs.contains(wrong)) {
      return StepResult.differs(step.id(), Said.of("guide.leadsSwapped", "wrong", wrong));
    }
    if (theirs.size() == 1) {
      return StepResult.differs(step.id(), Said.of("guide.exchangeLeads"));
    }
    return StepResult.differs(step.id(), Said.of("guide.notWiring"));
  }

  /**
   * The channel reversed if the model went the wrong way, and every servo on it whose description
   * is off turned round in it: its arm rests where it rested.
   */
  private Mend reversed(Surface surface, boolean turned) {
    int index = path.channelBehind(path.indexOf(surface.id()));
    Channel channel = setup.channels().get(index);
    List<Edit> edits = new ArrayList<>();
    if (turned) {
      String number = Integer.toString(channel.number());
      edits.add(Edit.flag(Figure.REVERSED, number, !channel.reversed()));
    }
    List<Surface> all = new ArrayList<>(sharing(surface));
    all.add(surface);
    List<Edit> noted =
        all.stream()
            .filter(one -> !off(one, commands(one)).isEmpty())
            .flatMap(one -> turnedRound(one).stream())
            .distinct()
            .toList();
    edits.addAll(noted);
    return new Mend(
        turned
            ? Said.of(
                "guide.channelTurned",
                "number",
                channel.number(),
                "channel",
                channel.name(),
                "reversed",
                !channel.reversed(),
                "noted",
                !noted.isEmpty())
            : Said.of("guide.servoNotedTurning", "surface", surface.name()),
        edits);
  }

  /** The servo of a surface noted as turning the other way, its arm resting where it rested. */
  private List<Edit> turnedRound(Surface surface) {
    Servo servo = setup.servo(surface.rod().driverId()).orElseThrow();
    List<Edit> edits = new ArrayList<>();
    edits.add(Edit.flag(Figure.PULLS_ON_INCREASE, servo.id(), !servo.pullsOnIncrease()));
    double turned = path.restTurned(servo.id());
    if (turned != 0) {
      edits.add(Edit.of(Figure.ARM_OFFSET, servo.id(), servo.armOffsetDegrees() + 2 * turned));
    }
    return edits;
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

  private StepAnswer answer(Surface surface, String command) {
    return answers.get(StepKind.DIRECTION.step(surface.id(), command));
  }

  private boolean answered(Surface surface, List<String> commands) {
    return commands.stream().allMatch(command -> answer(surface, command) != null);
  }

  private List<String> wrong(Surface surface, List<String> commands) {
    return commands.stream()
        .filter(command -> answer(surface, command) != null)
        .filter(command -> answer(surface, command).choice().equals(BenchSetUp.WRONG))
        .toList();
  }

  private Surface partner(Surface surface) {
    return setup.pairOf(surface).orElse(null);
  }

  /** The commands in which the description does not say what the model did. */
  private List<String> off(Surface surface, List<String> commands) {
    List<String> wrong = wrong(surface, commands);
    return commands.stream()
        .filter(command -> answer(surface, command) != null)
        .filter(command -> mirrored(surface, command) != wrong.contains(command))
        .toList();
  }

  /** Whether the description moves a surface against its role. */
  private boolean mirrored(Surface surface, String command) {
    for (Control control : Control.values()) {
      if (control.word().equals(command)) {
        double meant = BenchSetUp.meant(path, surface, control);
        return meant * BenchSetUp.described(path, surface, control) < 0;
      }
    }
    return false;
  }
}
