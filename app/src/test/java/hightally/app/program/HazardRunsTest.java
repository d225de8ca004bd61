package hightally.app.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.app.platform.BackgroundWork;
import hightally.app.platform.NotFoundException;
import hightally.app.program.HazardRuns.SearchEnd;
import hightally.app.program.HazardRuns.SearchState;
import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.hazard.HazardSearch;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.io.InputStream;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.ClassPathResource;

/** A search ends, whatever becomes of it, and says how. */
class HazardRunsTest {
  private static final Instant BEGIN = Instant.parse("2026-09-05T10:00:00Z");
  private final AtomicReference<Instant> now = new AtomicReference<>(BEGIN);
  private final Clock clock = mock(Clock.class);
  private final BackgroundWork work = new BackgroundWork();
  private final HazardRuns runs = new HazardRuns(clock, work);

  /** One that goes on until it is told to stop. */
  private final HazardRuns endless = new HazardRuns(clock, work, HazardRunsTest::untilStopped);

  HazardRunsTest() {
    when(clock.instant()).thenAnswer(call -> now.get());
  }

  @AfterEach
  void end() {
    runs.end();
  }

  @Test
  void itLooksAtEverything() throws Exception {
    SearchState ended = ended(runs.begin(demo()).id());
    assertThat(ended.end()).isEqualTo(SearchEnd.WHOLE);
    assertThat(ended.part()).isEqualTo(1);
    assertThat(ended.outcome().complete()).isTrue();
  }

  private static HazardSearch.Outcome untilStopped(
      SignalPath path, BooleanSupplier stop, DoubleConsumer progress) {
    while (!stop.getAsBoolean()) {
      Thread.onSpinWait();
    }
    return HazardSearch.of(path, stop, progress);
  }

  @Test
  void itIsStoppedWhenToldTo() throws Exception {
    long id = endless.begin(demo()).id();
    assertThat(endless.state(id).outcome()).isNull();
    endless.stop(id);
    assertThat(ended(endless, id).end()).isEqualTo(SearchEnd.STOPPED);
    assertThat(ended(endless, id).outcome().complete()).isFalse();
  }

  @Test
  void itStopsWhenNobodyAsksAnyMore() throws Exception {
    long id = endless.begin(demo()).id();
    now.set(BEGIN.plusSeconds(30));
    // The next piece of work begins only once this one has ended.
    assertThat(ended(runs.begin(demo()).id()).end()).isEqualTo(SearchEnd.WHOLE);
    assertThat(endless.state(id).end()).isEqualTo(SearchEnd.LEFT_ALONE);
  }

  @Test
  void manySwitchesThatCountByThemselvesAreLookedAtWhole() throws Exception {
    SearchState ended = ended(runs.begin(switches(20)).id());
    assertThat(ended.end()).isEqualTo(SearchEnd.WHOLE);
    assertThat(ended.outcome().states()).isGreaterThan(1_000_000);
  }

  @Test
  void aSearchThatFailsEndsAndTheNextOneRuns() throws Exception {
    AtomicInteger begun = new AtomicInteger();
    HazardRuns failing =
        new HazardRuns(
            clock,
            work,
            (path, stop, progress) -> {
              if (begun.incrementAndGet() == 1) {
                throw new IllegalStateException("planted");
              }
              return HazardSearch.of(path, stop, progress);
            });
    long id = failing.begin(demo()).id();
    SearchEnd end = null;
    for (int i = 0; i < 200 && end == null; i++) {
      Thread.sleep(20);
      end = failing.state(id).end();
    }
    assertThat(end).isEqualTo(SearchEnd.FAILED);
    assertThat(failing.state(id).outcome()).isNull();
    long next = failing.begin(demo()).id();
    for (int i = 0; i < 500 && failing.state(next).end() == null; i++) {
      Thread.sleep(20);
    }
    assertThat(failing.state(next).end()).isEqualTo(SearchEnd.WHOLE);
    failing.end();
  }

  @Test
  void onlyTheLastFewAreKept() throws Exception {
    long first = runs.begin(demo()).id();
    for (int i = 0; i < 20; i++) {
      runs.begin(demo());
    }
    assertThatThrownBy(() -> runs.state(first)).isInstanceOf(NotFoundException.class);
  }

  private SearchState ended(long id) throws InterruptedException {
    return ended(runs, id);
  }

  private static SearchState ended(HazardRuns runs, long id) throws InterruptedException {
    for (int i = 0; i < 500; i++) {
      SearchState state = runs.state(id);
      if (state.end() != null) {
        return state;
      }
      Thread.sleep(20);
    }
    throw new AssertionError("The search goes on");
  }

  private static Setup demo() throws Exception {
    try (InputStream in = new ClassPathResource("demo/quillon.json").getInputStream()) {
      return new ObjectMapper().readValue(in, Setup.class);
    }
  }

  /** The biplane with so many switches of three positions that something listens to. */
  private static Setup switches(int count) throws Exception {
    Setup setup = demo();
    List<TransmitterInput> inputs = new ArrayList<>(setup.transmitter().inputs());
    List<Condition> conditions = new ArrayList<>(setup.conditions());
    for (int i = 0; i < count; i++) {
      inputs.add(new TransmitterInput("more-" + i, "more " + i, InputKind.SWITCH, 3));
      conditions.add(
          new Condition(
              "more-" + i, "More " + i, ConditionKind.SWITCH_AT, "more-" + i, 2, List.of(), 0));
    }
    return setup
        .change()
        .transmitter(setup.transmitter().withInputs(inputs))
        .conditions(conditions)
        .done();
  }
}
