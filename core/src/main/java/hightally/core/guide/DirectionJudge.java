package hightally.core.guide;

import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Edit;
import hightally.core.audit.Finding.Mend;
import hightally.core.channel.Channel;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What a surface that went the wrong way means. A surface with one command is reversed at its
 * servo. One with two is told apart by both: wrong in both, its servo; both surfaces of a pair
 * wrong in one, that command's sign; each wrong in another, their leads are exchanged.
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
      return GuideVerdict.agrees(step.id(), "The right way.");
    }
    if (commands.size() == 1 || wrong.size() == commands.size()) {
      return GuideVerdict.differs(
          step.id(),
          "Wrong in every command: reverse this servo. After that, check every direction again.",
          reversed(surface));
    }
    if (!answered(surface, commands)) {
      return GuideVerdict.differs(
          step.id(), "Noted. The other command will tell whether it is the servo or the sign.");
    }
    return mixed(step, surface, wrong.get(0));
  }

  private GuideVerdict mixed(GuideStep step, Surface surface, String wrong) {
    Surface partner = partner(surface);
    if (partner == null || !answered(partner, commands(partner))) {
      return GuideVerdict.differs(
          step.id(),
          "Wrong in " + wrong + " only. Check the other surface of the pair, then it is clear.");
    }
    List<String> theirs = wrong(partner, commands(partner));
    if (theirs.size() == 1 && theirs.contains(wrong)) {
      return GuideVerdict.differs(
          step.id(),
          "Both surfaces are wrong in "
              + wrong
              + " and right otherwise: turn that command's sign in both, or exchange their two"
              + " leads. Then check every direction again.",
          signTurned(surface, partner, wrong));
    }
    if (theirs.size() == 1) {
      return GuideVerdict.differs(
          step.id(),
          "One command acts as the other: exchange the two leads at the receiver, then check every"
              + " direction again.");
    }
    return GuideVerdict.differs(
        step.id(),
        "Wiring alone cannot do this. Look again from behind, one command at a time; something may"
            + " sit between the receiver and the servo.");
  }

  private Mend reversed(Surface surface) {
    int index = path.channelBehind(path.indexOf(surface.id()));
    Channel channel = setup.channels().get(index);
    Edit edit = new Edit(List.of("channels", "" + index, "reversed"), !channel.reversed());
    String words = channel.reversed() ? "no longer reversed" : "reversed";
    return new Mend(
        "Channel " + channel.number() + ", " + channel.name() + ": " + words, List.of(edit));
  }

  private Mend signTurned(Surface one, Surface other, String command) {
    List<Edit> edits = new ArrayList<>();
    for (Surface surface : List.of(one, other)) {
      Control control = Control.named(command);
      double share = surface.shares().of(control);
      int index = path.indexOf(surface.id());
      edits.add(new Edit(List.of("surfaces", "" + index, "shares", command), -share));
    }
    return new Mend("Turn the sign of " + command + " in both shares", edits);
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
    return answers.get("direction/" + surface.id() + "/" + command);
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
    String id = Side.mirrored(surface.id());
    return id.equals(surface.id()) ? null : setup.surface(id).orElse(null);
  }
}
