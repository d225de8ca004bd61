package hightally.core.wiring;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.InputKind;
import hightally.core.channel.Lead;
import hightally.core.channel.Output;
import hightally.core.channel.SubTrimMode;
import hightally.core.channel.Transmitter;
import hightally.core.channel.TransmitterInput;
import hightally.core.channel.Wiring;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.Preset;
import hightally.core.program.SourceOf;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Moves a model to another transmitter so that every surface goes on moving as it does.
 *
 * <p>A channel's pulse is a straight line on either side of the centred command; the new sub-trim
 * puts that centre where it was, the new endpoints give each side the slope it had: {@code subTrim'
 * = centre + subTrim - centre'}, and with r the reach in µs for 100 %, {@code endpoint' = 100 r /
 * per100'} for SHIFT, {@code 100 (r ± subTrim') / per100'} for FIXED_ENDS. Trims become whole
 * clicks of the new step; what is left of a click becomes a preset, so nothing is lost.
 */
public final class TransmitterMove {
  /** What a document can say at most; beyond it only the note tells. */
  private static final double MOST_ENDPOINT = 200;

  private static final double MOST_SUB_TRIM = 300;
  private static final double NOTHING = 1e-9;

  /** Where a lever counts as thrown, percent of its travel. */
  private static final double HALF_WAY = 50;

  private final Setup from;
  private final Transmitter to;
  private static final Said REST = Said.of("place.rest");

  private final List<Said> notes = new ArrayList<>();
  private final Map<String, String> inputs = new HashMap<>();
  private Trims trims;

  /**
   * A model on another transmitter.
   *
   * @param setup the moved setup
   * @param lines every surface at rest and at the ends of each stick, before and after
   * @param largestMm the largest difference between the two
   * @param notes what the new transmitter cannot give, or what was assumed
   */
  public record Moved(Setup setup, List<MovedLine> lines, double largestMm, List<Said> notes) {}

  /** One surface with one stick or lever at an end. */
  public record MovedLine(String surface, Said where, double beforeMm, double afterMm) {}

  private TransmitterMove(Setup from, Transmitter to) {
    this.from = from;
    this.to = to;
  }

  /** Moves a setup to a transmitter. */
  public static Moved of(Setup from, Transmitter to) {
    Validation.check(from);
    Validation.check(to);
    return new TransmitterMove(from, to).moved();
  }

  private Moved moved() {
    mapInputs();
    Trims common = from.trims();
    trims =
        new Trims(
            clicks(Control.ROLL, common.roll()),
            clicks(Control.PITCH, common.pitch()),
            clicks(Control.YAW, common.yaw()));
    Setup translated =
        from.change()
            .transmitter(to)
            .channels(from.channels().stream().map(this::channel).toList())
            .surfaces(from.surfaces().stream().map(this::surface).toList())
            .phases(from.phases().stream().map(this::phase).toList())
            .conditions(from.conditions().stream().map(this::condition).toList())
            .mixes(from.mixes().stream().map(this::mix).toList())
            .power(
                from.power().onInputs(old -> input(old, Said.of("wiring.throttleStartPosition"))))
            .wiring(wiring())
            .trims(trims)
            .done();
    Setup numbered = ChannelPlan.renumbered(translated);
    numbers(numbered);
    SignalPath before = SignalPath.of(from);
    SignalPath after = SignalPath.of(numbered);
    List<MovedLine> lines = lines(before, after);
    double largest =
        lines.stream().mapToDouble(one -> Math.abs(one.afterMm() - one.beforeMm())).max().orElse(0);
    return new Moved(numbered, lines, largest, notes.stream().distinct().toList());
  }

  private Channel channel(Channel channel) {
    Output old = Output.of(from.transmitter(), channel);
    double centre = old.freePulse(0);
    double subTrim = centre - to.centreMicroseconds();
    double turned = channel.reversed() ? -1 : 1;
    double reachHigh = old.freePulse(100 * turned) - centre;
    double reachLow = centre - old.freePulse(-100 * turned);
    boolean fixed = to.subTrimMode() == SubTrimMode.FIXED_ENDS;
    double high = 100 * (reachHigh + (fixed ? subTrim : 0)) / to.microsecondsPer100();
    double low = 100 * (reachLow - (fixed ? subTrim : 0)) / to.microsecondsPer100();
    limits(channel, subTrim, Math.max(low, high));
    Channel there =
        plainInput(channel)
            ? channel.carrying(input(channel.carries(), Said.text(channel.name())))
            : channel;
    return there.with(
        Math.max(-MOST_SUB_TRIM, Math.min(MOST_SUB_TRIM, subTrim)), endpoint(low), endpoint(high));
  }

