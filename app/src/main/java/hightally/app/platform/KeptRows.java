package hightally.app.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What was made of stored rows, kept by their number and version: a long history is read from the
 * data once, and after that only the rows that are new or were changed. Where something is being
 * written nothing is kept, since it may be taken back.
 *
 * @param <V> what is made of a row
 */
public final class KeptRows<V> {
  private final Cache<Row, V> kept;

  /**
   * One.
   *
   * @param most so many are kept
   */
  public KeptRows(int most) {
    kept = Caffeine.newBuilder().maximumSize(most).build();
  }

  /**
   * A row as it was.
   *
   * @param besides the version of whatever else is read for it
   */
  public record Row(long id, int version, int besides) {
    /** One for which nothing else is read. */
    public Row(long id, int version) {
      this(id, version, 0);
    }

    /** The same, with the version of what else is read for it. */
    public Row besides(int other) {
      return new Row(id, version, other);
    }
  }

  /**
   * What is made of rows, in their order.
   *
   * @param read of those that are not kept, by their numbers; one that is gone since is not in it
   */
  public List<V> of(List<Row> rows, Function<List<Long>, Map<Row, V>> read) {
    Map<Row, V> known = new HashMap<>(kept.getAllPresent(rows));
    List<Long> missing = rows.stream().filter(one -> !known.containsKey(one)).map(Row::id).toList();
    Map<Long, V> changed = new HashMap<>();
    if (!missing.isEmpty()) {
      Map<Row, V> found = read.apply(missing);
      known.putAll(found);
      found.forEach((row, value) -> changed.put(row.id(), value));
      if (TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
        kept.putAll(found);
      }
    }
    List<V> all = new ArrayList<>(rows.size());
    for (Row row : rows) {
      V value = known.getOrDefault(row, changed.get(row.id()));
      if (value != null) {
        all.add(value);
      }
    }
    return all;
  }
}
