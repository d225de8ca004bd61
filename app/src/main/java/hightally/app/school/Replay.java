package hightally.app.school;

import hightally.app.transfer.SetupDocuments;
import hightally.app.words.ReaderWords;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.simulator.FlightTraits;
import hightally.core.simulator.Practice;
import hightally.core.trimming.FlownState;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What is stored of a practice, played again: all of it follows from what happened. */
@Component
class Replay {
  private final SetupDocuments documents;
  private final ReaderWords words;

  Replay(SetupDocuments documents, ReaderWords words) {
    this.documents = documents;
    this.words = words;
  }

  /** The practice as it began. */
  Practice fresh(SchoolEntity run) {
    SchoolBrief brief = run.brief();
    Setup setup = documents.read(run.setup());
    FlownState start = new FlownState(setup, brief.pack(), brief.cgMm(), Map.of());
    FlightTraits traits = FlightTraits.proposed(setup).as(brief.kind());
    Practice practice =
        new Practice(
            new Practice.Set(
                start,
                traits,
                brief.built(),
                brief.faults(),
                brief.wish(),
                brief.wind(),
                brief.seed()));
    practice.know(brief.limits());
    return practice;
  }

  /** The practice as it is now. */
  Practice played(SchoolEntity run) {
    Practice practice = fresh(run);
    for (SchoolEvent one : run.events()) {
      switch (one.kind()) {
        case TAKE_OFF -> practice.takeOff();
        case SEEN -> practice.report(one.seen());
        case CHANGED -> practice.change(one.test(), one.lever(), one.to(), words);
        case LEFT_OUT -> practice.skip(one.test(), words.of(Said.of("school.leftOut"), 300));
        case FLOWN -> {}
      }
    }
    return practice;
  }
}
