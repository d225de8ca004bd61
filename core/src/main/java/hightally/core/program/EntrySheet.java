package hightally.core.program;

import hightally.core.airframe.Side;
import hightally.core.channel.Channel;
import hightally.core.mix.CurvePoint;
import hightally.core.mix.Mix;
import hightally.core.mix.MixTarget;
import hightally.core.phase.Phase;
import hightally.core.power.FailsafeSetting;
import hightally.core.power.FlightTimer;
import hightally.core.power.ThrottleCurve;
import hightally.core.quantity.Control;
import hightally.core.response.Feel;
import hightally.core.response.FeelSet;
import hightally.core.response.Response;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Everything a pilot has to type into his transmitter, value by value, in the order of the work.
 */
public final class EntrySheet {
  private final Setup setup;
  private final Map<String, Entry> entries = new LinkedHashMap<>();

  /**
   * One value.
   *
   * @param key stable name of the value
   * @param place where it belongs, in plain words
   * @param what which value
   * @param value what to type
   * @param before what stood there; empty where it is new or nothing was entered yet
   * @param twin key of an entry that must agree with it; empty for none
   */
  public record Entry(
      String key, String place, String what, String value, String before, String twin) {}

  private EntrySheet(Setup setup) {
    this.setup = setup;
  }

  /** All values of a setup. */
  public static List<Entry> of(Setup setup) {
    return List.copyOf(new EntrySheet(setup).all().values());
  }

  /** Only what differs from what was last entered, old value beside new. */
  public static List<Entry> changes(Setup entered, Setup now) {
    Map<String, Entry> old = new EntrySheet(entered).all();
    Map<String, Entry> fresh = new EntrySheet(now).all();
    List<Entry> changes = new ArrayList<>();
    for (Entry entry : fresh.values()) {
      Entry before = old.get(entry.key());
      if (before == null || !before.value().equals(entry.value())) {
        changes.add(with(entry, entry.value(), before == null ? "" : before.value()));
      }
    }
    for (Entry entry : old.values()) {
      if (!fresh.containsKey(entry.key())) {
        changes.add(with(entry, "remove", entry.value()));
      }
    }
    return changes;
  }

  private static Entry with(Entry entry, String value, String before) {
    return new Entry(entry.key(), entry.place(), entry.what(), value, before, entry.twin());
  }

  private Map<String, Entry> all() {
    channels();
    feel("feel", "Rates and expo", setup.feel(), true, true, true);
    for (FeelSet set : setup.feelSets()) {
      String place = "Rates and expo: " + set.name();
      String where = ConditionWords.of(setup, set.when()) + phases(set.phases());
      add("feel-" + set.id() + "/when", place, "Active", where, "");
      feel("feel-" + set.id(), place, set.feel(), set.hasRoll(), set.hasPitch(), set.hasYaw());
    }
    setup.phases().forEach(this::phase);
    setup.mixes().forEach(this::mix);
    power();
    return entries;
  }

  private void channels() {
    for (Channel channel : setup.channels()) {
      String place = "Channel " + channel.number() + ", " + channel.name();
      String key = "channel-" + channel.number();
      add(key + "/reversed", place, "Direction", channel.reversed() ? "reversed" : "normal", "");
      add(key + "/sub-trim", place, "Sub-trim", number(channel.subTrimMicroseconds()) + " µs", "");
      String twin = twin(channel);
      add(
          key + "/low",
          place,
          "Endpoint, minus side",
          percent(channel.endpointLowPercent()),
          twin.isEmpty() ? "" : twin + "/low");
      add(
          key + "/high",
          place,
          "Endpoint, plus side",
          percent(channel.endpointHighPercent()),
          twin.isEmpty() ? "" : twin + "/high");
    }
  }

