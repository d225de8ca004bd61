package hightally.core.sheet;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.EntrySection;
import hightally.core.channel.InputKind;
import hightally.core.channel.SubTrimMode;
import hightally.core.channel.Transmitter;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.program.Response;
import hightally.core.program.SourceOf;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet.Entry;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The values of an entry sheet, in the order of the work: from channels over feel to the power.
 *
 * <p>Long because it is read like the sheet: one section after the other.
 */
final class ProgramEntries {
  private final Setup setup;
  private final SignalPath path;
  private final EntryWriter writer;

  ProgramEntries(Setup setup) {
    this.setup = setup;
    path = SignalPath.of(setup);
    writer = new EntryWriter(setup.transmitter());
  }

  /** All values, in the order of the work. */
  Map<String, Entry> all() {
    transmitter();
    new TypeEntries(setup, writer).add();
    channels();
    feel("feel", Said.of("program.ratesExpo"), setup.feel(), true, true, true);
    for (FeelSet set : setup.feelSets()) {
      Said place = Said.of("program.ratesExpoOf", "set", set.name());
      Said where = active(set.when(), set.phases());
      writer.add(
          EntrySection.RATE,
          "feel-" + set.id() + "/when",
          place,
          Said.of("program.active"),
          where,
          "");
      if (setup.feelSets().size() > 1) {
        writer.add(
            EntrySection.RATE,
            "feel-" + set.id() + "/priority",
            place,
            Said.of("program.priority"),
            Said.of("entry.number", "number", setup.feelSets().indexOf(set) + 1),
            "");
      }
      feel("feel-" + set.id(), place, set.feel(), set.hasRoll(), set.hasPitch(), set.hasYaw());
    }
    setup.phases().forEach(this::phase);
    setup.mixes().forEach(this::mix);
    new PowerEntries(setup, writer).add();
    trims();
    return writer.entries();
  }

  /** What the transmitter makes of all values: what it cannot be set to it must be. */
  private void transmitter() {
    Transmitter radio = setup.transmitter();
    writer.add(
        EntrySection.DIRECTION,
        "transmitter",
        Said.of("program.transmitter"),
        Said.of("program.pulses"),
        Said.of(
            "entry.pulses",
            "centre",
            Quantity.microseconds(radio.centreMicroseconds()),
            "full",
            Quantity.microseconds(radio.microsecondsPer100()),
            "least",
            Quantity.microseconds(radio.shortestMicroseconds()),
            "most",
            Quantity.microseconds(radio.longestMicroseconds()),
            "limit",
            new Quantity(radio.commandLimitPercent(), Unit.PERCENT, -1),
            "shifts",
            radio.subTrimMode() == SubTrimMode.SHIFT),
        "");
    List<Said> switches =
        radio.inputs().stream()
            .filter(one -> one.kind() == InputKind.SWITCH)
            .map(one -> Said.of("entry.switch", "name", one.name(), "positions", one.positions()))
            .toList();
    if (!switches.isEmpty()) {
      writer.add(
          EntrySection.DIRECTION,
          "switches",
          Said.of("program.transmitter"),
          Said.of("program.switchPositions"),
          Said.list(switches),
          "");
    }
    writer.add(
        EntrySection.TRIM,
        "trim-step",
        Said.of("program.trims"),
        Said.of("program.trimStep"),
        Said.of("entry.value", "value", new Quantity(radio.clickStepPercent(), Unit.PERCENT, -1)),
        "");
  }

  /** Every trim once, where it is owned: what is common stands with none of the phases. */
  private void trims() {
    for (Control control : Control.values()) {
      if (setup.phases().stream().anyMatch(phase -> !phase.own(control))) {
        trim("trim", Said.of("program.trims"), control, setup.trims().of(control));
      }
      for (Phase phase : setup.phases()) {
        if (phase.own(control)) {
          trim(
              "phase-" + phase.id() + "/trim",
              Said.of("program.flightPhase", "phase", phase.name()),
              control,
              phase.trims().of(control));
        }
      }
    }
  }

  private void trim(String key, Said place, Control control, int clicks) {
    writer.add(
        EntrySection.TRIM,
        key + "-" + control.word(),
        place,
        Said.of("program.trimOf", "control", control),
        writer.value(EntrySection.TRIM, clicks, Unit.CLICKS),
        "");
  }

  /** What a channel carries, and its part of every stick and lever. */
  private void carries(Channel channel, String key, Said place) {
    setup
        .surface(channel.carries())
        .ifPresent(
            surface -> {
              List<Said> shares = new ArrayList<>();
              for (Control control : Control.values()) {
                double share = surface.shares().of(control);
                if (share != 0) {
                  shares.add(share(Said.of("control", "control", control), share));
                }
              }
              for (LeverShare lever : surface.shares().levers()) {
                shares.add(share(ConditionWords.subject(setup, lever.input()), lever.share()));
              }
              writer.add(
                  EntrySection.DIRECTION,
                  key + "/carries",
                  place,
                  Said.of("program.carries"),
                  Said.of("entry.carries", "surface", surface.name(), "shares", shares),
                  "");
            });
  }

