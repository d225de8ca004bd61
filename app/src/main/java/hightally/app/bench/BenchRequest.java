package hightally.app.bench;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;

/** What the page sends to the bench. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
  @JsonSubTypes.Type(value = BenchRequest.Load.class, name = "load"),
  @JsonSubTypes.Type(value = BenchRequest.Move.class, name = "move"),
  @JsonSubTypes.Type(value = BenchRequest.SwitchOn.class, name = "switch-on")
})
sealed interface BenchRequest {
  /** Number the page gave; the answer carries it back. */
  long number();

  /** Put this setup on the bench. */
  record Load(long number, Setup setup) implements BenchRequest {}

  /** Switch the simulated transmitter off and on: timers, latch and warnings begin again. */
  record SwitchOn(long number) implements BenchRequest {}

  /**
   * Show this moment, and the tally of one surface.
   *
   * @param atMilliseconds on the page's own clock; the bench lets the time between two moves pass
   * @param linkLost whether the simulated receiver hears nothing
   */
  record Move(long number, Moment moment, String selected, double atMilliseconds, boolean linkLost)
      implements BenchRequest {}
}
