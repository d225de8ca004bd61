package hightally.core.edit;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Panel;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Place;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Side;
import hightally.core.airframe.Station;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.Transmitter;
import hightally.core.channel.Wiring;
import hightally.core.edit.PartWish.PartPlace;
import hightally.core.linkage.ArmSeating;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.program.FailsafeSetting;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Adds parts to a model. Each comes complete (servo, channel, lead), square and moving the right
 * way, with figures to be replaced by measured ones.
 */
public final class PartsAdded {
  /** A small digital servo on the usual 25 teeth. */
  private static final Servo SERVO =
      new Servo(
          "servo",
          "servo",
          0,
          0.09,
          1500,
          60,
          false,
          0,
          20,
          new ArmSeating(25, 4),
          List.of(8.0, 10.0, 12.0, 14.0),
          250);

  private static final Linkage SQUARE = new Linkage(12, 15, 90, 0, 0, false, true);
  private static final RodEnd CLEVIS = new RodEnd(RodEndKind.CLEVIS, 0.4);
  private static final double CHORD_MM = 40;
  private static final double PROPELLER_MM = 250;

  private final PartNames names;
  private final Naming naming;
  private Setup setup;

  private PartsAdded(Setup setup, Naming naming) {
    this.naming = naming;
    this.setup = setup;
    names = new PartNames(setup);
  }

  /** The setup with a part added, or with a mirrored pair of them. */
  public static Setup of(Setup setup, PartWish wish, Naming naming) {
    Validation.check(setup);
    Validation.check(wish);
    PartsAdded parts = new PartsAdded(setup, naming);
    if (wish.mirrored()) {
      if (!wish.kind().sided()) {
        throw InvalidInputException.of("mirrored", "true", Said.of("demand.noSides"));
      }
      if (wish.rightName().isBlank()) {
        throw InvalidInputException.of("rightName", wish.rightName(), Said.of("demand.givenPair"));
      }
      String left = parts.add(wish, Side.LEFT, wish.name());
      String right = parts.add(wish, Side.RIGHT, wish.rightName());
      parts.paired(left, right);
    } else {
      parts.add(wish, wish.side(), wish.name());
    }
    return Validation.check(parts.setup);
  }

  /** Two new surfaces, or two new panels, that mirror one another. */
  private void paired(String left, String right) {
    Map<String, String> other = Map.of(left, right, right, left);
    setup =
        setup
            .change()
            .surfaces(
                setup.surfaces().stream()
                    .map(one -> one.inPairWith(other.getOrDefault(one.id(), one.pair())))
                    .toList())
            .airframe(
                setup
                    .airframe()
                    .withPanels(
                        setup.airframe().panels().stream()
                            .map(one -> one.inPairWith(other.getOrDefault(one.id(), one.pair())))
                            .toList()))
            .done();
  }

  /** The id of what was added. */
  private String add(PartWish wish, Side side, String name) {
    String id = wish.kind().place() == PartPlace.INPUT ? wish.at() : names.id(name);
    Runnable made =
        switch (wish.kind()) {
          case SURFACE -> () -> surface(wish, side, name, id);
          case SLAVE_SURFACE -> () -> slave(wish, side, name, id);
          case PANEL -> () -> panel(wish.panel(), side, name, id);
          case MOTOR -> () -> motor(side, name, id);
          case SIMPLE_CHANNEL -> () -> simple(name, id);
        };
    made.run();
    return id;
  }

  private void surface(PartWish wish, Side side, String name, String id) {
    String servoName = naming.of(Said.of("edit.servo", "surface", name), 80);
    String servoId = names.id(servoName);
    int channel = freeChannel();
    boolean right = side == Side.RIGHT;
    Servo servo = named(servoId, servoName, channel);
    Rod rod = new Rod(DriverKind.SERVO, servoId, SQUARE, CLEVIS, 0);
    Surface surface = surface(id, name, side, wish.role(), panelFor(wish, side), rod);
    setup =
        setup
            .change()
            .channels(plus(setup.channels(), new Channel(channel, name, id, right, 0, 100, 100, 0)))
            .servos(
                plus(
                    setup.servos(),
                    right ? servo.mirrored(SERVO.centrePulseMicroseconds()) : servo))
            .surfaces(plus(setup.surfaces(), surface))
            .wiring(plugged(servoId, channel, name))
            .done();
  }

  private static Servo named(String id, String name, int channel) {
    return SERVO.change().id(id).name(name).channel(channel).done();
  }