  private Said share(Said of, double part) {
    Said percent = writer.percent(EntrySection.MIX, 100 * part);
    return Said.of("entry.share", "of", of, "part", percent);
  }

  private void channels() {
    for (Channel channel : setup.channels()) {
      Said place =
          Said.of("program.channel", "number", channel.number(), "channel", channel.name());
      String key = "channel-" + channel.number();
      carries(channel, key, place);
      writer.add(
          EntrySection.DIRECTION,
          key + "/reversed",
          place,
          Said.of("program.direction"),
          Said.of("entry.direction", "reversed", channel.reversed()),
          "");
      writer.add(
          EntrySection.SUB_TRIM,
          key + "/sub-trim",
          place,
          Said.of("program.subTrimWord"),
          writer.value(EntrySection.SUB_TRIM, channel.subTrimMicroseconds(), Unit.MICROSECONDS),
          "");
      if (channel.slowedSeconds() != 0) {
        Said slowed = writer.value(EntrySection.SLOWED, channel.slowedSeconds(), Unit.SECONDS);
        writer.add(
            EntrySection.SLOWED,
            key + "/slowed",
            place,
            Said.of("program.slowedEndEnd"),
            slowed,
            "");
      }
      follows(channel, key, place);
      limits(channel, key, place);
      String twin = twin(channel);
      writer.add(
          EntrySection.ENDPOINT,
          key + "/low",
          place,
          Said.of("program.endpointMinusSide", "way", way(channel, false)),
          writer.percent(EntrySection.ENDPOINT, channel.endpointLowPercent()),
          twin.isEmpty() ? "" : twin + "/low");
      writer.add(
          EntrySection.ENDPOINT,
          key + "/high",
          place,
          Said.of("program.endpointPlusSide", "way", way(channel, true)),
          writer.percent(EntrySection.ENDPOINT, channel.endpointHighPercent()),
          twin.isEmpty() ? "" : twin + "/high");
    }
  }

  /** What a simple channel follows, or that no switch may move it. */
  private void follows(Channel channel, String key, Said place) {
    int input = setup.transmitter().inputIndex(channel.carries());
    if (input >= 0) {
      Said name = Said.text(setup.transmitter().inputs().get(input).name());
      writer.add(
          EntrySection.DIRECTION, key + "/follows", place, Said.of("program.follows"), name, "");
    }
    if (channel.steady()) {
      writer.add(
          EntrySection.DIRECTION,
          key + "/steady",
          place,
          Said.of("program.switches"),
          Said.of("entry.steady"),
          "");
    }
    for (Motor motor : setup.airframe().motors()) {
      if (motor.reverserChannel() == channel.number()) {
        writer.add(
            EntrySection.DIRECTION,
            key + "/turns-" + motor.id(),
            place,
            Said.of("program.turnsRound"),
            Said.text(motor.name()),
            "");
      }
    }
  }

  /** Where the surface a channel carries goes on one of its sides; nothing for other channels. */
  private Said way(Channel channel, boolean high) {
    return setup
        .surface(channel.carries())
        .map(
            surface -> {
              boolean plus = path.highIsPlus(path.indexOf(surface.id())) == high;
              return Said.of("program.sideWay", "way", surface.goes(plus ? 1 : -1));
            })
        .orElse(Said.NOTHING);
  }

