package hightally.core.channel;

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
    @Text(label = "Input id", max = 40, pattern = "[a-z0-9]+(-[a-z0-9]+)*") String id,
    @Text(label = "Name") String name,
    InputKind kind,
    @Within(min = 0, max = 6, label = "Positions", hint = "0 for a lever") int positions)
    implements SelfChecked {
  @Override
  public void check(String path, Consumer<Violation> found) {
    boolean legal = kind == InputKind.LEVER ? positions == 0 : positions >= 2;
    if (!legal) {
      String requirement = kind == InputKind.LEVER ? "0 for a lever" : "2 to 6 for a switch";
      found.accept(new Violation(path + "positions", "" + positions, requirement));
    }
  }
}
