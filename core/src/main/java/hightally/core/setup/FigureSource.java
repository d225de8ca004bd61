package hightally.core.setup;

import hightally.core.quantity.Text;

/**
 * Where figures come from.
 *
 * @param figure what it is about: {@code balance}, {@code transmitter}, or a part's id, with an
 *     optional group behind a slash, such as {@code left-aileron/throws}
 * @param kind where from
 * @param note which manual, which model, when
 */
public record FigureSource(
    @Text(max = 80) String figure, SourceKind kind, @Text(min = 0, max = 200) String note) {

  /** Where a figure can come from; a measured one outranks the others. */
  public enum SourceKind {
    MANUAL,
    MEASURED,
    OTHER_MODEL,
    OWN
  }
}
