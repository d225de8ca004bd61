package hightally.app.program;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.app.words.SaidData;
import hightally.core.quantity.Said;
import java.time.Instant;
import org.junit.jupiter.api.Test;

/** What was ticked off under a code of before is the same value today, and no change. */
class KeptCodesTest {
  private static final String BEFORE = "{\"say\":\"switch.otherwise\"}";
  private static final String TODAY = SaidData.write(Said.of("switch.normal"));

  @Test
  void aTickedValueIsComparedAsItWouldBeKeptToday() {
    EnteredEntity row = new EnteredEntity(1, "My transmitter", "key");
    row.enter(BEFORE, true, Instant.EPOCH);
    assertThat(row.value()).isEqualTo(TODAY);
    assertThat(row.read().data()).isEqualTo(TODAY);
  }

  @Test
  void soIsAChangeAndWhatStoodThereBefore() {
    EntryList.TickedValue ticked =
        new EntryList.TickedValue("My transmitter", "key", BEFORE, false);
    TypedChangeEntity change =
        new TypedChangeEntity(1, ticked, Said.text("key"), BEFORE, 1, Instant.EPOCH);
    assertThat(change.after()).isEqualTo(TODAY);
    assertThat(change.back().data()).isEqualTo(TODAY);
  }
}
