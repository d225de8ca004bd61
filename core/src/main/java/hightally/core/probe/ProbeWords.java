package hightally.core.probe;

import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.StickWords;
import hightally.core.channel.TransmitterInput;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** What is said of a look, of what is seen in it, and of a change. */
public final class ProbeWords {
  private final Setup setup;

  public ProbeWords(Setup setup) {
    this.setup = setup;
  }

  /** What is looked at, in a few words. */
  public Said title(Look look) {
    return switch (look.kind()) {
      case STICK -> Said.of("probe.stickTitle", "control", control(look.subject()));
      case INPUT -> Said.of("probe.inputTitle", "name", input(look).name());
      case PHASE -> Said.of("probe.phaseTitle", "phase", phase(look.subject()));
      case THROTTLE -> Said.of("probe.throttleTitle");
      case NUDGE ->
          Said.of(
              "probe.nudgeTitle", "number", look.subject(), "name", channel(look.subject()).name());
      case UNPLUG -> Said.of("probe.unplugTitle", "number", look.unplugged());
      case MOTOR -> Said.of("probe.motorTitle", "motor", motor(look.subject()));
    };
  }

  /** What to do and where to look from. */
  public Said instruction(Look look) {
    boolean other = !look.phase().equals(setup.basePhase().id());
    Said hands =
        switch (look.kind()) {
          case STICK, UNPLUG -> hands(look);
          case INPUT -> input(look, input(look));
          case PHASE -> Said.of("probe.phase", "phase", phase(look.subject()));
          case THROTTLE -> Said.of("probe.throttle");
          case NUDGE ->
              Said.of(
                  "probe.nudge",
                  "number",
                  look.subject(),
                  "size",
                  Quantity.microseconds(look.microseconds()));
          case MOTOR -> Said.of("probe.motor");
        };
    return other ? Said.of("probe.inPhase", "phase", phase(look.phase()), "hands", hands) : hands;
  }

  private Said hands(Look look) {
    boolean stick =
        List.of(Control.values()).stream().anyMatch(one -> one.word().equals(look.subject()));
    Said hands = stick ? stick(Control.named(look.subject())) : input(look, input(look));
    return look.kind() == LookKind.UNPLUG
        ? Said.of("probe.unplug", "number", look.unplugged(), "hands", hands)
        : hands;
  }

  private Said stick(Control control) {
    int mode = setup.transmitter().stickMode();
    return Said.of(
        "probe.stick",
        "to",
        StickWords.to(mode, control, 1),
        "back",
        StickWords.to(mode, control, -1));
  }

  private static Said input(Look look, TransmitterInput input) {
    int position = look.position() + 1;
    return input.positions() == 0
        ? Said.of("probe.move", "name", input.name())
        : Said.of("probe.switch", "name", input.name(), "position", position);
  }

  /** What can hurt in a look; nothing where nothing can. */
  public Said caution(Look look) {
    boolean motor = !setup.airframe().motors().isEmpty();
    return switch (look.kind()) {
      case MOTOR -> Said.of("guide.motorCaution");
      case THROTTLE, UNPLUG -> motor ? Said.of("guide.motorStartsCaution") : Said.NOTHING;
      default -> Said.NOTHING;
    };
  }

  /** Whether a look is at something: a motor only at its own. */
  boolean about(Look look, Look.Drawn drawn) {
    boolean motor = setup.surface(drawn.surface()).isEmpty();
    return motor == (look.kind() == LookKind.MOTOR)
        && (!motor || look.subject().equals(drawn.surface()));
  }

  /** How one surface went, as an answer. */
  Said went(String id, int way) {
    return setup
        .surface(id)
        .map(one -> Said.of("guide.went", "way", one.goes(way)))
        .orElseGet(() -> Said.of(way > 0 ? "guide.asPropellerNeeds" : "guide.otherWayRound"));
  }