  private boolean plainInput(Channel channel) {
    return from.transmitter().inputIndex(channel.carries()) >= 0;
  }

  /** The lead of a simple channel is named by the input it follows. */
  private Wiring wiring() {
    List<Lead> leads =
        from.wiring().leads().stream()
            .map(
                lead ->
                    from.transmitter().inputIndex(lead.device()) >= 0
                        ? lead.to(input(lead.device(), Said.text(lead.label())))
                        : lead)
            .toList();
    return new Wiring(from.wiring().receiver(), leads, from.wiring().between());
  }

  private static double endpoint(double percent) {
    return Math.max(0, Math.min(MOST_ENDPOINT, percent));
  }

  private int clicks(Control control, int clicks) {
    double percent = clicks * from.transmitter().clickStepPercent();
    double exact = percent / to.clickStepPercent();
    long whole = (long) (Math.signum(exact) * Math.floor(Math.abs(exact) + 0.5));
    int most = to.trimRangeClicks();
    if (Math.abs(whole) > most) {
      notes.add(
          Said.of(
              "wiring.trimTooLarge", "control", control, "size", Math.abs(whole), "most", most));
    }
    return (int) Math.max(-most, Math.min(most, whole));
  }

  private Phase phase(Phase phase) {
    Trims own = phase.trims();
    Trims whole =
        new Trims(
            clicks(Control.ROLL, own.roll()),
            clicks(Control.PITCH, own.pitch()),
            clicks(Control.YAW, own.yaw()));
    return phase.withTrims(whole).withPresets(presets(phase, whole));
  }

  /** What is left of the trims after whole clicks, as presets of the same surfaces. */
  private List<Preset> presets(Phase phase, Trims own) {
    Trims before = phase.effective(from.trims());
    Trims after = phase.withTrims(own).effective(trims);
    List<Preset> presets = new ArrayList<>();
    for (Surface surface : from.surfaces()) {
      double percent = phase.presetPercent(surface.id());
      for (Control control : Control.values()) {
        double left =
            before.of(control) * from.transmitter().clickStepPercent()
                - after.of(control) * to.clickStepPercent();
        percent += surface.shares().of(control) * left;
      }
      if (percent != 0) {
        presets.add(new Preset(surface.id(), percent));
      }
    }
    return presets;
  }

  /** An input of the same id, else the next unused one of the same kind and as many positions. */
  private void mapInputs() {
    List<TransmitterInput> free = new ArrayList<>(to.inputs());
    for (TransmitterInput old : from.transmitter().inputs()) {
      if (free.removeIf(one -> one.id().equals(old.id()))) {
        inputs.put(old.id(), old.id());
      }
    }
    for (TransmitterInput old : from.transmitter().inputs()) {
      if (!inputs.containsKey(old.id())) {
        free.stream()
            .filter(one -> one.kind() == old.kind() && one.positions() == old.positions())
            .findFirst()
            .ifPresent(
                one -> {
                  inputs.put(old.id(), one.id());
                  free.remove(one);
                });
      }
    }
  }

  /** What asked for a place of a switch asks a switch, for the last place it has if need be. */
  private Condition condition(Condition old) {
    if (from.transmitter().inputIndex(old.subject()) < 0) {
      return old;
    }
    Said user = Said.text(old.name());
    if (old.kind() != ConditionKind.SWITCH_AT) {
      return old.change().subject(input(old.subject(), user)).done();
    }
    String subject =
        inputs.containsKey(old.subject())
            ? inputs.get(old.subject())
            : to.inputs().stream()
                .filter(one -> one.kind() == InputKind.SWITCH)
                .max(Comparator.comparingInt(TransmitterInput::positions))
                .map(one -> instead(old.subject(), one.id(), user))
                .orElseGet(() -> input(old.subject(), user));
    int index = to.inputIndex(subject);
    boolean lever = index >= 0 && to.inputs().get(index).kind() != InputKind.SWITCH;
    double last = index < 0 ? old.limit() : to.inputs().get(index).positions();
    double limit = lever ? HALF_WAY : Math.min(old.limit(), last);
    if (lever || limit != old.limit()) {
      notes.add(
          Said.of(
              "wiring.positionMissing",
              "user",
              user,
              "position",
              (int) old.limit(),
              "instead",
              name(to, subject)));
    }
    return old.change()
        .kind(lever ? ConditionKind.ABOVE : old.kind())
        .subject(subject)
        .limit(limit)
        .done();
  }

