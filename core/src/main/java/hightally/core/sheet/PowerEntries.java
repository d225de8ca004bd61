package hightally.core.sheet;

import hightally.core.channel.Channel;
import hightally.core.channel.EntrySection;
import hightally.core.channel.Receiver;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.ConditionKind;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.FlightTimer;
import hightally.core.program.SourceRoot;
import hightally.core.program.StartPosition;
import hightally.core.program.TelemetryAlarm;
import hightally.core.program.ThrottleCurve;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;

/** What an entry sheet holds of motor, failsafe, switch-on and timers. */
final class PowerEntries {
  private final Setup setup;
  private final EntryWriter writer;

  PowerEntries(Setup setup, EntryWriter writer) {
    this.setup = setup;
    this.writer = writer;
  }

  void add() {
    power();
    failsafe();
    demanded();
    timers();
    alarms();
  }

  private void alarms() {
    for (int i = 0; i < setup.power().alarms().size(); i++) {
      TelemetryAlarm alarm = setup.power().alarms().get(i);
      writer.add(
          EntrySection.TIMER,
          "alarm-" + (i + 1),
          Said.of("program.alarms"),
          Said.text(alarm.name()),
          Said.of(
              "entry.alarm",
              "measured",
              ConditionWords.looked(setup, ConditionKind.TELEMETRY_BELOW, alarm.value()),
              "limit",
              Quantity.plain(alarm.limit(), 1),
              "delay",
              Quantity.seconds(alarm.delaySeconds(), 1)),
          "");
    }
  }

  private void power() {
    // Also without a motor a mix may be made from its power.
    boolean mixed = setup.mixes().stream().anyMatch(one -> one.source().root() == SourceRoot.POWER);
    if (setup.airframe().motors().isEmpty() && !mixed) {
      return;
    }
    Said place = Said.of("program.power");
    writer.add(
        EntrySection.POWER,
        "power/throttle",
        place,
        Said.of("program.throttleFrom"),
        Said.of(
            "entry.throttleFrom",
            "from",
            ConditionWords.subject(setup, setup.power().throttleInput()),
            "twoWay",
            setup.power().twoWay()),
        "");
    for (int i = 0; i < setup.power().curves().size(); i++) {
      ThrottleCurve curve = setup.power().curves().get(i);
      Said what =
          Said.of("program.throttleCurve", "phases", ProgramEntries.phases(setup, curve.phases()));
      writer.add(
          EntrySection.POWER,
          "power/curve-" + i,
          place,
          what,
          writer.throttleCurve(setup.power().twoWay(), curve.points()),
          "");
    }
    writer.add(
        EntrySection.POWER,
        "power/cut",
        place,
        Said.of("program.throttleCutHolds"),
        writer.power(setup.power().twoWay(), setup.power().cutPercent()),
        "");
    if (!setup.power().cutWhen().isEmpty()) {
      writer.add(
          EntrySection.POWER,
          "power/cut-when",
          place,
          Said.of("program.throttleCut"),
          ConditionWords.of(setup, setup.power().cutWhen()),
          "");
    }
    if (!setup.power().armWhen().isEmpty()) {
      writer.add(
          EntrySection.POWER,
          "power/arm-when",
          place,
          Said.of("program.armed"),
          ConditionWords.of(setup, setup.power().armWhen()),
          "");
    }
    writer.add(
        EntrySection.POWER,
        "power/stick-back",
        place,
        Said.of("program.cutLetsGo"),
        Said.of("entry.stickBack", "back", setup.power().releaseWithStickBack()),
        "");
    writer.add(
        EntrySection.POWER,
        "power/warning",
        place,
        Said.of("program.throttleWarning"),
        Said.of("entry.onOff", "on", setup.power().throttleWarning()),
        "");
  }

  /** Where switches must stand at switch-on. */
  private void demanded() {
    for (StartPosition one : setup.power().startPositions()) {
      int index = setup.transmitter().inputIndex(one.input());
      TransmitterInput input = setup.transmitter().inputs().get(index);
      writer.add(
          EntrySection.POWER,
          "demanded-" + one.input(),
          Said.of("program.demanded"),
          Said.text(input.name()),
          Said.of(
              "entry.demanded",
              "position",
              one.position(),
              "brings",
              SwitchWords.of(setup, input, one.position())),
          "");
    }
  }

  private void failsafe() {
    for (FailsafeSetting one : setup.power().failsafe()) {
      Said value =
          !settable(one.channel())
              ? Said.of("entry.noFailsafe")
              : one.holds() ? Said.of("entry.hold") : failsafe(one);
      writer.add(
          EntrySection.FAILSAFE,
          "failsafe-" + one.channel(),
          Said.of("program.failsafe"),
          Said.of("program.channelNumber", "number", one.channel()),
          value,
          "");
    }
  }

  /** A motor's channel as the power it gives, any other by its command. */
  private Said failsafe(FailsafeSetting one) {
    return setup.channel(one.channel()).filter(Channel::carriesThrottle).isPresent()
        ? writer.power(setup.power().twoWay(), one.percent())
        : writer.percent(EntrySection.FAILSAFE, one.percent());
  }

  /** Whether the receiver can be told what a channel does without the link. */
  private boolean settable(int channel) {
    Receiver receiver = setup.wiring().receiver();
    return switch (receiver.failsafe()) {
      case EVERY_CHANNEL -> true;
      case ONE_CHANNEL -> receiver.failsafeChannel() == channel;
      case NONE -> false;
    };
  }

  private void timers() {
    for (FlightTimer timer : setup.power().timers()) {
      Said value =
          Said.of(
              "entry.timer",
              "down",
              timer.countsDown(),
              "from",
              Quantity.seconds(timer.startSeconds(), 0),
              "when",
              ConditionWords.of(setup, timer.when()),
              "reset",
              timer.resetWhen().isEmpty()
                  ? Said.of("entry.byHand")
                  : ConditionWords.of(setup, timer.resetWhen()),
              "spoken",
              timer.spokenAtSeconds().stream().map(at -> Quantity.seconds(at, 0)).toList(),
              "count",
              timer.spokenAtSeconds().size());
      writer.add(
          EntrySection.TIMER,
          "timer-" + timer.id(),
          Said.of("program.timers"),
          Said.text(timer.name()),
          value,
          "");
    }
  }
}
