package hightally.core.plain;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.CurvePoint;
import hightally.core.program.Differential;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.FlightTimer;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Power;
import hightally.core.program.Preset;
import hightally.core.program.Response;
import hightally.core.program.Shape;
import hightally.core.program.StartPosition;
import hightally.core.program.ThrottleCurve;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * A plain stand-in for a transmitter that is empty: it has its sticks, levers, switches and the
 * conditions a pilot can set up on them, and else just what is typed, one value after the other,
 * each into the place the sheet names. What is typed later into the same place stands.
 */
public final class StandInTransmitter {
  private static final double FULL = 100;

  private final Setup model;
  private final Function<String, Said> sentences;
  private final Function<String, Said> subjects;
  private final Map<Integer, Channel> channels = new LinkedHashMap<>();
  private final Map<String, Shares> shares = new LinkedHashMap<>();
  private final Map<String, Map<String, Said>> sets = new LinkedHashMap<>();
  private final Map<String, Map<String, Said>> phases = new LinkedHashMap<>();
  private final Map<String, Map<String, Said>> mixes = new LinkedHashMap<>();
  private final Map<String, Said> plain = new LinkedHashMap<>();
  private final Map<String, ThrottleCurve> curves = new LinkedHashMap<>();
  private final List<FailsafeSetting> failsafe = new ArrayList<>();
  private final List<StartPosition> demanded = new ArrayList<>();
  private final List<FlightTimer> timers = new ArrayList<>();

  /**
   * An empty one in front of a model.
   *
   * @param sentences what each condition is called on paper, by its id; "" for always
   * @param subjects what each lever and switch is called, by its id; "" for the throttle stick
   */
  public StandInTransmitter(
      Setup model, Function<String, Said> sentences, Function<String, Said> subjects) {
    this.model = model;
    this.sentences = sentences;
    this.subjects = subjects;
    for (Channel one : model.channels()) {
      channels.put(
          one.number(),
          new Channel(one.number(), one.name(), one.carries(), false, 0, FULL, FULL, 0));
    }
  }

  /** Types one value. */
  public void type(String key, Said what, Said value) {
    int slash = key.indexOf('/');
    String place = slash < 0 ? key : key.substring(0, slash);
    String field = slash < 0 ? "" : key.substring(slash + 1);
    if (place.startsWith("channel-")) {
      channel(Integer.parseInt(place.substring(8)), field, value);
    } else if (place.startsWith("feel-")) {
      sets.computeIfAbsent(place.substring(5), id -> new LinkedHashMap<>()).put(field, value);
    } else if (place.startsWith("phase-")) {
      phases.computeIfAbsent(place.substring(6), id -> new LinkedHashMap<>()).put(field, value);
    } else if (place.startsWith("mix-")) {
      mixes.computeIfAbsent(place.substring(4), id -> new LinkedHashMap<>()).put(field, value);
    } else if (place.equals("power") && field.startsWith("curve-")) {
      List<CurvePoint> points =
          listed(value, "points").stream()
              .map(one -> new CurvePoint(2 * of(said(one, "x")) - FULL, power(said(one, "power"))))
              .toList();
      Said where = said(what, "phases");
      curves.put(field, new ThrottleCurve(phaseIds(where), points));
    } else if (place.startsWith("failsafe-")) {
      failsafe(Integer.parseInt(place.substring(9)), value);
    } else if (place.startsWith("demanded-")) {
      demanded.add(new StartPosition(place.substring(9), (Integer) value.with().get("position")));
    } else if (place.startsWith("timer-")) {
      timer(place.substring(6), value);
    } else {
      plain.put(key, value);
    }
  }

  private static Said said(Said of, String name) {
    return (Said) of.with().get(name);
  }

  @SuppressWarnings("unchecked")
  private static List<Said> listed(Said of, String name) {
    return (List<Said>) of.with().get(name);
  }

  private static double of(Said value) {
    return ((Quantity) value.with().get("value")).value();
  }

  /** A side of something that may be typed for both at once. */
  private static double side(Said value, boolean plus) {
    return value.code().equals("entry.value")
        ? of(value)
        : of(said(value, plus ? "plus" : "minus"));
  }

  private double power(Said value) {
    double percent = ((Quantity) value.with().get("power")).value();
    boolean twoWay = (Boolean) plain.get("power/throttle").with().get("twoWay");
    if (!twoWay) {
      return 2 * percent - FULL;
    }
    return value.with().get("way").equals("backwards") ? -percent : percent;
  }

