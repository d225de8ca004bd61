package hightally.app.platform;

/** As much is under way as there is room for: to be tried again. */
public class BusyException extends RuntimeException {
  private static final long serialVersionUID = 1;
}
