package hightally.app.archive;

import hightally.app.aircraft.PageOfModel;
import hightally.app.platform.JsonProblems;
import java.util.List;
import org.springframework.stereotype.Component;

/** Everything the program works out of a model, to see whether it can. */
@Component
class ModelPages {
  private final List<PageOfModel> pages;

  ModelPages(List<PageOfModel> pages) {
    this.pages = pages;
  }

  void workOut(long aircraftId, RowFaults faults) {
    for (PageOfModel page : pages) {
      try {
        page.workOut(aircraftId);
      } catch (RuntimeException e) {
        faults.add(page.told(), JsonProblems.why(e));
      }
    }
  }
}
