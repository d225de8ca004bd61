package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.app.platform.KeptRows.Row;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronizationManager;

class KeptRowsTest {
  /** What stands in the data: number, version, value. */
  private final Map<Long, Map.Entry<Integer, String>> stored = new HashMap<>();

  private final List<List<Long>> asked = new ArrayList<>();
  private final KeptRows<String> kept = new KeptRows<>(100);

  @BeforeEach
  void onlyRead() {
    TransactionSynchronizationManager.setCurrentTransactionReadOnly(true);
    for (long id = 1; id <= 3; id++) {
      stored.put(id, Map.entry(0, "row " + id));
    }
  }

  @AfterEach
  void ended() {
    TransactionSynchronizationManager.setCurrentTransactionReadOnly(false);
  }

  private List<Row> rows(long... ids) {
    List<Row> rows = new ArrayList<>();
    for (long id : ids) {
      rows.add(new Row(id, stored.get(id).getKey()));
    }
    return rows;
  }

  private Map<Row, String> read(List<Long> ids) {
    asked.add(ids);
    Map<Row, String> found = new HashMap<>();
    for (long id : ids) {
      if (stored.containsKey(id)) {
        found.put(new Row(id, stored.get(id).getKey()), stored.get(id).getValue());
      }
    }
    return found;
  }

  @Test
  void onlyWhatIsNewOrChangedIsReadAgain() {
    assertThat(kept.of(rows(3, 1, 2), this::read)).containsExactly("row 3", "row 1", "row 2");
    stored.put(1L, Map.entry(1, "changed"));
    stored.put(4L, Map.entry(0, "row 4"));
    assertThat(kept.of(rows(4, 3, 2, 1), this::read))
        .containsExactly("row 4", "row 3", "row 2", "changed");
    assertThat(kept.of(rows(1, 4), this::read)).containsExactly("changed", "row 4");
    assertThat(asked).containsExactly(List.of(3L, 1L, 2L), List.of(4L, 1L));
  }

  /** It would stay though it is taken back, and the next one may have the same version. */
  @Test
  void whatIsReadWhileSomethingIsWrittenIsNotKept() {
    TransactionSynchronizationManager.setCurrentTransactionReadOnly(false);
    stored.put(1L, Map.entry(1, "taken back"));
    assertThat(kept.of(rows(1), this::read)).containsExactly("taken back");
    stored.put(1L, Map.entry(1, "instead"));
    TransactionSynchronizationManager.setCurrentTransactionReadOnly(true);
    assertThat(kept.of(rows(1), this::read)).containsExactly("instead");
  }

  /** Another writes between the two questions. */
  @Test
  void aRowThatChangesMeanwhileIsAsItIsAndOneThatGoesIsNot() {
    List<Row> before = rows(1, 2, 3);
    stored.put(2L, Map.entry(7, "newer"));
    stored.remove(3L);
    assertThat(kept.of(before, this::read)).containsExactly("row 1", "newer");
    assertThat(kept.of(rows(2), this::read)).containsExactly("newer");
    assertThat(asked).hasSize(1);
  }

  @Test
  void whatElseIsReadForARowCountsAsWell() {
    Row one = new Row(1, 0);
    kept.of(List.of(one.besides(5)), ids -> Map.of(one.besides(5), "with 5"));
    assertThat(kept.of(List.of(one.besides(6)), ids -> Map.of(one.besides(6), "with 6")))
        .containsExactly("with 6");
    assertThat(kept.of(List.of(one.besides(5)), this::read)).containsExactly("with 5");
  }
}
