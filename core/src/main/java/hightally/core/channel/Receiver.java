package hightally.core.channel;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/**
 * The receiver.
 *
 * @param sockets in the order they are on it
 * @param anyChannel whether a socket can be told which channel to put out
 * @param failsafe which channels it holds when the link is lost
 * @param failsafeChannel the one it holds, where it holds only one
 */
@Copyable
public record Receiver(
    @Text String name,
    List<Socket> sockets,
    boolean anyChannel,
    Failsafe failsafe,
    @Within(min = 0, max = 64) int failsafeChannel)
    implements SelfChecked {
  private static final int MOST_SOCKETS = 32;

  public Receiver {
    sockets = sockets == null ? null : List.copyOf(sockets);
  }

  /** A copy to change, part by part. */
  public ReceiverCopy change() {
    return ReceiverCopy.from(this);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (sockets.isEmpty() || sockets.size() > MOST_SOCKETS) {
      Said range = Said.of("channel.sockets", "most", MOST_SOCKETS);
      found.accept(
          Violation.of(path + "sockets", Said.of("given.sockets", "count", sockets.size()), range));
    }
    Set<Integer> numbers = new HashSet<>();
    for (int i = 0; i < sockets.size(); i++) {
      int number = sockets.get(i).number();
      if (!numbers.add(number)) {
        String field = path + "sockets[" + i + "].number";
        found.accept(Violation.of(field, number, Said.of("demand.otherSocket")));
      }
    }
  }

  /** The socket of that number, if there is one. */
  public Optional<Socket> socket(int number) {
    return sockets.stream().filter(socket -> socket.number() == number).findFirst();
  }
}
