package hightally.core.sheet;

import hightally.core.channel.EntrySection;
import hightally.core.channel.EntryWord;
import hightally.core.channel.Transmitter;
import hightally.core.program.CurvePoint;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.sheet.EntrySheet.Entry;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Writes values down in the words and units of one transmitter. */
final class EntryWriter {
  /** Values are told as finely as anything kept in a design: nothing that differs looks alike. */
  private static final double TOLD = 10_000;

  private static final double FULL = 100;

  private final Transmitter transmitter;
  private final Map<String, Entry> entries = new LinkedHashMap<>();

  EntryWriter(Transmitter transmitter) {
    this.transmitter = transmitter;
  }

  /** All that was written, by key. */
  Map<String, Entry> entries() {
    return entries;
  }

  static Said points(List<CurvePoint> points) {
    List<Said> all =
        points.stream()
            .map(one -> Said.of("entry.point", "x", told(one.x()), "y", told(one.y())))
            .toList();
    return Said.of("entry.points", "points", all);
  }

  /** A plain number; the digits behind the point only where there are any. */
  private static Double told(double value) {
    return Math.rint(value * TOLD) / TOLD;
  }

  /**
   * What a motor is told, as power: 0 to 100 % from stopped to full, of a controller that runs both
   * ways with its direction; in the transmitter's own unit where it has one.
   */
  Said power(boolean twoWay, double command) {
    return ownUnit(EntrySection.POWER)
        ? value(EntrySection.POWER, command, Unit.PERCENT)
        : Said.of(
            "entry.power",
            "power",
            percentOf(twoWay ? Math.abs(command) : (command + FULL) / 2),
            "way",
            !twoWay || command == 0 ? "none" : command > 0 ? "forwards" : "backwards");
  }

  /** A throttle curve: the stick from back to full over the power it gives. */
  Said throttleCurve(boolean twoWay, List<CurvePoint> points) {
    List<Said> told =
        points.stream()
            .map(
                one ->
                    Said.of(
                        "entry.throttlePoint",
                        "x",
                        ownUnit(EntrySection.POWER)
                            ? value(EntrySection.POWER, one.x(), Unit.PERCENT)
                            : Said.of("entry.value", "value", percentOf((one.x() + FULL) / 2)),
                        "power",
                        power(twoWay, one.y())))
            .toList();
    return Said.of("entry.points", "points", told);
  }

  private static Quantity percentOf(double value) {
    return new Quantity(told(value), Unit.PERCENT, -1);
  }

  private boolean ownUnit(EntrySection section) {
    return word(section).filter(one -> !one.unit().isEmpty()).isPresent();
  }

  void add(EntrySection section, String key, Said place, Said what, Said value, String twin) {
    Said menu =
        word(section)
            .map(one -> Said.of("entry.menu", "menu", one.menu(), "name", one.name()))
            .orElse(Said.NOTHING);
    entries.put(key, new Entry(key, section, place, menu, what, value, Said.NOTHING, twin));
  }

  private Optional<EntryWord> word(EntrySection section) {
    return transmitter.words().stream().filter(one -> one.section() == section).findFirst();
  }

  /** A number in the unit the transmitter wants, else in the design's. */
  Said value(EntrySection section, double value, Unit unit) {
    return word(section)
        .filter(one -> !one.unit().isEmpty())
        .map(
            one ->
                Said.of("entry.ownUnit", "value", told(value * one.perUnit()), "unit", one.unit()))
        .orElseGet(() -> Said.of("entry.value", "value", new Quantity(told(value), unit, -1)));
  }

  Said percent(EntrySection section, double value) {
    return value(section, value, Unit.PERCENT);
  }

  /**
   * Both sides of something.
   *
   * @param stick the stick it comes from, for the words of its sides; null for what is no stick
   */
  Said sides(EntrySection section, Control stick, double plus, double minus) {
    if (plus == minus) {
      return percent(section, plus);
    }
    Said high = percent(section, plus);
    Said low = percent(section, minus);
    return stick == null
        ? Said.of("entry.sides", "plus", high, "minus", low)
        : Said.of("entry.sidesOfStick", "stick", stick, "plus", high, "minus", low);
  }
}
