package hightally.core.sheet;

import hightally.core.channel.EntrySection;
import hightally.core.channel.EntryWord;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Everything a pilot has to type into his transmitter, value by value: in the order, the words and
 * the units of that transmitter where he has named them, else in the order of the work.
 */
public final class EntrySheet {
  /** Typed in once, and no longer in the design. */
  private static final Said REMOVED = Said.of("entry.remove");

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
  @Copyable
  public record Entry(
      String key,
      EntrySection section,
      Said place,
      Said menu,
      Said what,
      Said value,
      Said before,
      String twin) {
    /** A copy to change, part by part. */
    public EntrySheetEntryCopy change() {
      return EntrySheetEntryCopy.from(this);
    }
  }

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
      if (before == null
          || !before.value().equals(entry.value())
          || !before.what().equals(entry.what())) {
        changes.add(with(entry, entry.value(), before == null ? Said.NOTHING : before.value()));
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
  public static List<Entry> beside(List<Entry> sheet, Map<String, Said> entered) {
    List<Entry> all = new ArrayList<>();
    for (Entry one : sheet) {
      all.add(with(one, one.value(), entered.getOrDefault(one.key(), Said.NOTHING)));
    }
    List<String> keys = sheet.stream().map(Entry::key).toList();
    entered.forEach(
        (key, value) -> {
          if (!keys.contains(key) && !value.equals(REMOVED)) {
            all.add(
                new Entry(
                    key,
                    EntrySection.MIX,
                    Said.of("program.noLongerWanted"),
                    Said.NOTHING,
                    Said.text(key),
                    REMOVED,
                    value,
                    ""));
          }
        });
    return all;
  }

  private static Entry with(Entry entry, Said value, Said before) {
    return entry.change().value(value).before(before).done();
  }

  private Map<String, Entry> all() {
    entries.putAll(new ProgramEntries(setup).all());
    return inTheirOrder();
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
}
