package hightally.core.sheet;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Wing and tail type by name, by hand from the models' channels. */
class TypeEntriesTest {
  private static String value(String model, String key) {
    return EntrySheet.of(DemoModels.read(model)).stream()
        .filter(one -> one.key().equals(key))
        .map(one -> say(one.value()))
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "skerrow  | 2 elevons              | No elevator of its own",
        "larkmere | 2 ailerons, 2 flaps    | V-tail",
        "brindle  | 2 ailerons, 2 flaps    | One elevator, one rudder",
        "quillon  | 2 ailerons             | One elevator, one rudder"
      })
  void theSheetNamesThem(String model, String wing, String tail) {
    assertThat(value(model, "wing-type")).isEqualTo(wing);
    assertThat(value(model, "tail-type")).isEqualTo(tail);
  }
}
