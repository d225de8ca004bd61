package hightally.core.edit;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;

/**
 * One figure of a setup, set.
 *
 * @param figure which
 * @param subject the id or number of what it belongs to; empty where there is but one
 * @param value in the figure's unit
 */
public record Edit(
    Figure figure,
    @Text(min = 0, max = 40) String subject,
    @Within(min = -10_000, max = 10_000) double value) {
  public static Edit of(Figure figure, String subject, double value) {
    return new Edit(figure, subject, value);
  }

  public static Edit of(Figure figure, int channelOrSocket, double value) {
    return new Edit(figure, Integer.toString(channelOrSocket), value);
  }

  public static Edit flag(Figure figure, String subject, boolean on) {
    return new Edit(figure, subject, on ? 1 : 0);
  }
}