  private void limits(Channel channel, String key, Said place) {
    if (channel.limitLowPercent() != 0) {
      writer.add(
          EntrySection.ENDPOINT,
          key + "/limit-low",
          place,
          Said.of("program.limitMinusSide", "way", way(channel, false)),
          writer.percent(EntrySection.ENDPOINT, channel.limitLowPercent()),
          "");
    }
    if (channel.limitHighPercent() != 0) {
      writer.add(
          EntrySection.ENDPOINT,
          key + "/limit-high",
          place,
          Said.of("program.limitPlusSide", "way", way(channel, true)),
          writer.percent(EntrySection.ENDPOINT, channel.limitHighPercent()),
          "");
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

  private void feel(String key, Said place, Feel feel, boolean roll, boolean pitch, boolean yaw) {
    for (Control control : Control.values()) {
      boolean has = control == Control.ROLL ? roll : control == Control.PITCH ? pitch : yaw;
      if (has) {
        Response one = feel.of(control);
        String at = key + "/" + control.word();
        writer.add(
            EntrySection.RATE,
            at + "/rate",
            place,
            Said.of("program.rate", "control", control),
            writer.sides(
                EntrySection.RATE, control, one.ratePositivePercent(), one.rateNegativePercent()),
            "");
        writer.add(
            EntrySection.EXPO,
            at + "/expo",
            place,
            Said.of("program.expo", "control", control),
            writer.sides(
                EntrySection.EXPO, control, one.expoPositivePercent(), one.expoNegativePercent()),
            "");
        writer.add(
            EntrySection.EXPO,
            at + "/shape",
            place,
            Said.of("program.shape", "control", control),
            Said.of("entry.shape", "shape", one.shape()),
            "");
      }
    }
  }

  private void phase(Phase phase) {
    boolean plain = phase.presets().isEmpty() && phase.differential().isEmpty();
    if (setup.phases().size() == 1 && plain && phase.fadeSeconds() == 0) {
      return;
    }
    Said place = Said.of("program.flightPhase", "phase", phase.name());
    String key = "phase-" + phase.id();
    Said when =
        phase.when().isEmpty()
            ? Said.of("program.whenNoOther")
            : ConditionWords.of(setup, phase.when());
    writer.add(EntrySection.PHASE, key + "/when", place, Said.of("program.switched"), when, "");
    writer.add(
        EntrySection.PHASE,
        key + "/priority",
        place,
        Said.of("program.priority"),
        Said.of("entry.number", "number", setup.phases().indexOf(phase) + 1),
        "");
    writer.add(
        EntrySection.FADE,
        key + "/fade",
        place,
        Said.of("program.fade"),
        writer.value(EntrySection.FADE, phase.fadeSeconds(), Unit.SECONDS),
        "");
    List<Control> own = Arrays.stream(Control.values()).filter(phase::own).toList();
    writer.add(
        EntrySection.PHASE,
        key + "/trims",
        place,
        Said.of("program.trimsOwn"),
        own.isEmpty() ? Said.of("entry.none") : Said.of("entry.controls", "controls", own),
        "");
    phase
        .presets()
        .forEach(
            one ->
                writer.add(
                    EntrySection.PRESET,
                    key + "/preset-" + one.surface(),
                    place,
                    Said.of("program.preset", "name", name(one.surface())),
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
                    Said.of("program.differential", "name", name(one.surface())),
                    writer.percent(EntrySection.DIFFERENTIAL, one.percent()),
                    ""));
  }

  private void mix(Mix mix) {
    Said place = Said.of("program.mixPlace", "mix", mix.name());
    String key = "mix-" + mix.id();
    writer.add(
        EntrySection.MIX,
        key + "/source",
        place,
        Said.of("program.from"),
        Said.of("entry.source", "source", mix.source(), "subject", subject(mix)),
        "");
    Map<String, MixTarget> targets = new LinkedHashMap<>();
    mix.targets().forEach(one -> targets.merge(one.target(), one, MixTarget::and));
    for (MixTarget target : targets.values()) {
      Said factor =
          writer.sides(
              EntrySection.MIX, stick(mix), 100 * target.factor(), 100 * target.factorMinus());
      writer.add(
          EntrySection.MIX,
          key + "/to-" + target.target(),
          place,
          Said.of("program.to", "target", name(target.target())),
          factor,
          "");
    }
    if (mix.curve().isEmpty()) {
      writer.add(
          EntrySection.MIX,
          key + "/weight",
          place,
          Said.of("program.weight"),
          writer.sides(
              EntrySection.MIX, stick(mix), mix.weightPlusPercent(), mix.weightMinusPercent()),
          "");
      writer.add(
          EntrySection.MIX,
          key + "/start",
          place,
          Said.of("program.starts"),
          writer.percent(EntrySection.MIX, mix.startPercent()),
          "");
    } else {
      writer.add(
          EntrySection.MIX,
          key + "/curve",
          place,
          Said.of("program.curve"),
          EntryWriter.points(mix.curve()),
          "");
    }
    writer.add(
        EntrySection.MIX,
        key + "/when",
        place,
        Said.of("program.active"),
        active(mix.when(), mix.phases()),
        "");
    if (mix.fadeSeconds() > 0) {
      writer.add(
          EntrySection.FADE,
          key + "/fade",
          place,
          Said.of("program.fade"),
          writer.value(EntrySection.FADE, mix.fadeSeconds(), Unit.SECONDS),
          "");
    }
  }

  private Said active(String when, List<String> phases) {
    return active(setup, when, phases);
  }

  /** When something limited to a condition and to phases is on. */
  static Said active(Setup setup, String when, List<String> phases) {
    return Said.of(
        "entry.active", "when", ConditionWords.of(setup, when), "phases", phases(setup, phases));
  }

  static Said phases(Setup setup, List<String> ids) {
    List<String> names =
        ids.stream().map(id -> setup.phase(id).map(Phase::name).orElse(id)).toList();
    return names.isEmpty() ? Said.NOTHING : Said.of("entry.inPhases", "phases", names);
  }

  /** The stick a mix comes from; null for anything else. */
  private static Control stick(Mix mix) {
    return mix.source().of() == SourceOf.STICK ? Control.named(mix.subject()) : null;
  }

  /** What a mix takes its value from, where it needs naming. */
  private Said subject(Mix mix) {
    return switch (mix.source().of()) {
      case STICK -> Said.of("control", "control", Control.named(mix.subject()));
      case INPUT -> ConditionWords.subject(setup, mix.subject());
      case SURFACE -> Said.text(name(mix.subject()));
      case NOTHING -> Said.NOTHING;
    };
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
