package hightally.core.edit;

import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Contact;
import hightally.core.airframe.Pack;
import hightally.core.airframe.Surface;
import hightally.core.channel.Between;
import hightally.core.channel.BetweenKind;
import hightally.core.channel.Channel;
import hightally.core.channel.InputKind;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.TransmitterInput;
import hightally.core.channel.Wiring;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.FeelSet;
import hightally.core.program.FlightTimer;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.TelemetryAlarm;
import hightally.core.program.ThrottleCurve;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Adds what is new with values to begin with: small, harmless, and meant to be changed. */
public final class NewParts {
  private static final int LONGEST = 40;
  private static final int POSITIONS = 3;

  /** A pack's motor time, and when it is called out. */
  private static final double TIMER_SECONDS = 300;

  private static final List<Double> SPOKEN_SECONDS = List.of(60.0, 30.0);

  /** Three cells that are nearly empty, for long enough not to be a gust of throttle. */
  private static final double ALARM_VOLTS = 10;

  private static final double ALARM_SECONDS = 3;

  /** Further than surfaces of most models go: nothing touches until it is measured. */
  private static final double CONTACT_MM = 100;

  /** A tenth of the throttle: more than a trembling thumb. */
  private static final double OFF_THE_STOP = 10;

  private static final double PACK_GRAMS = 200;
  private static final double PACK_AHEAD_MM = 100;
  private static final double ALL_TRAVEL_PERCENT = 150;

  private final Setup setup;
  private final Naming naming;

  private NewParts(Setup setup, Naming naming) {
    this.setup = Validation.check(setup);
    this.naming = naming;
  }

  /**
   * The setup with it added behind the others of its kind.
   *
   * @throws InvalidInputException if the setup has not what it needs
   */
  public static Setup added(Setup setup, NewPart what, Naming naming) {
    return Validation.check(new NewParts(setup, naming).with(what));
  }

  private Setup with(NewPart what) {
    return switch (what) {
      case CONDITION -> setup.change().conditions(plus(setup.conditions(), condition())).done();
      case MIX -> setup.change().mixes(plus(setup.mixes(), mix())).done();
      case FEEL_SET -> setup.change().feelSets(plus(setup.feelSets(), feelSet())).done();
      case TIMER ->
          setup
              .change()
              .power(setup.power().withTimers(plus(setup.power().timers(), timer())))
              .done();
      case ALARM ->
          setup
              .change()
              .power(setup.power().withAlarms(plus(setup.power().alarms(), alarm())))
              .done();
      case THROTTLE_CURVE ->
          setup
              .change()
              .power(setup.power().withCurves(plus(setup.power().curves(), curve())))
              .done();
      case FAILSAFE ->
          setup
              .change()
              .power(setup.power().withFailsafe(plus(setup.power().failsafe(), failsafe())))
              .done();
      case CONTACT -> setup.change().contacts(plus(setup.contacts(), contact())).done();
      case PACK -> setup.change().balance(balance()).done();
      case BETWEEN -> setup.change().wiring(wiring()).done();
      case SOCKET -> setup.change().wiring(wiredWith(socket())).done();
      case LEVER -> input(InputKind.LEVER, 0);
      case SWITCH -> input(InputKind.SWITCH, POSITIONS);
    };
  }

  /** The first switch away from its rest; where there is none, the throttle off its stop. */
  private Condition condition() {
    String id = free("condition", setup.conditions().stream().map(Condition::id));
    String name = named("edit.newCondition");
    return setup.transmitter().inputs().stream()
        .filter(one -> one.kind() == InputKind.SWITCH)
        .findFirst()
        .map(one -> new Condition(id, name, ConditionKind.SWITCH_AT, one.id(), 2, List.of(), 0))
        .orElse(
            new Condition(id, name, ConditionKind.ABOVE, "throttle", OFF_THE_STOP, List.of(), 0));
  }

  private Mix mix() {
    return new Mix(
        free("mix", setup.mixes().stream().map(Mix::id)),
        named("edit.newMix"),
        "",
        MixSource.RESPONSE,
        Control.ROLL.word(),
        0,
        0,
        0,
        List.of(),
        List.of(MixTarget.even(setup.surfaces().get(0).id(), 1)),
        "",
        List.of(),
        0);
  }

