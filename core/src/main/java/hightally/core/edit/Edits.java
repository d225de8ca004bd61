package hightally.core.edit;

import hightally.core.airframe.Rod;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.Wiring;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.RodEnd;
import hightally.core.program.FailsafeSetting;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Notebook;
import hightally.core.setup.Setup;
import hightally.core.setup.ThrowGoal;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/** Sets figures of a setup, one after the other. */
public final class Edits {
  private Edits() {}

  /**
   * The setup with all of them made, checked.
   *
   * @throws InvalidInputException if something they name is not there, or a value is out of range
   */
  public static Setup made(Setup setup, List<Edit> edits) {
    Setup now = Validation.check(setup);
    for (Edit edit : edits) {
      now = made(now, Validation.check(edit));
    }
    return Validation.check(now);
  }

  private static Setup made(Setup setup, Edit edit) {
    double value = edit.value();
    return switch (edit.figure()) {
      case ENDPOINT_HIGH -> channel(setup, edit, one -> one.withHigh(value));
      case ENDPOINT_LOW -> channel(setup, edit, one -> one.withLow(value));
      case SUB_TRIM ->
          channel(
              setup,
              edit,
              one -> one.with(value, one.endpointLowPercent(), one.endpointHighPercent()));
      case REVERSED -> channel(setup, edit, one -> one.turning(value != 0));
      case ROD_ADDED -> rod(setup, edit, one -> one.changedBy(value - one.adjustedMm()));
      case ARM_RADIUS -> linkage(setup, edit, one -> one.withArm(value));
      case HORN_RADIUS -> linkage(setup, edit, one -> one.withHorn(value));
      case ARM_LEAN -> linkage(setup, edit, one -> one.leaning(value, one.hornLeanDegrees()));
      case HORN_LEAN -> linkage(setup, edit, one -> one.leaning(one.armLeanDegrees(), value));
      case THREAD_PITCH -> rod(setup, edit, one -> one.onEnd(new RodEnd(one.end().kind(), value)));
      case PULLS_ON_INCREASE ->
          servo(setup, edit, one -> one.seated(value != 0, one.armOffsetDegrees()));
      case ARM_OFFSET -> servo(setup, edit, one -> one.seated(one.pullsOnIncrease(), value));
      case CLICK_STEP ->
          setup.change().transmitter(setup.transmitter().withClickStep(value)).done();
      case SOCKET_CHANNEL -> socket(setup, edit);
      case WISHED_PLUS ->
          wished(setup, edit, goal -> new ThrowGoal(goal.surface(), value, goal.minusMm()));
      case WISHED_MINUS ->
          wished(setup, edit, goal -> new ThrowGoal(goal.surface(), goal.plusMm(), value));
      case SHARE_ROLL -> shares(setup, edit, Control.ROLL);
      case SHARE_PITCH -> shares(setup, edit, Control.PITCH);
      case SHARE_YAW -> shares(setup, edit, Control.YAW);
      case PUSH_RAISES -> linkage(setup, edit, one -> one.raising(value != 0));
      case CUT -> setup.change().power(setup.power().withCut(value)).done();
      case STOP_PULSE -> setup.change().power(setup.power().stoppingAt(value)).done();
      case FAILSAFE -> failsafe(setup, edit);
      case PHASE_FADE ->
          setup
              .change()
              .phases(
                  changed(
                      setup.phases(),
                      edit,
                      one -> one.id().equals(edit.subject()),
                      one -> one.fading(value)))
              .done();
      case MIX_FADE ->
          setup
              .change()
              .mixes(
                  changed(
                      setup.mixes(),
                      edit,
                      one -> one.id().equals(edit.subject()),
                      one -> one.fading(value)))
              .done();
    };
  }

  private static Setup channel(Setup setup, Edit edit, UnaryOperator<Channel> change) {
    return setup
        .change()
        .channels(changed(setup.channels(), edit, one -> numbered(one.number(), edit), change))
        .done();
  }

  private static Setup rod(Setup setup, Edit edit, UnaryOperator<Rod> change) {
    return setup.withSurfaces(
        changed(
            setup.surfaces(),
            edit,
            one -> one.id().equals(edit.subject()),
            (Surface one) -> one.withRod(change.apply(one.rod()))));
  }

  private static Setup shares(Setup setup, Edit edit, Control control) {
    return setup.withSurfaces(
        changed(
            setup.surfaces(),
            edit,
            one -> one.id().equals(edit.subject()),
            (Surface one) -> one.withShares(one.shares().with(control, edit.value()))));
  }

  private static Setup linkage(Setup setup, Edit edit, UnaryOperator<Linkage> change) {
    return rod(setup, edit, one -> one.with(change.apply(one.linkage())));
  }

  private static Setup servo(Setup setup, Edit edit, UnaryOperator<Servo> change) {
    return setup
        .change()
        .servos(changed(setup.servos(), edit, one -> one.id().equals(edit.subject()), change))
        .done();
  }

  private static Setup socket(Setup setup, Edit edit) {
    Wiring wiring = setup.wiring();
    Receiver receiver = wiring.receiver();
    List<Socket> sockets =
        changed(
            receiver.sockets(),
            edit,
            one -> numbered(one.number(), edit),
            one -> new Socket(one.number(), (int) edit.value(), one.output()));
    Receiver retuned = receiver.change().sockets(sockets).done();
    return setup.change().wiring(new Wiring(retuned, wiring.leads(), wiring.between())).done();
  }

  /** Set where there is a setting, added where there is none. */
  private static Setup failsafe(Setup setup, Edit edit) {
    Channel channel =
        setup.channels().stream()
            .filter(one -> numbered(one.number(), edit))
            .findFirst()
            .orElseThrow(
                () ->
                    InvalidInputException.of(
                        "subject", edit.subject(), Said.of("demand.whatFigureHas")));
    List<FailsafeSetting> settings = new ArrayList<>(setup.power().failsafe());
    settings.removeIf(one -> one.channel() == channel.number());
    settings.add(new FailsafeSetting(channel.number(), false, edit.value()));
    return setup.change().power(setup.power().withFailsafe(settings)).done();
  }

  private static Setup wished(Setup setup, Edit edit, UnaryOperator<ThrowGoal> change) {
    if (setup.surface(edit.subject()).isEmpty()) {
      throw InvalidInputException.of("subject", edit.subject(), Said.of("demand.whatFigureHas"));
    }
    Notebook notebook = setup.notebook();
    List<ThrowGoal> goals = new ArrayList<>(notebook.goals());
    ThrowGoal goal =
        goals.stream()
            .filter(one -> one.surface().equals(edit.subject()))
            .findFirst()
            .orElse(new ThrowGoal(edit.subject(), 0, 0));
    goals.removeIf(one -> one.surface().equals(edit.subject()));
    goals.add(change.apply(goal));
    return setup.change().notebook(notebook.wishing(goals)).done();
  }

  private static boolean numbered(int number, Edit edit) {
    return Integer.toString(number).equals(edit.subject());
  }

  private static <T> List<T> changed(
      List<T> all, Edit edit, Predicate<T> which, UnaryOperator<T> change) {
    return OneChanged.of(all, edit.subject(), which, change);
  }
}
