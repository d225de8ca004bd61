package hightally.app.platform;

import hightally.core.quantity.Said;

/** Something asked for by its number or name is not there. */
public final class NotFoundException extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final transient Said said;

  /** For instance {@code new NotFoundException("missing.aircraft", 7)}. */
  public NotFoundException(String code, long id) {
    this(code, String.valueOf(id));
  }

  /** For what goes by a name. */
  public NotFoundException(String code, String name) {
    super(code + " " + name);
    said = Said.of(code, "which", name);
  }

  /** What is not there, to be put into words for whoever asked. */
  public Said said() {
    return said;
  }
}
