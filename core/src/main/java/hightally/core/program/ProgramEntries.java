package hightally.core.program;

import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.EntrySection;
import hightally.core.mix.Mix;
import hightally.core.mix.MixTarget;
import hightally.core.phase.Phase;
import hightally.core.phase.Trims;
import hightally.core.power.FailsafeSetting;
import hightally.core.power.FlightTimer;
import hightally.core.power.ThrottleCurve;
import hightally.core.program.EntrySheet.Entry;
import hightally.core.quantity.Control;
import hightally.core.response.Feel;
import hightally.core.response.FeelSet;
import hightally.core.response.Response;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The values of an entry sheet, in the order of the work: from channels over feel to the power. */
final class ProgramEntries {
  private final Setup setup;
  private final EntryWriter writer;

  ProgramEntries(Setup setup) {
    this.setup = setup;
    writer = new EntryWriter(setup.transmitter());
  }

  /** All values, in the order of the work. */
  Map<String, Entry> all() {
    channels();
    feel("feel", "Rates and expo", setup.feel(), true, true, true);
    for (FeelSet set : setup.feelSets()) {
      String place = "Rates and expo: " + set.name();
      String where = ConditionWords.of(setup, set.when()) + phases(set.phases());
      writer.add(EntrySection.RATE, "feel-" + set.id() + "/when", place, "Active", where, "");
      feel("feel-" + set.id(), place, set.feel(), set.hasRoll(), set.hasPitch(), set.hasYaw());
    }
    setup.phases().forEach(this::phase);
    setup.mixes().forEach(this::mix);
    power();
    trims("trim", "Trims", setup.trims());
    for (Phase phase : setup.phases()) {
      if (phase.ownRoll() || phase.ownPitch() || phase.ownYaw()) {
        trims("phase-" + phase.id() + "/trim", "Flight phase " + phase.name(), phase.trims());
      }
    }
    return writer.entries();
  }

  private void trims(String key, String place, Trims trims) {
    for (Control control : Control.values()) {
      String value = writer.value(EntrySection.TRIM, trims.of(control), "clicks");
      String at = key + "-" + control.word();
      writer.add(EntrySection.TRIM, at, place, control.word() + " trim", value, "");
    }
  }

  private void channels() {
    for (Channel channel : setup.channels()) {
      String place = "Channel " + channel.number() + ", " + channel.name();
      String key = "channel-" + channel.number();
      writer.add(
          EntrySection.DIRECTION,
          key + "/reversed",
          place,
          "Direction",
          channel.reversed() ? "reversed" : "normal",
          "");
      writer.add(
          EntrySection.SUB_TRIM,
          key + "/sub-trim",
          place,
          "Sub-trim",
          writer.value(EntrySection.SUB_TRIM, channel.subTrimMicroseconds(), "µs"),
          "");
      if (channel.slowedSeconds() != 0) {
        String slowed = writer.value(EntrySection.SLOWED, channel.slowedSeconds(), "s");
        writer.add(EntrySection.SLOWED, key + "/slowed", place, "Slowed, end to end", slowed, "");
      }
      String twin = twin(channel);
      writer.add(
          EntrySection.ENDPOINT,
          key + "/low",
          place,
          "Endpoint, minus side",
          writer.percent(EntrySection.ENDPOINT, channel.endpointLowPercent()),
          twin.isEmpty() ? "" : twin + "/low");
      writer.add(
          EntrySection.ENDPOINT,
          key + "/high",
          place,
          "Endpoint, plus side",
          writer.percent(EntrySection.ENDPOINT, channel.endpointHighPercent()),
          twin.isEmpty() ? "" : twin + "/high");
    }
  }

  /** The channel of the mirrored surface, where its endpoints are the same today. */
  private String twin(Channel channel) {
    String other = setup.surface(channel.carries()).map(Surface::pair).orElse("");
    return setup.channels().stream()
        .filter(one -> !other.isEmpty() && one.carries().equals(other))
        .filter(
            one ->
                one.endpointHighPercent() == channel.endpointHighPercent()
                    && one.endpointLowPercent() == channel.endpointLowPercent())
        .map(one -> "channel-" + one.number())
        .findFirst()
        .orElse("");
  }

  private void feel(String key, String place, Feel feel, boolean roll, boolean pitch, boolean yaw) {
    for (Control control : Control.values()) {
      boolean has = control == Control.ROLL ? roll : control == Control.PITCH ? pitch : yaw;
      if (has) {
        Response one = feel.of(control);
        String name = control.word();
        String at = key + "/" + name;
        writer.add(
            EntrySection.RATE,
            at + "/rate",
            place,
            name + ", rate",
            writer.sides(EntrySection.RATE, one.ratePositivePercent(), one.rateNegativePercent()),
            "");
        writer.add(
            EntrySection.EXPO,
            at + "/expo",
            place,
            name + ", expo",
            writer.sides(EntrySection.EXPO, one.expoPositivePercent(), one.expoNegativePercent()),
            "");
        writer.add(
            EntrySection.EXPO,
            at + "/shape",
            place,
            name + ", shape",
            one.shape().name().toLowerCase(Locale.ROOT),
            "");
      }
    }
  }

