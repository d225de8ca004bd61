package hightally.core.sheet;

import hightally.core.channel.Channel;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FeelSet;
import hightally.core.program.FlightTimer;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.SourceOf;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * All that hangs on the switches and levers of a setup, found once for every page that tells it.
 */
final class SwitchHangs {
  /** A lever, or a switch wherever it stands. */
  static final int ANYWHERE = 0;

  private static final double FULL = 100;

  private final Setup setup;
  private final List<Hang> found = new ArrayList<>();

  private SwitchHangs(Setup setup) {
    this.setup = setup;
  }

  /**
   * One thing that hangs on a place of a switch or lever.
   *
   * @param position counted from 1, or {@link #ANYWHERE}
   * @param what it is
   * @param brought what a position is called by that brings it; nothing for what names none
   * @param phase whether it is a flight phase
   */
  record Hang(String input, int position, Said what, Said brought, boolean phase) {}

  /** All of them, in the order of the work. */
  static List<Hang> of(Setup setup) {
    SwitchHangs hangs = new SwitchHangs(setup);
    hangs.find();
    return hangs.found;
  }

  private void find() {
    for (Phase one : setup.phases()) {
      Hang told = told(Said.of("hangs.phase", "phase", one.name()), Said.text(one.name()), true);
      asked(one.when(), told, true);
    }
    for (FeelSet one : setup.feelSets()) {
      Said name = Said.text(one.name());
      asked(one.when(), told(Said.of("hangs.rates", "set", one.name()), name, false), true);
    }
    for (Mix one : setup.mixes()) {
      Said what = Said.of("hangs.mix", "mix", one.name());
      asked(one.when(), told(what, Said.text(one.name()), false), true);
      if (one.source().of() == SourceOf.INPUT) {
        keep(one.subject(), ANYWHERE, told(what, Said.NOTHING, false));
      }
    }
    power();
    setup
        .surfaces()
        .forEach(
            surface ->
                surface
                    .shares()
                    .levers()
                    .forEach(
                        lever ->
                            keep(
                                lever.input(),
                                ANYWHERE,
                                told(Said.text(surface.name()), Said.NOTHING, false))));
    setup.channels().forEach(this::simple);
  }

  private void power() {
    asked(setup.power().cutWhen(), told(Said.of("hangs.cut"), Said.of("switch.cut"), false), true);
    asked(
        setup.power().armWhen(),
        told(Said.of("hangs.arming"), Said.of("switch.arming"), false),
        true);
    for (FlightTimer one : setup.power().timers()) {
      asked(
          one.when(), told(Said.of("hangs.timer", "timer", one.name()), Said.NOTHING, false), true);
      asked(
          one.resetWhen(),
          told(Said.of("hangs.timerReset", "timer", one.name()), Said.NOTHING, false),
          true);
    }
    if (!setup.power().throttleInput().isEmpty()) {
      keep(
          setup.power().throttleInput(),
          ANYWHERE,
          told(Said.of("hangs.throttle"), Said.NOTHING, false));
    }
  }

  /** A channel that follows a switch or lever by itself: each position puts it somewhere. */
  private void simple(Channel channel) {
    int index = setup.transmitter().inputIndex(channel.carries());
    if (index < 0) {
      return;
    }
    TransmitterInput input = setup.transmitter().inputs().get(index);
    Said what = Said.of("hangs.channel", "channel", channel.name());
    for (int position = 1; position <= input.positions(); position++) {
      double at = 2 * FULL * (position - 1) / (input.positions() - 1) - FULL;
      Said brought =
          Said.of("switch.channelAt", "channel", channel.name(), "at", Quantity.percent(at));
      keep(input.id(), position, told(what, brought, false));
    }
    if (input.positions() == 0) {
      keep(input.id(), ANYWHERE, told(what, Said.NOTHING, false));
    }
  }

  private static Hang told(Said what, Said brought, boolean phase) {
    return new Hang("", ANYWHERE, what, brought, phase);
  }

  /**
   * Follows a condition down to the switches it asks.
   *
   * @param straight whether nothing on the way turns it into its opposite; only then does a
   *     position bring it
   */
  private void asked(String condition, Hang told, boolean straight) {
    for (Condition one : setup.conditions()) {
      if (one.id().equals(condition)) {
        Hang here = straight ? told : told(told.what(), Said.NOTHING, false);
        switch (one.kind()) {
          case SWITCH_AT -> keep(one.subject(), (int) Math.round(one.limit()), here);
          case ABOVE, BELOW -> keep(one.subject(), ANYWHERE, here);
          default -> {}
        }
        boolean on = straight && one.kind() != ConditionKind.NOT;
        one.members().forEach(member -> asked(member, told, on));
      }
    }
  }

  private void keep(String input, int position, Hang told) {
    found.add(new Hang(input, position, told.what(), told.brought(), told.phase()));
  }
}