  private void channel(int number, String field, Said value) {
    Channel was = channels.get(number);
    double low = was.endpointLowPercent();
    double high = was.endpointHighPercent();
    double sub = was.subTrimMicroseconds();
    boolean reversed = was.reversed();
    double slow = was.slowedSeconds();
    double least = was.limitLowPercent();
    double most = was.limitHighPercent();
    switch (field) {
      case "carries" -> shares(value);
      case "reversed" -> reversed = (Boolean) value.with().get("reversed");
      case "sub-trim" -> sub = of(value);
      case "low" -> low = of(value);
      case "high" -> high = of(value);
      case "slowed" -> slow = of(value);
      case "limit-low" -> least = of(value);
      case "limit-high" -> most = of(value);
      default -> {
        // What a channel follows, and what may not move it, is no number.
      }
    }
    channels.put(
        number,
        new Channel(
            number, was.name(), was.carries(), reversed, sub, low, high, slow, least, most, false));
  }

  private void shares(Said value) {
    double[] parts = new double[Control.values().length];
    List<LeverShare> levers = new ArrayList<>();
    for (Said one : listed(value, "shares")) {
      Said by = said(one, "of");
      double part = of(said(one, "part")) / FULL;
      if (by.code().equals("control")) {
        parts[((Control) by.with().get("control")).ordinal()] = part;
      } else {
        levers.add(new LeverShare(input(by), part));
      }
    }
    shares.put(
        (String) value.with().get("surface"), new Shares(parts[0], parts[1], parts[2], levers));
  }

  private String input(Said called) {
    return model.transmitter().inputs().stream()
        .map(TransmitterInput::id)
        .filter(id -> subjects.apply(id).equals(called))
        .findFirst()
        .orElse("");
  }

  private String condition(Said sentence) {
    if (sentence.equals(sentences.apply(""))) {
      return "";
    }
    return model.conditions().stream()
        .map(Condition::id)
        .filter(id -> sentences.apply(id).equals(sentence))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no switch logic reads " + sentence));
  }

  @SuppressWarnings("unchecked")
  private List<String> phaseIds(Said where) {
    if (where.isEmpty()) {
      return List.of();
    }
    List<String> names = (List<String>) where.with().get("phases");
    return names.stream()
        .map(
            name ->
                model.phases().stream()
                    .filter(one -> one.name().equals(name))
                    .findFirst()
                    .orElseThrow()
                    .id())
        .toList();
  }

  private void failsafe(int channel, Said value) {
    if (value.code().equals("entry.noFailsafe")) {
      return;
    }
    boolean holds = value.code().equals("entry.hold");
    double percent = holds ? 0 : value.code().equals("entry.power") ? power(value) : of(value);
    failsafe.add(new FailsafeSetting(channel, holds, percent));
  }

  @SuppressWarnings("unchecked")
  private void timer(String id, Said value) {
    List<Quantity> spoken = (List<Quantity>) value.with().get("spoken");
    Said reset = said(value, "reset");
    timers.add(
        new FlightTimer(
            id,
            id,
            (Boolean) value.with().get("down"),
            ((Quantity) value.with().get("from")).value(),
            condition(said(value, "when")),
            reset.code().equals("entry.byHand") ? "" : condition(reset),
            spoken.stream().map(Quantity::value).toList()));
  }

  /** What stands in it now, in front of its model. */
  public Setup typed() {
    List<Surface> surfaces =
        model.surfaces().stream()
            .map(one -> one.withShares(shares.getOrDefault(one.name(), one.shares())))
            .toList();
    return model
        .change()
        .channels(List.copyOf(channels.values()))
        .surfaces(surfaces)
        .feel(feel(plain, "feel/"))
        .feelSets(feelSets())
        .phases(phaseList())
        .mixes(mixes.entrySet().stream().map(one -> mix(one.getKey(), one.getValue())).toList())
        .power(power())
        .trims(trims(plain, "trim-"))
        .done();
  }

  private static Trims trims(Map<String, Said> typed, String at) {
    Trims trims = Trims.ZERO;
    for (Control control : Control.values()) {
      Said value = typed.get(at + control.word());
      trims = value == null ? trims : trims.with(control, (int) Math.round(of(value)));
    }
    return trims;
  }

  private static Feel feel(Map<String, Said> typed, String at) {
    Response[] all = new Response[Control.values().length];
    for (Control control : Control.values()) {
      String here = at + control.word();
      Said rate = typed.get(here + "/rate");
      Said expo = typed.get(here + "/expo");
      all[control.ordinal()] =
          rate == null
              ? Response.even(FULL, 0)
              : new Response(
                  side(rate, true),
                  side(rate, false),
                  side(expo, true),
                  side(expo, false),
                  (Shape) typed.get(here + "/shape").with().get("shape"));
    }
    return new Feel(all[0], all[1], all[2]);
  }

  private List<FeelSet> feelSets() {
    return sets.entrySet().stream()
        .sorted(Comparator.comparing(one -> priority(one.getValue())))
        .map(
            one -> {
              Map<String, Said> typed = one.getValue();
              Said active = typed.get("when");
              return new FeelSet(
                  one.getKey(),
                  one.getKey(),
                  condition(said(active, "when")),
                  phaseIds(said(active, "phases")),
                  typed.containsKey("roll/rate"),
                  typed.containsKey("pitch/rate"),
                  typed.containsKey("yaw/rate"),
                  feel(typed, ""));
            })
        .toList();
  }

