package hightally.core.channel;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;

/**
 * The conventions of the pilot's transmitter.
 *
 * @param channelOrder which function its first four channels carry, in order
 * @param inputs its levers and switches
 * @param words what it calls things, in the order in which they are entered; may be empty
 */
@Copyable
public record Transmitter(
    @Text String name,
    @Within(min = 1, max = 4) int stickMode,
    SubTrimMode subTrimMode,
    @Within(min = 700, max = 2300, unit = Unit.MICROSECONDS) double centreMicroseconds,
    @Within(min = 100, max = 1000, unit = Unit.MICROSECONDS) double microsecondsPer100,
    @Within(min = 0.05, max = 5, unit = Unit.PERCENT) double clickStepPercent,
    @Within(min = 1, max = 500, unit = Unit.CLICKS) int trimRangeClicks,
    @Within(min = 50, max = 200, unit = Unit.PERCENT) double commandLimitPercent,
    @Within(min = 500, max = 1500, unit = Unit.MICROSECONDS) double shortestMicroseconds,
    @Within(min = 1500, max = 2500, unit = Unit.MICROSECONDS) double longestMicroseconds,
    @Within(min = 0, max = 1) int firstChannel,
    @Within(min = 2, max = 32) int channelCount,
    List<StickFunction> channelOrder,
    @Within(min = 0, max = 300, unit = Unit.MICROSECONDS) double subTrimLimitMicroseconds,
    @Within(min = 50, max = 200, unit = Unit.PERCENT) double endpointLimitPercent,
    List<TransmitterInput> inputs,
    List<EntryWord> words)
    implements SelfChecked {
  public Transmitter {
    channelOrder = channelOrder == null ? null : List.copyOf(channelOrder);
    inputs = inputs == null ? null : List.copyOf(inputs);
    words = words == null ? null : List.copyOf(words);
  }

  /** A copy to change, part by part. */
  public TransmitterCopy change() {
    return TransmitterCopy.from(this);
  }

  /** Index of the lever or switch of that id, -1 if there is none. */
  public int inputIndex(String id) {
    for (int i = 0; i < inputs.size(); i++) {
      if (inputs.get(i).id().equals(id)) {
        return i;
      }
    }
    return -1;
  }

  /** The number of its last channel. */
  public int lastChannel() {
    return firstChannel + channelCount - 1;
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (centreMicroseconds <= shortestMicroseconds || centreMicroseconds >= longestMicroseconds) {
      Said range =
          Said.of(
              "channel.sHardLimits",
              "from",
              Quantity.microseconds(shortestMicroseconds),
              "to",
              Quantity.microseconds(longestMicroseconds));
      found.accept(Violation.of(path + "centreMicroseconds", centreMicroseconds, range));
    }
    if (StickFunction.values().length != channelOrder.size()
        || new HashSet<>(channelOrder).size() != channelOrder.size()) {
      found.accept(
          Violation.of(path + "channelOrder", channelOrder, Said.of("demand.fourFunctions")));
    }
    Set<EntrySection> named = EnumSet.noneOf(EntrySection.class);
    for (int i = 0; i < words.size(); i++) {
      EntrySection section = words.get(i).section();
      if (section != null && !named.add(section)) {
        String field = path + "words[" + i + "].section";
        found.accept(Violation.of(field, section, Said.of("demand.eachSectionOnce")));
      }
    }
    for (int i = 0; i < inputs.size(); i++) {
      if (inputIndex(inputs.get(i).id()) != i) {
        String field = path + "inputs[" + i + "].id";
        found.accept(Violation.of(field, inputs.get(i).id(), Said.of("demand.otherInput")));
      }
    }
  }

  /** The same transmitter with other levers and switches. */
  public Transmitter withInputs(List<TransmitterInput> changed) {
    return with(clickStepPercent, changed);
  }

  /** The same transmitter with another trim step. */
  public Transmitter withClickStep(double percent) {
    return with(percent, inputs);
  }

  private Transmitter with(double click, List<TransmitterInput> changed) {
    return change().clickStepPercent(click).inputs(changed).done();
  }
}