  /** The channel of the mirrored surface, where its endpoints are the same today. */
  private String twin(Channel channel) {
    String carries = channel.carries();
    String other = Side.mirrored(carries);
    return setup.channels().stream()
        .filter(one -> one.carries().equals(other) && !other.equals(carries))
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
        add(
            at + "/rate",
            place,
            name + ", rate",
            sides(one.ratePositivePercent(), one.rateNegativePercent()),
            "");
        add(
            at + "/expo",
            place,
            name + ", expo",
            sides(one.expoPositivePercent(), one.expoNegativePercent()),
            "");
        add(
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
    add(key + "/when", place, "Switched on by", when, "");
    add(key + "/priority", place, "Priority", "" + (setup.phases().indexOf(phase) + 1), "");
    add(key + "/fade", place, "Fade", number(phase.fadeSeconds()) + " s", "");
    String own =
        (phase.ownRoll() ? "roll " : "")
            + (phase.ownPitch() ? "pitch " : "")
            + (phase.ownYaw() ? "yaw" : "");
    add(key + "/trims", place, "Trims of its own", own.isBlank() ? "none" : own.strip(), "");
    phase
        .presets()
        .forEach(
            one ->
                add(
                    key + "/preset-" + one.surface(),
                    place,
                    name(one.surface()) + ", preset",
                    percent(one.percent()),
                    ""));
    phase
        .differential()
        .forEach(
            one ->
                add(
                    key + "/differential-" + one.surface(),
                    place,
                    name(one.surface()) + ", differential",
                    percent(one.percent()),
                    ""));
  }

  private void mix(Mix mix) {
    String place = "Mix: " + mix.name();
    String key = "mix-" + mix.id();
    String source = mix.source().name().toLowerCase(Locale.ROOT);
    add(
        key + "/source",
        place,
        "From",
        mix.subject().isEmpty() ? source : mix.subject() + " (" + source + ")",
        "");
    for (MixTarget target : mix.targets()) {
      String factor = percent(100 * target.factor());
      add(
          key + "/to-" + target.target(),
          place,
          "To " + name(target.target()).toLowerCase(Locale.ROOT),
          factor,
          "");
    }
    if (mix.curve().isEmpty()) {
      add(
          key + "/weight",
          place,
          "Weight",
          sides(mix.weightPlusPercent(), mix.weightMinusPercent()),
          "");
      add(key + "/start", place, "Starts at", percent(mix.startPercent()), "");
    } else {
      add(key + "/curve", place, "Curve", points(mix.curve()), "");
    }
    add(
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
      add("power/curve-" + i, place, what, points(curve.points()), "");
    }
    add("power/cut", place, "Throttle cut holds", percent(setup.power().cutPercent()), "");
    if (!setup.power().cutWhen().isEmpty()) {
      add(
          "power/cut-when",
          place,
          "Throttle cut",
          ConditionWords.of(setup, setup.power().cutWhen()),
          "");
    }
    if (!setup.power().armWhen().isEmpty()) {
      add("power/arm-when", place, "Armed", ConditionWords.of(setup, setup.power().armWhen()), "");
    }
    for (FailsafeSetting one : setup.power().failsafe()) {
      String value = one.holds() ? "hold" : percent(one.percent());
      add("failsafe-" + one.channel(), "Failsafe", "Channel " + one.channel(), value, "");
    }
    for (FlightTimer timer : setup.power().timers()) {
      String value =
          (timer.countsDown() ? "down from " + number(timer.startSeconds()) + " s" : "up");
      add(
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

  private static String points(List<CurvePoint> points) {
    return String.join(
        ", ", points.stream().map(one -> number(one.x()) + " → " + number(one.y())).toList());
  }

  private static String sides(double plus, double minus) {
    return plus == minus ? percent(plus) : percent(plus) + " / " + percent(minus);
  }

  private static String percent(double value) {
    return number(value) + " %";
  }

  private static String number(double value) {
    double rounded = Math.rint(value * 10) / 10;
    return rounded == Math.rint(rounded)
        ? Long.toString((long) rounded)
        : String.format(Locale.ROOT, "%.1f", rounded);
  }

  private void add(String key, String place, String what, String value, String twin) {
    entries.put(key, new Entry(key, place, what, value, "", twin));
  }
}