  /** How one surface must go in a look. */
  public Said line(Look look, Look.Drawn drawn) {
    Said name = Said.text(name(drawn.surface()));
    if (look.kind() == LookKind.MOTOR && look.subject().equals(drawn.surface())) {
      return Said.of("probe.turns", "motor", name);
    }
    return !drawn.told()
        ? Said.of("probe.small", "surface", name)
        : drawn.way() == 0
            ? Said.of("probe.stays", "surface", name)
            : Said.of(
                "probe.goes",
                "surface",
                name,
                "way",
                setup.surface(drawn.surface()).orElseThrow().goes(drawn.way()));
  }

  /** What was seen in a look: as drawn, or what went otherwise and how. */
  public Said saw(Look look, LookAnswer answer) {
    List<Said> otherwise = new ArrayList<>();
    for (LookAnswer.Sight sight : answer.seen()) {
      setup
          .surface(sight.surface())
          .filter(one -> !look.asDrawn(sight))
          .map(
              one ->
                  sight.way() == 0
                      ? Said.of("probe.sawStill", "surface", one.name())
                      : Said.of("probe.goes", "surface", one.name(), "way", one.goes(sight.way())))
          .ifPresent(otherwise::add);
    }
    return otherwise.isEmpty()
        ? Said.of("probe.sawAsDrawn", "title", title(look))
        : Said.of("probe.sawElse", "title", title(look), "seen", Said.list(otherwise));
  }

  /** What is to be done at the transmitter or the model. */
  public Said change(RigDifference one) {
    return switch (one.part()) {
      case CHANNEL_SIGN ->
          Said.of(
              "probe.reverseChannel",
              "number",
              one.subject(),
              "name",
              channel(one.subject()).name());
      case SHARE_SIGN ->
          Said.of("probe.reverseShare", "surface", name(one.subject()), "of", takenOf(one.other()));
      case LEADS ->
          Said.of("probe.exchangeLeads", "one", servo(one.subject()), "other", servo(one.other()));
      case SERVO_SENSE -> Said.of("probe.turnServo", "servo", servo(one.subject()));
      case HORN_SIDE -> Said.of("probe.turnHorn", "surface", name(one.subject()));
      case SERVO_STILL -> Said.of("probe.servoStill", "servo", servo(one.subject()));
      case SURFACE_STILL -> Said.of("probe.surfaceStill", "surface", name(one.subject()));
      case MOTOR_SENSE -> Said.of("guide.swapTwoLeads");
    };
  }

  /** What the description says otherwise from then on. */
  public Said note(RigDifference one) {
    return switch (one.part()) {
      case CHANNEL_SIGN ->
          Said.of(
              "probe.noteChannel",
              "number",
              one.subject(),
              "reversed",
              !channel(one.subject()).reversed());
      case SHARE_SIGN ->
          Said.of("probe.noteShare", "surface", name(one.subject()), "of", takenOf(one.other()));
      case SERVO_SENSE -> Said.of("probe.noteServo", "servo", servo(one.subject()));
      case HORN_SIDE -> Said.of("guide.hornOtherWay", "surface", name(one.subject()));
      default -> change(one);
    };
  }

  /** That two answers do not go together. */
  public Said contrary(Look one, Look other) {
    return Said.of("probe.contrary", "one", title(one), "other", title(other));
  }

  private Said takenOf(String subject) {
    int input = setup.transmitter().inputIndex(subject);
    return input < 0 ? control(subject) : Said.text(setup.transmitter().inputs().get(input).name());
  }

  private static Said control(String word) {
    return Said.of("control", "control", Control.named(word));
  }

  private TransmitterInput input(Look look) {
    int index = setup.transmitter().inputIndex(look.subject());
    return setup.transmitter().inputs().get(index);
  }

  private String phase(String id) {
    return setup.phase(id).orElseThrow().name();
  }

  private Channel channel(String number) {
    return setup.channel(Integer.parseInt(number)).orElseThrow();
  }

  private String servo(String id) {
    return setup.servo(id).orElseThrow().name();
  }

  private String motor(String id) {
    return setup.airframe().motors().stream()
        .filter(one -> one.id().equals(id))
        .findFirst()
        .orElseThrow()
        .name();
  }

  private String name(String id) {
    return setup.surface(id).map(Surface::name).orElseGet(() -> motor(id));
  }
}
