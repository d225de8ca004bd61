package hightally.core.program;

import hightally.core.channel.EntrySection;
import hightally.core.channel.EntryWord;
import hightally.core.channel.Transmitter;
import hightally.core.mix.CurvePoint;
import hightally.core.program.EntrySheet.Entry;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Writes values down in the words and units of one transmitter. */
final class EntryWriter {
  private final Transmitter transmitter;
  private final Map<String, Entry> entries = new LinkedHashMap<>();

  EntryWriter(Transmitter transmitter) {
    this.transmitter = transmitter;
  }

  /** All that was written, by key. */
  Map<String, Entry> entries() {
    return entries;
  }

  static String points(List<CurvePoint> points) {
    return String.join(
        ", ", points.stream().map(one -> number(one.x()) + " → " + number(one.y())).toList());
  }

  static String number(double value) {
    double rounded = Math.rint(value * 10) / 10;
    return rounded == Math.rint(rounded)
        ? Long.toString((long) rounded)
        : String.format(Locale.ROOT, "%.1f", rounded);
  }

  void add(EntrySection section, String key, String place, String what, String value, String twin) {
    String menu =
        word(section)
            .map(one -> one.menu().isEmpty() ? one.name() : one.menu() + ": " + one.name())
            .orElse("");
    entries.put(key, new Entry(key, section, place, menu, what, value, "", twin));
  }

  private Optional<EntryWord> word(EntrySection section) {
    return transmitter.words().stream().filter(one -> one.section() == section).findFirst();
  }

  /** A number in the unit the transmitter wants, else in the design's. */
  String value(EntrySection section, double value, String unit) {
    return word(section)
        .filter(one -> !one.unit().isEmpty())
        .map(one -> number(value * one.perUnit()) + " " + one.unit())
        .orElse(number(value) + " " + unit);
  }

  String percent(EntrySection section, double value) {
    return value(section, value, "%");
  }

  String sides(EntrySection section, double plus, double minus) {
    return plus == minus
        ? percent(section, plus)
        : percent(section, plus) + " / " + percent(section, minus);
  }
}