  private Mix mix(Mix old) {
    return old.source().of() == SourceOf.INPUT
        ? old.from(input(old.subject(), Said.text(old.name())))
        : old;
  }

  /** The input that takes the place of another; where there is none, any, and a note. */
  private String input(String old, Said user) {
    String found = inputs.get(old);
    if (found != null || to.inputs().isEmpty()) {
      return found == null ? old : found;
    }
    return instead(old, to.inputs().get(0).id(), user);
  }

  private String instead(String old, String instead, Said user) {
    notes.add(
        Said.of(
            "wiring.followsInstead",
            "user",
            user,
            "old",
            name(from.transmitter(), old),
            "instead",
            name(to, instead)));
    return instead;
  }

  private Surface surface(Surface surface) {
    List<LeverShare> levers = new ArrayList<>();
    for (LeverShare lever : surface.shares().levers()) {
      String input = inputs.get(lever.input());
      if (input == null) {
        notes.add(
            Said.of(
                "wiring.followsTransmitterNone",
                "surface",
                surface.name(),
                "input",
                name(from.transmitter(), lever.input())));
      } else {
        levers.add(new LeverShare(input, lever.share()));
      }
    }
    Shares old = surface.shares();
    return surface.withShares(old.change().levers(levers).done());
  }

  private static String name(Transmitter transmitter, String input) {
    int index = transmitter.inputIndex(input);
    return index < 0 ? input : transmitter.inputs().get(index).name();
  }

  private void limits(Channel channel, double subTrim, double endpoint) {
    if (endpoint > to.endpointLimitPercent() + NOTHING) {
      notes.add(
          Said.of(
              "wiring.endpointBeyond",
              "channel",
              channel.name(),
              "wanted",
              Quantity.percent(endpoint),
              "limit",
              Quantity.percent(to.endpointLimitPercent())));
    }
    if (Math.abs(subTrim) > to.subTrimLimitMicroseconds() + NOTHING) {
      notes.add(
          Said.of(
              "wiring.subTrimBeyond",
              "channel",
              channel.name(),
              "wanted",
              Quantity.microseconds(Math.abs(subTrim)),
              "limit",
              Quantity.microseconds(to.subTrimLimitMicroseconds())));
    }
  }

  private void numbers(Setup moved) {
    for (Channel channel : moved.channels()) {
      if (channel.number() > to.lastChannel()) {
        notes.add(
            Said.of(
                "wiring.withoutChannel",
                "channel",
                channel.name(),
                "count",
                to.channelCount(),
                "last",
                to.lastChannel()));
      }
    }
  }

  private List<MovedLine> lines(SignalPath before, SignalPath after) {
    List<MovedLine> lines = new ArrayList<>();
    Moment oldRest = Moment.centred(before.setup().trims());
    Moment newRest = Moment.centred(after.setup().trims());
    compare(lines, before, after, REST, oldRest, newRest);
    for (Control control : Control.values()) {
      for (int stick : new int[] {1, -1}) {
        Said where = Said.of("place.stick", "control", control, "plus", stick > 0);
        Moment old = oldRest.with(control, stick);
        compare(lines, before, after, where, old, newRest.with(control, stick));
      }
    }
    for (TransmitterInput input : before.setup().transmitter().inputs()) {
      int now = to.inputIndex(inputs.getOrDefault(input.id(), ""));
      if (now >= 0) {
        int was = before.setup().transmitter().inputIndex(input.id());
        Moment old = oldRest.withInput(was, 1);
        compare(lines, before, after, Said.text(input.name()), old, newRest.withInput(now, 1));
      }
    }
    return lines;
  }

  private static void compare(
      List<MovedLine> lines,
      SignalPath before,
      SignalPath after,
      Said where,
      Moment old,
      Moment now) {
    double[] a = before.evaluate(old).travelMm();
    double[] b = after.evaluate(now).travelMm();
    double[] rest = before.evaluate(Moment.centred(before.setup().trims())).travelMm();
    for (int i = 0; i < a.length; i++) {
      if (where.equals(REST) || a[i] != rest[i] || b[i] != rest[i]) {
        lines.add(new MovedLine(before.setup().surfaces().get(i).name(), where, a[i], b[i]));
      }
    }
  }
}
