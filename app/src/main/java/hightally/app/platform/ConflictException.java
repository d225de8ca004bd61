package hightally.app.platform;

import hightally.core.quantity.Said;

/** Somebody else changed the same thing first, or it is not to be done now; nothing was changed. */
public final class ConflictException extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final transient Said said;

  /** With what happened and what to do. */
  public ConflictException(Said said) {
    super(said.code());
    this.said = said;
  }

  /** What happened and what to do, to be put into words for whoever asked. */
  public Said said() {
    return said;
  }
}
