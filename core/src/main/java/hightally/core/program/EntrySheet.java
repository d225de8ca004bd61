package hightally.core.program;

import hightally.core.airframe.Side;
import hightally.core.channel.Channel;
import hightally.core.channel.EntrySection;
import hightally.core.channel.EntryWord;
import hightally.core.mix.CurvePoint;
import hightally.core.mix.Mix;
import hightally.core.mix.MixTarget;
import hightally.core.phase.Phase;
import hightally.core.phase.Trims;
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
import java.util.Optional;

/**
 * Everything a pilot has to type into his transmitter, value by value: in the order, the words and
 * the units of that transmitter where he has named them, else in the order of the work.
 */
public final class EntrySheet {
  private static final String REMOVED = "remove";

  private final Setup setup;
  private final Map<String, Entry> entries = new LinkedHashMap<>();

  /**
   * One value.
   *
   * @param key stable name of the value
   * @param section what sort of value
   * @param place where it belongs, in plain words
   * @param menu where the pilot's transmitter has it and what it calls it; empty if he named none
   * @param what which value
   * @param value what to type
   * @param before what stood there; empty where it is new or nothing was entered yet
   * @param twin key of an entry that must agree with it; empty for none
   */
  public record Entry(
      String key,
      EntrySection section,
      String place,
      String menu,
      String what,
      String value,
      String before,
      String twin) {}

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
        changes.add(with(entry, REMOVED, entry.value()));
      }
    }
    return changes;
  }

  /**
   * A sheet with what was typed in before beside each value; what was typed in and is no longer in
   * the design comes last, to be removed.
   *
   * @param entered values by key
   */
  public static List<Entry> beside(List<Entry> sheet, Map<String, String> entered) {
    List<Entry> all = new ArrayList<>();
    for (Entry one : sheet) {
      all.add(with(one, one.value(), entered.getOrDefault(one.key(), "")));
    }
    List<String> keys = sheet.stream().map(Entry::key).toList();
    entered.forEach(
        (key, value) -> {
          if (!keys.contains(key) && !value.equals(REMOVED)) {
            all.add(
                new Entry(key, EntrySection.MIX, "No longer wanted", "", key, REMOVED, value, ""));
          }
        });
    return all;
  }

  private static Entry with(Entry entry, String value, String before) {
    return new Entry(
        entry.key(),
        entry.section(),
        entry.place(),
        entry.menu(),
        entry.what(),
        value,
        before,
        entry.twin());
  }

  private Map<String, Entry> all() {
    channels();
    feel("feel", "Rates and expo", setup.feel(), true, true, true);
    for (FeelSet set : setup.feelSets()) {
      String place = "Rates and expo: " + set.name();
      String where = ConditionWords.of(setup, set.when()) + phases(set.phases());
      add(EntrySection.RATE, "feel-" + set.id() + "/when", place, "Active", where, "");
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
    return inTheirOrder();
  }

  private void trims(String key, String place, Trims trims) {
    for (Control control : Control.values()) {
      String value = value(EntrySection.TRIM, trims.of(control), "clicks");
      String at = key + "-" + control.word();
      add(EntrySection.TRIM, at, place, control.word() + " trim", value, "");
    }
  }

  /** In the order of the transmitter's words; what has none keeps its place behind them. */
  private Map<String, Entry> inTheirOrder() {
    List<EntrySection> order =
        setup.transmitter().words().stream().map(EntryWord::section).toList();
    Map<String, Entry> sorted = new LinkedHashMap<>();
    for (EntrySection section : order) {
      entries.values().stream()
          .filter(one -> one.section() == section)
          .forEach(one -> sorted.put(one.key(), one));
    }
    entries.values().forEach(one -> sorted.putIfAbsent(one.key(), one));
    return sorted;
  }

  private void channels() {
    for (Channel channel : setup.channels()) {
      String place = "Channel " + channel.number() + ", " + channel.name();
      String key = "channel-" + channel.number();
      add(
          EntrySection.DIRECTION,
          key + "/reversed",
          place,
          "Direction",
          channel.reversed() ? "reversed" : "normal",
          "");
      add(
          EntrySection.SUB_TRIM,
          key + "/sub-trim",
          place,
          "Sub-trim",
          value(EntrySection.SUB_TRIM, channel.subTrimMicroseconds(), "µs"),
          "");
      if (channel.slowedSeconds() != 0) {
        String slowed = value(EntrySection.SLOWED, channel.slowedSeconds(), "s");
        add(EntrySection.SLOWED, key + "/slowed", place, "Slowed, end to end", slowed, "");
      }
      String twin = twin(channel);
      add(
          EntrySection.ENDPOINT,
          key + "/low",
          place,
          "Endpoint, minus side",
          percent(EntrySection.ENDPOINT, channel.endpointLowPercent()),
          twin.isEmpty() ? "" : twin + "/low");
      add(
          EntrySection.ENDPOINT,
          key + "/high",
          place,
          "Endpoint, plus side",
          percent(EntrySection.ENDPOINT, channel.endpointHighPercent()),
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
            EntrySection.RATE,
            at + "/rate",
            place,
            name + ", rate",
            sides(EntrySection.RATE, one.ratePositivePercent(), one.rateNegativePercent()),
            "");
        add(
            EntrySection.EXPO,
            at + "/expo",
            place,
            name + ", expo",
            sides(EntrySection.EXPO, one.expoPositivePercent(), one.expoNegativePercent()),
            "");
        add(
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
    add(EntrySection.PHASE, key + "/when", place, "Switched on by", when, "");
    add(
        EntrySection.PHASE,
        key + "/priority",
        place,
        "Priority",
        "" + (setup.phases().indexOf(phase) + 1),
        "");
    add(
        EntrySection.FADE,
        key + "/fade",
        place,
        "Fade",
        value(EntrySection.FADE, phase.fadeSeconds(), "s"),
        "");
    String own =
        (phase.ownRoll() ? "roll " : "")
            + (phase.ownPitch() ? "pitch " : "")
            + (phase.ownYaw() ? "yaw" : "");
    add(
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
                add(
                    EntrySection.PRESET,
                    key + "/preset-" + one.surface(),
                    place,
                    name(one.surface()) + ", preset",
                    percent(EntrySection.PRESET, one.percent()),
                    ""));
    phase
        .differential()
        .forEach(
            one ->
                add(
                    EntrySection.DIFFERENTIAL,
                    key + "/differential-" + one.surface(),
                    place,
                    name(one.surface()) + ", differential",
                    percent(EntrySection.DIFFERENTIAL, one.percent()),
                    ""));
  }

  private void mix(Mix mix) {
    String place = "Mix: " + mix.name();
    String key = "mix-" + mix.id();
    String source = mix.source().name().toLowerCase(Locale.ROOT);
    add(
        EntrySection.MIX,
        key + "/source",
        place,
        "From",
        mix.subject().isEmpty() ? source : mix.subject() + " (" + source + ")",
        "");
    for (MixTarget target : mix.targets()) {
      String factor = percent(EntrySection.MIX, 100 * target.factor());
      add(
          EntrySection.MIX,
          key + "/to-" + target.target(),
          place,
          "To " + name(target.target()).toLowerCase(Locale.ROOT),
          factor,
          "");
    }
    if (mix.curve().isEmpty()) {
      add(
          EntrySection.MIX,
          key + "/weight",
          place,
          "Weight",
          sides(EntrySection.MIX, mix.weightPlusPercent(), mix.weightMinusPercent()),
          "");
      add(
          EntrySection.MIX,
          key + "/start",
          place,
          "Starts at",
          percent(EntrySection.MIX, mix.startPercent()),
          "");
    } else {
      add(EntrySection.MIX, key + "/curve", place, "Curve", points(mix.curve()), "");
    }
    add(
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
      add(EntrySection.POWER, "power/curve-" + i, place, what, points(curve.points()), "");
    }
    add(
        EntrySection.POWER,
        "power/cut",
        place,
        "Throttle cut holds",
        percent(EntrySection.POWER, setup.power().cutPercent()),
        "");
    if (!setup.power().cutWhen().isEmpty()) {
      add(
          EntrySection.POWER,
          "power/cut-when",
          place,
          "Throttle cut",
          ConditionWords.of(setup, setup.power().cutWhen()),
          "");
    }
    if (!setup.power().armWhen().isEmpty()) {
      add(
          EntrySection.POWER,
          "power/arm-when",
          place,
          "Armed",
          ConditionWords.of(setup, setup.power().armWhen()),
          "");
    }
    for (FailsafeSetting one : setup.power().failsafe()) {
      String value = one.holds() ? "hold" : percent(EntrySection.FAILSAFE, one.percent());
      add(
          EntrySection.FAILSAFE,
          "failsafe-" + one.channel(),
          "Failsafe",
          "Channel " + one.channel(),
          value,
          "");
    }
    for (FlightTimer timer : setup.power().timers()) {
      String value =
          (timer.countsDown() ? "down from " + number(timer.startSeconds()) + " s" : "up");
      add(
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

  private static String points(List<CurvePoint> points) {
    return String.join(
        ", ", points.stream().map(one -> number(one.x()) + " → " + number(one.y())).toList());
  }

  private static String number(double value) {
    double rounded = Math.rint(value * 10) / 10;
    return rounded == Math.rint(rounded)
        ? Long.toString((long) rounded)
        : String.format(Locale.ROOT, "%.1f", rounded);
  }

  private void add(
      EntrySection section, String key, String place, String what, String value, String twin) {
    String menu =
        word(section)
            .map(one -> one.menu().isEmpty() ? one.name() : one.menu() + ": " + one.name())
            .orElse("");
    entries.put(key, new Entry(key, section, place, menu, what, value, "", twin));
  }

  private Optional<EntryWord> word(EntrySection section) {
    return setup.transmitter().words().stream().filter(one -> one.section() == section).findFirst();
  }

  /** A number in the unit the transmitter wants, else in the design's. */
  private String value(EntrySection section, double value, String unit) {
    return word(section)
        .filter(one -> !one.unit().isEmpty())
        .map(one -> number(value * one.perUnit()) + " " + one.unit())
        .orElse(number(value) + " " + unit);
  }

  private String percent(EntrySection section, double value) {
    return value(section, value, "%");
  }

  private String sides(EntrySection section, double plus, double minus) {
    return plus == minus
        ? percent(section, plus)
        : percent(section, plus) + " / " + percent(section, minus);
  }
}
