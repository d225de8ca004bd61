package hightally.app.platform;

/** Somebody else changed the same thing first; nothing was changed now. */
public final class ConflictException extends RuntimeException {
  private static final long serialVersionUID = 1;

  /** With a sentence that says what happened and what to do. */
  public ConflictException(String message) {
    super(message);
  }
}
