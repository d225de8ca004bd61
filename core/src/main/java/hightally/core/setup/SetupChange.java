package hightally.core.setup;

import hightally.core.airframe.Airframe;
import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Contact;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Transmitter;
import hightally.core.channel.Wiring;
import hightally.core.program.Condition;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.Trims;
import java.util.List;

/** A setup on its way to another: set what differs, then {@link #done()}. */
public final class SetupChange {
  private final Setup from;
  private String name;
  private Airframe airframe;
  private Transmitter transmitter;
  private Wiring wiring;
  private List<Channel> channels;
  private List<Servo> servos;
  private List<Surface> surfaces;
  private List<Contact> contacts;
  private List<Condition> conditions;
  private List<Phase> phases;
  private List<FeelSet> feelSets;
  private List<Mix> mixes;
  private Power power;
  private Feel feel;
  private Trims trims;
  private BalanceSheet balance;
  private Notebook notebook;

  SetupChange(Setup from) {
    this.from = from;
    name = from.name();
    airframe = from.airframe();
    transmitter = from.transmitter();
    wiring = from.wiring();
    channels = from.channels();
    servos = from.servos();
    surfaces = from.surfaces();
    contacts = from.contacts();
    conditions = from.conditions();
    phases = from.phases();
    feelSets = from.feelSets();
    mixes = from.mixes();
    power = from.power();
    feel = from.feel();
    trims = from.trims();
    balance = from.balance();
    notebook = from.notebook();
  }

  public SetupChange name(String changed) {
    name = changed;
    return this;
  }

  public SetupChange airframe(Airframe changed) {
    airframe = changed;
    return this;
  }

  public SetupChange transmitter(Transmitter changed) {
    transmitter = changed;
    return this;
  }

  public SetupChange wiring(Wiring changed) {
    wiring = changed;
    return this;
  }

  public SetupChange channels(List<Channel> changed) {
    channels = changed;
    return this;
  }

  public SetupChange servos(List<Servo> changed) {
    servos = changed;
    return this;
  }

  public SetupChange surfaces(List<Surface> changed) {
    surfaces = changed;
    return this;
  }

  public SetupChange contacts(List<Contact> changed) {
    contacts = changed;
    return this;
  }

  public SetupChange conditions(List<Condition> changed) {
    conditions = changed;
    return this;
  }

  public SetupChange phases(List<Phase> changed) {
    phases = changed;
    return this;
  }

  public SetupChange feelSets(List<FeelSet> changed) {
    feelSets = changed;
    return this;
  }

  public SetupChange mixes(List<Mix> changed) {
    mixes = changed;
    return this;
  }

  public SetupChange power(Power changed) {
    power = changed;
    return this;
  }

  public SetupChange feel(Feel changed) {
    feel = changed;
    return this;
  }

  public SetupChange trims(Trims changed) {
    trims = changed;
    return this;
  }

  public SetupChange balance(BalanceSheet changed) {
    balance = changed;
    return this;
  }

  public SetupChange notebook(Notebook changed) {
    notebook = changed;
    return this;
  }

  /** Drops the failsafe settings of channels that are no longer there. */
  public SetupChange withoutLostFailsafe() {
    power =
        power.withFailsafe(
            power.failsafe().stream()
                .filter(one -> channels.stream().anyMatch(c -> c.number() == one.channel()))
                .toList());
    return this;
  }

  /** The changed setup; what was not set is as it was. */
  public Setup done() {
    return new Setup(
        from.formatVersion(),
        name,
        from.notes(),
        airframe,
        transmitter,
        wiring,
        channels,
        servos,
        surfaces,
        contacts,
        conditions,
        phases,
        feel,
        feelSets,
        mixes,
        power,
        trims,
        balance,
        from.house(),
        notebook);
  }
}
