package hightally.app.aircraft;

import hightally.app.words.ReaderWords;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Second aircraft of a type that is here. */
@Component
class Copies {
  private static final int MOST_LETTERS = 300;

  private final Hangar hangar;
  private final ReaderWords words;

  Copies(Hangar hangar, ReaderWords words) {
    this.hangar = hangar;
    this.words = words;
  }

  /**
   * Adds one and answers with its number; where it comes from is the reason of its first revision.
   */
  @Transactional
  long of(long id, String name, String requestKey) {
    Revision newest = hangar.newest(id);
    Setup setup = newest.setup();
    Said reason = Said.of("aircraft.copied", "name", setup.name(), "revision", newest.number());
    return hangar.add(setup.forAnother(name), words.of(reason, MOST_LETTERS), requestKey);
  }
}
