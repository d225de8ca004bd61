package hightally.core.probe;

import hightally.core.quantity.Absentable;
import hightally.core.signal.Moment;
import java.util.List;

/**
 * One look at the whole model.
 *
 * @param id stable name under which its answer is kept
 * @param kind how it is looked
 * @param subject the control, the lever or switch, the channel's number, the motor, the phase
 * @param position of a lever or switch, 0 the first; 0 for the rest
 * @param unplugged number of the channel whose socket is unplugged; empty for none
 * @param phase in which it is done
 * @param rest where everything stands before
 * @param there where hands go
 * @param back where they go then; null where there is no other way
 * @param microseconds how far a channel's pulse is moved by its sub-trim; 0 for a look at something
 *     else
 * @param picture how each surface must go, in the setup's order, then each motor
 */
public record Look(
    String id,
    LookKind kind,
    String subject,
    int position,
    String unplugged,
    String phase,
    Moment rest,
    Moment there,
    @Absentable Moment back,
    double microseconds,
    List<Drawn> picture) {
  public Look {
    picture = List.copyOf(picture);
  }

  /** Whether a surface was seen to go as it is drawn; one that cannot be told by eye was. */
  public boolean asDrawn(LookAnswer.Sight sight) {
    return picture.stream()
        .filter(one -> one.surface().equals(sight.surface()))
        .anyMatch(one -> !one.told() || one.way() == sight.way());
  }

  /** The same look with what must be seen in it. */
  Look drawn(List<Drawn> drawn) {
    return new Look(
        id, kind, subject, position, unplugged, phase, rest, there, back, microseconds, drawn);
  }

  /**
   * How one surface must go.
   *
   * @param way 1 up or right, -1 down or left, 0 stays
   * @param told whether that can be told by eye
   */
  public record Drawn(String surface, int way, boolean told) {}
}