  private static int priority(Map<String, Said> typed) {
    Said priority = typed.get("priority");
    return priority == null ? 1 : (Integer) priority.with().get("number");
  }

  private List<Phase> phaseList() {
    List<Map.Entry<String, Map<String, Said>>> sorted =
        phases.entrySet().stream()
            .sorted(Comparator.comparing(one -> priority(one.getValue())))
            .toList();
    if (sorted.isEmpty()) {
      Phase one = model.basePhase();
      return List.of(phase(one.id(), Map.of()));
    }
    return sorted.stream().map(one -> phase(one.getKey(), one.getValue())).toList();
  }

  @SuppressWarnings("unchecked")
  private Phase phase(String id, Map<String, Said> typed) {
    List<Preset> presets = new ArrayList<>();
    List<Differential> differential = new ArrayList<>();
    typed.forEach(
        (field, value) -> {
          if (field.startsWith("preset-")) {
            presets.add(new Preset(field.substring(7), of(value)));
          } else if (field.startsWith("differential-")) {
            differential.add(new Differential(field.substring(13), of(value)));
          }
        });
    Said when = typed.get("when");
    boolean always = when == null || when.code().equals("program.whenNoOther");
    Said own = typed.get("trims");
    List<Control> owned =
        own == null || !own.code().equals("entry.controls")
            ? List.of()
            : (List<Control>) own.with().get("controls");
    return new Phase(
        id,
        model.phase(id).orElseThrow().name(),
        "",
        PhaseRole.OTHER,
        always ? "" : condition(when),
        typed.containsKey("fade") ? of(typed.get("fade")) : 0,
        presets,
        differential,
        owned.contains(Control.ROLL) || typed.containsKey("trim-roll"),
        owned.contains(Control.PITCH) || typed.containsKey("trim-pitch"),
        owned.contains(Control.YAW) || typed.containsKey("trim-yaw"),
        trims(typed, "trim-"),
        NoseNote.NOT_FLOWN);
  }

  private Mix mix(String id, Map<String, Said> typed) {
    Said from = typed.get("source");
    MixSource source = (MixSource) from.with().get("source");
    Said active = typed.get("when");
    List<MixTarget> targets = new ArrayList<>();
    typed.forEach(
        (field, value) -> {
          if (field.startsWith("to-")) {
            targets.add(
                new MixTarget(
                    field.substring(3), side(value, true) / FULL, side(value, false) / FULL));
          }
        });
    Said curve = typed.get("curve");
    Said weight = typed.get("weight");
    return new Mix(
        id,
        id,
        "",
        source,
        subject(source, said(from, "subject")),
        weight == null ? 0 : side(weight, true),
        weight == null ? 0 : side(weight, false),
        typed.containsKey("start") ? of(typed.get("start")) : 0,
        curve == null ? List.of() : points(curve),
        targets,
        condition(said(active, "when")),
        phaseIds(said(active, "phases")),
        typed.containsKey("fade") ? of(typed.get("fade")) : 0);
  }

  private static List<CurvePoint> points(Said curve) {
    return listed(curve, "points").stream()
        .map(
            one ->
                new CurvePoint(
                    ((Number) one.with().get("x")).doubleValue(),
                    ((Number) one.with().get("y")).doubleValue()))
        .toList();
  }

  private String subject(MixSource source, Said called) {
    return switch (source.of()) {
      case STICK -> ((Control) called.with().get("control")).word();
      case INPUT -> input(called);
      case SURFACE ->
          model.surfaces().stream()
              .filter(one -> Said.text(one.name()).equals(called))
              .findFirst()
              .orElseThrow()
              .id();
      case NOTHING -> "";
    };
  }

  private Power power() {
    Power was = model.power();
    Said throttle = plain.get("power/throttle");
    if (throttle == null) {
      return new Power(
          was.throttleInput(),
          was.twoWay(),
          List.of(ThrottleCurve.PLAIN),
          "",
          -FULL,
          "",
          true,
          failsafe,
          true,
          demanded,
          timers,
          was.alarms(),
          was.stopMicroseconds());
    }
    Said from = said(throttle, "from");
    return new Power(
        from.equals(subjects.apply("")) ? "" : input(from),
        (Boolean) throttle.with().get("twoWay"),
        List.copyOf(curves.values()),
        plain.containsKey("power/cut-when") ? condition(plain.get("power/cut-when")) : "",
        power(plain.get("power/cut")),
        plain.containsKey("power/arm-when") ? condition(plain.get("power/arm-when")) : "",
        (Boolean) plain.get("power/stick-back").with().get("back"),
        failsafe,
        (Boolean) plain.get("power/warning").with().get("on"),
        demanded,
        timers,
        was.alarms(),
        was.stopMicroseconds());
  }
}
