package hightally.app.platform;

/** Something asked for by its number is not there. */
public final class NotFoundException extends RuntimeException {
  private static final long serialVersionUID = 1;

  /** For instance {@code new NotFoundException("aircraft", 7)}. */
  public NotFoundException(String what, long id) {
    super("There is no " + what + " " + id + ".");
  }

  /** For what goes by a name. */
  public NotFoundException(String what, String name) {
    super("There is no " + what + " “" + name + "”.");
  }
}
