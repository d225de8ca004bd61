package hightally.app.platform;

import java.io.IOException;
import java.sql.SQLException;

/** Keeps the data as they are before a newer program changes their form. */
public interface BeforeUpgrade {
  /**
   * Keeps them, or throws: then nothing is changed.
   *
   * @param version the form they have
   */
  void keep(String version) throws IOException, SQLException;
}