  private FeelSet feelSet() {
    String id = free("set", setup.feelSets().stream().map(FeelSet::id));
    List<String> phases = List.of(setup.phases().get(0).id());
    return new FeelSet(id, named("edit.newSet"), "", phases, true, true, true, setup.feel());
  }

  private FlightTimer timer() {
    String id = free("timer", setup.power().timers().stream().map(FlightTimer::id));
    return new FlightTimer(id, named("edit.newTimer"), true, TIMER_SECONDS, "", "", SPOKEN_SECONDS);
  }

  private TelemetryAlarm alarm() {
    return new TelemetryAlarm(named("edit.newAlarm"), "voltage", ALARM_VOLTS, ALARM_SECONDS);
  }

  /** As the first one is, to be bent for one phase. */
  private ThrottleCurve curve() {
    List<String> phases = List.of(setup.phases().get(0).id());
    return new ThrottleCurve(phases, setup.power().curves().get(0).points());
  }

  /** A motor stands still; anything else stays where it was. */
  private FailsafeSetting failsafe() {
    Set<Integer> set =
        setup.power().failsafe().stream().map(FailsafeSetting::channel).collect(Collectors.toSet());
    Channel channel =
        setup.channels().stream()
            .filter(one -> !set.contains(one.number()))
            .findFirst()
            .orElseThrow(
                () ->
                    InvalidInputException.of(
                        "part", NewPart.FAILSAFE, Said.of("demand.channelWithoutFailsafe")));
    return FailsafeSetting.safe(channel, setup.power());
  }

  private Contact contact() {
    List<Surface> surfaces = setup.surfaces();
    if (surfaces.size() < 2) {
      throw InvalidInputException.of("part", NewPart.CONTACT, Said.of("demand.twoSurfaces"));
    }
    return new Contact(surfaces.get(0).id(), CONTACT_MM, surfaces.get(1).id(), CONTACT_MM);
  }

  private BalanceSheet balance() {
    BalanceSheet sheet = setup.balance();
    int number = sheet.packs().size() + 1;
    String name = naming.of(Said.of("edit.newPack", "number", number), LONGEST);
    double target = sheet.targetMm();
    return sheet.withPacks(
        plus(sheet.packs(), new Pack(name, PACK_GRAMS, target, target - PACK_AHEAD_MM)));
  }

  private Wiring wiring() {
    Between added =
        new Between(
            named("edit.newStabiliser"),
            BetweenKind.STABILISER,
            List.of(),
            ALL_TRAVEL_PERCENT,
            false,
            false);
    Wiring wiring = setup.wiring();
    return new Wiring(wiring.receiver(), wiring.leads(), plus(wiring.between(), added));
  }

  private Socket socket() {
    int number = 0;
    int channel = 1;
    for (Socket one : setup.wiring().receiver().sockets()) {
      number = Math.max(number, one.number() + 1);
      channel = Math.max(channel, one.channel() + 1);
    }
    return new Socket(number, channel, SocketOutput.SERVO);
  }

  private Wiring wiredWith(Socket socket) {
    Wiring wiring = setup.wiring();
    Receiver old = wiring.receiver();
    Receiver receiver = old.change().sockets(plus(old.sockets(), socket)).done();
    return new Wiring(receiver, wiring.leads(), wiring.between());
  }

  private Setup input(InputKind kind, int positions) {
    String name = named(kind == InputKind.LEVER ? "edit.newLever" : "edit.newSwitch");
    String id = new PartNames(setup).id(name);
    List<TransmitterInput> inputs =
        plus(setup.transmitter().inputs(), new TransmitterInput(id, name, kind, positions));
    return setup.change().transmitter(setup.transmitter().withInputs(inputs)).done();
  }

  private String named(String code) {
    return naming.of(Said.of(code), LONGEST);
  }

  private static String free(String base, Stream<String> ids) {
    Set<String> taken = ids.collect(Collectors.toSet());
    int number = 1;
    while (taken.contains(base + "-" + number)) {
      number++;
    }
    return base + "-" + number;
  }

  private static <T> List<T> plus(List<T> list, T added) {
    List<T> longer = new ArrayList<>(list);
    longer.add(added);
    return longer;
  }
}
