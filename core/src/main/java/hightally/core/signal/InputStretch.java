package hightally.core.signal;

/**
 * A stretch in which nothing switches, and a place in it.
 *
 * @param from its lower end, in it
 * @param to its upper end, in it
 * @param at the place it is entered at: its rest, if that lies in it
 */
public record InputStretch(double from, double to, double at) {
  public static InputStretch point(double at) {
    return new InputStretch(at, at, at);
  }

  public boolean isPoint() {
    return from == to;
  }
}
