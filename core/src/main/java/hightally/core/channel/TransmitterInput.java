package hightally.core.channel;

import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.function.Consumer;

/**
 * A lever or switch, named the way its pilot finds it.
 *
 * @param id short name used by references
 * @param name such as "front left switch"
 * @param kind lever or switch
 * @param positions of a switch; 0 for a lever
 */
public record TransmitterInput(
    @Text(max = 40, pattern = "[a-z0-9]+(-[a-z0-9]+)*") String id,
    @Text String name,
    InputKind kind,
    @Within(min = 0, max = 6) int positions)
    implements SelfChecked {
  @Override
  public void check(String path, Consumer<Violation> found) {
    boolean legal = kind == InputKind.LEVER ? positions == 0 : positions >= 2;
    if (!legal) {
      Said requirement =
          kind == InputKind.LEVER ? Said.of("channel.lever") : Said.of("channel.switch");
      found.accept(Violation.of(path + "positions", positions, requirement));
    }
  }
}
