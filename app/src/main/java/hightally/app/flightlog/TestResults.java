package hightally.app.flightlog;

import hightally.app.platform.JsonList;
import hightally.core.trimming.TestResult;
import jakarta.persistence.Converter;

/** What a flight showed of trim tests, as one column. */
@Converter
public class TestResults extends JsonList<TestResult> {
  TestResults() {
    super(TestResult.class);
  }
}