  private static Surface surface(
      String id, String name, Side side, SurfaceRole role, String panel, Rod rod) {
    boolean sideways = role.sideways();
    Shares shares = role.usualShares(side);
    Place place = new Place(panel, 0.2, 0.8);
    List<Double> holes = List.of(11.0, 13.0, 15.0, 17.0);
    return new Surface(id, name, side, sideways, CHORD_MM, place, shares, rod, role, "", holes);
  }

  private void slave(PartWish wish, Side side, String name, String id) {
    Surface driver =
        setup
            .surface(wish.at())
            .orElseThrow(
                () -> InvalidInputException.of("at", wish.at(), Said.of("demand.idSurfaceDrives")));
    Rod rod = new Rod(DriverKind.SURFACE, driver.id(), SQUARE, CLEVIS, 0);
    String panel = driver.place().panel();
    Surface added = surface(id, name, side, wish.role(), panel, rod);
    setup = setup.withSurfaces(plus(setup.surfaces(), added.withShares(driver.shares())));
  }

  /** The panel asked for; for the right one of a pair the panel that mirrors it. */
  private String panelFor(PartWish wish, Side side) {
    List<Panel> panels = setup.airframe().panels();
    List<String> ids = panels.stream().map(Panel::id).toList();
    if (!ids.contains(wish.at())) {
      throw InvalidInputException.of("at", wish.at(), Said.of("demand.idPanelAirframe"));
    }
    String mirrored = panels.get(ids.indexOf(wish.at())).pair();
    return wish.mirrored() && side == Side.RIGHT && !mirrored.isEmpty() ? mirrored : wish.at();
  }

  private void panel(PanelRole role, Side side, String name, String id) {
    int sign = side == Side.LEFT ? -1 : 1;
    Panel panel =
        new Panel(
            id,
            name,
            new Station(300, sign * 20, 0, 200),
            new Station(320, sign * 500, 20, 150),
            role,
            "");
    setup =
        setup
            .change()
            .airframe(setup.airframe().withPanels(plus(setup.airframe().panels(), panel)))
            .done();
  }

  private void motor(Side side, String name, String id) {
    int channel = freeChannel();
    double right = side == Side.LEFT ? -200 : side == Side.RIGHT ? 200 : 0;
    Motor motor = new Motor(id, name, channel, side == Side.CENTRE ? 0 : 250, right, PROPELLER_MM);
    Channel added = new Channel(channel, name, Channel.THROTTLE, false, 0, 100, 100, 0);
    setup =
        setup
            .change()
            .channels(plus(setup.channels(), added))
            .airframe(setup.airframe().withMotors(plus(setup.airframe().motors(), motor)))
            .wiring(plugged(id, channel, name))
            .power(
                setup
                    .power()
                    .withFailsafe(
                        plus(setup.power().failsafe(), FailsafeSetting.safe(added, setup.power()))))
            .done();
  }

  private void simple(String name, String input) {
    int channel = freeChannel();
    Channel added = new Channel(channel, name, input, false, 0, 100, 100, 0);
    setup =
        setup
            .change()
            .channels(plus(setup.channels(), added))
            .wiring(plugged(input, channel, name))
            .done();
  }

  private int freeChannel() {
    Transmitter transmitter = setup.transmitter();
    for (int number = transmitter.firstChannel(); number <= transmitter.lastChannel(); number++) {
      if (setup.channel(number).isEmpty()) {
        return number;
      }
    }
    throw InvalidInputException.of(
        "transmitter.channelCount", transmitter.channelCount(), Said.of("demand.channelsInUse"));
  }

  /** On a socket of that channel; where there is none, no lead yet, which the map then says. */
  private Wiring plugged(String device, int channel, String name) {
    Wiring wiring = setup.wiring();
    String label = name.length() > 40 ? name.substring(0, 40) : name;
    return wiring.receiver().sockets().stream()
        .filter(one -> one.channel() == channel && one.output() == SocketOutput.SERVO)
        .map(Socket::number)
        .findFirst()
        .map(number -> new Lead(device, number, "", 0, false, label))
        .map(lead -> new Wiring(wiring.receiver(), plus(wiring.leads(), lead), wiring.between()))
        .orElse(wiring);
  }

  private static <T> List<T> plus(List<T> list, T added) {
    List<T> longer = new ArrayList<>(list);
    longer.add(added);
    return longer;
  }
}