  private void phase(Phase phase) {
    if (setup.phases().size() == 1 && phase.presets().isEmpty() && phase.differential().isEmpty()) {
      return;
    }
    String place = "Flight phase " + phase.name();
    String key = "phase-" + phase.id();
    String when =
        phase.when().isEmpty() ? "when no other is on" : ConditionWords.of(setup, phase.when());
    writer.add(EntrySection.PHASE, key + "/when", place, "Switched on by", when, "");
    writer.add(
        EntrySection.PHASE,
        key + "/priority",
        place,
        "Priority",
        "" + (setup.phases().indexOf(phase) + 1),
        "");
    writer.add(
        EntrySection.FADE,
        key + "/fade",
        place,
        "Fade",
        writer.value(EntrySection.FADE, phase.fadeSeconds(), "s"),
        "");
    String own =
        (phase.ownRoll() ? "roll " : "")
            + (phase.ownPitch() ? "pitch " : "")
            + (phase.ownYaw() ? "yaw" : "");
    writer.add(
        EntrySection.PHASE,
        key + "/trims",
        place,
        "Trims of its own",
        own.isBlank() ? "none" : own.strip(),
        "");
    phase
        .presets()
        .forEach(
            one ->
                writer.add(
                    EntrySection.PRESET,
                    key + "/preset-" + one.surface(),
                    place,
                    name(one.surface()) + ", preset",
                    writer.percent(EntrySection.PRESET, one.percent()),
                    ""));
    phase
        .differential()
        .forEach(
            one ->
                writer.add(
                    EntrySection.DIFFERENTIAL,
                    key + "/differential-" + one.surface(),
                    place,
                    name(one.surface()) + ", differential",
                    writer.percent(EntrySection.DIFFERENTIAL, one.percent()),
                    ""));
  }

  private void mix(Mix mix) {
    String place = "Mix: " + mix.name();
    String key = "mix-" + mix.id();
    String source = mix.source().name().toLowerCase(Locale.ROOT);
    writer.add(
        EntrySection.MIX,
        key + "/source",
        place,
        "From",
        mix.subject().isEmpty() ? source : mix.subject() + " (" + source + ")",
        "");
    for (MixTarget target : mix.targets()) {
      String factor = writer.percent(EntrySection.MIX, 100 * target.factor());
      writer.add(
          EntrySection.MIX,
          key + "/to-" + target.target(),
          place,
          "To " + name(target.target()).toLowerCase(Locale.ROOT),
          factor,
          "");
    }
    if (mix.curve().isEmpty()) {
      writer.add(
          EntrySection.MIX,
          key + "/weight",
          place,
          "Weight",
          writer.sides(EntrySection.MIX, mix.weightPlusPercent(), mix.weightMinusPercent()),
          "");
      writer.add(
          EntrySection.MIX,
          key + "/start",
          place,
          "Starts at",
          writer.percent(EntrySection.MIX, mix.startPercent()),
          "");
    } else {
      writer.add(
          EntrySection.MIX, key + "/curve", place, "Curve", EntryWriter.points(mix.curve()), "");
    }
    writer.add(
        EntrySection.MIX,
        key + "/when",
        place,
        "Active",
        ConditionWords.of(setup, mix.when()) + phases(mix.phases()),
        "");
  }

  private void power() {
    if (setup.airframe().motors().isEmpty()) {
      return;
    }
    String place = "Power";
    for (int i = 0; i < setup.power().curves().size(); i++) {
      ThrottleCurve curve = setup.power().curves().get(i);
      String what = "Throttle curve" + (curve.phases().isEmpty() ? "" : phases(curve.phases()));
      writer.add(
          EntrySection.POWER,
          "power/curve-" + i,
          place,
          what,
          EntryWriter.points(curve.points()),
          "");
    }
    writer.add(
        EntrySection.POWER,
        "power/cut",
        place,
        "Throttle cut holds",
        writer.percent(EntrySection.POWER, setup.power().cutPercent()),
        "");
    if (!setup.power().cutWhen().isEmpty()) {
      writer.add(
          EntrySection.POWER,
          "power/cut-when",
          place,
          "Throttle cut",
          ConditionWords.of(setup, setup.power().cutWhen()),
          "");
    }
    if (!setup.power().armWhen().isEmpty()) {
      writer.add(
          EntrySection.POWER,
          "power/arm-when",
          place,
          "Armed",
          ConditionWords.of(setup, setup.power().armWhen()),
          "");
    }
    for (FailsafeSetting one : setup.power().failsafe()) {
      String value = one.holds() ? "hold" : writer.percent(EntrySection.FAILSAFE, one.percent());
      writer.add(
          EntrySection.FAILSAFE,
          "failsafe-" + one.channel(),
          "Failsafe",
          "Channel " + one.channel(),
          value,
          "");
    }
    for (FlightTimer timer : setup.power().timers()) {
      String value =
          (timer.countsDown()
              ? "down from " + EntryWriter.number(timer.startSeconds()) + " s"
              : "up");
      writer.add(
          EntrySection.TIMER,
          "timer-" + timer.id(),
          "Timers",
          timer.name(),
          value + ", " + ConditionWords.of(setup, timer.when()),
          "");
    }
  }

  private String phases(List<String> ids) {
    return ids.isEmpty()
        ? ""
        : " in "
            + String.join(
                ", ", ids.stream().map(id -> setup.phase(id).map(Phase::name).orElse(id)).toList());
  }

  private String name(String id) {
    return setup
        .surface(id)
        .map(one -> one.name())
        .or(
            () ->
                setup.airframe().motors().stream()
                    .filter(one -> one.id().equals(id))
                    .map(one -> one.name())
                    .findFirst())
        .orElse(id);
  }
}
