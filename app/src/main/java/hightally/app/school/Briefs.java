package hightally.app.school;

import hightally.app.aircraft.Hangar;
import hightally.app.platform.NotFoundException;
import hightally.app.transfer.SetupDocuments;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.simulator.CoachFollowed;
import hightally.core.simulator.FaultGenerator;
import hightally.core.simulator.FlightTraits;
import hightally.core.simulator.Flyable;
import hightally.core.simulator.FlyingModel;
import hightally.core.simulator.HiddenFault;
import hightally.core.simulator.Practice;
import hightally.core.simulator.TrimmedLesson;
import hightally.core.trimming.FlownState;
import java.time.Clock;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What a practice begins with. */
@Component
class Briefs {
  private static final int BUDGET = 25;
  private static final double AFTERNOON = 4;
  private static final int TRIED_SEEDS = 10;

  private final SchoolModels models;
  private final Hangar hangar;
  private final SetupDocuments documents;
  private final Clock clock;

  Briefs(SchoolModels models, Hangar hangar, SetupDocuments documents, Clock clock) {
    this.models = models;
    this.hangar = hangar;
    this.documents = documents;
    this.clock = clock;
  }

  /** A step of a lesson. */
  SchoolEntity ofLesson(School.LessonBegun begun, int step, String requestKey) {
    TrimmedLesson lesson = models.of(begun.lesson());
    Setup setup = lesson.start().setup();
    FlightTraits traits = FlightTraits.proposed(setup);
    List<HiddenFault> faults = shown(begun, step, lesson, traits);
    SchoolBrief brief =
        new SchoolBrief(
            begun.lesson(),
            step,
            setup.name(),
            traits.kind(),
            lesson.start().pack(),
            lesson.start().cgMm(),
            lesson.built(),
            faults,
            lesson.limits(),
            SchoolModels.wish(traits),
            SchoolLesson.wind(step),
            begun.seed(),
            BUDGET);
    return new SchoolEntity(null, brief, documents.write(setup), clock.instant(), requestKey);
  }

  /** Faults that show: of the seeds that follow one another, the first of which any test tells. */
  private static List<HiddenFault> shown(
      School.LessonBegun begun, int step, TrimmedLesson lesson, FlightTraits traits) {
    Set<HiddenFault.Kind> kinds = step == 1 ? Set.of(begun.lesson().first()) : FaultGenerator.SHOWN;
    int count = SchoolLesson.faults(step);
    int without = trouble(lesson, traits, List.of());
    List<HiddenFault> faults = List.of();
    for (int i = 0; i < TRIED_SEEDS; i++) {
      Random random = new Random(begun.seed() + i);
      faults = FaultGenerator.random(lesson.start().setup(), traits, count, random, kinds);
      if (trouble(lesson, traits, faults) > without) {
        break;
      }
    }
    return faults;
  }

  private static int trouble(TrimmedLesson lesson, FlightTraits traits, List<HiddenFault> faults) {
    Practice practice =
        new Practice(
            new Practice.Set(
                lesson.start(), traits, lesson.built(), faults, SchoolModels.wish(traits), 0, 0));
    return CoachFollowed.trouble(practice);
  }

  private Setup described(long aircraftId) {
    try {
      return hangar.newest(aircraftId).setup();
    } catch (NotFoundException e) {
      throw InvalidInputException.of("aircraftId", aircraftId, Said.of("demand.modelInHangar"));
    }
  }

  /** One of the pilot's models with faults in it. */
  SchoolEntity ofHangar(School.ModelBegun begun, String requestKey) {
    Setup setup = described(begun.aircraftId());
    FlightTraits traits = FlightTraits.proposed(setup);
    FlownState start = FlyingModel.asBuilt(setup);
    List<Said> against = Flyable.against(start, traits);
    if (!against.isEmpty()) {
      throw InvalidInputException.of("aircraftId", setup.name(), against.get(0));
    }
    List<HiddenFault> faults =
        FaultGenerator.random(setup, traits, begun.faults(), new Random(begun.seed()));
    SchoolBrief brief =
        new SchoolBrief(
            null,
            0,
            setup.name(),
            traits.kind(),
            start.pack(),
            start.cgMm(),
            List.of(),
            faults,
            List.of(),
            SchoolModels.wish(traits),
            begun.windy() ? AFTERNOON : 0,
            begun.seed(),
            BUDGET);
    return new SchoolEntity(
        begun.aircraftId(), brief, documents.write(setup), clock.instant(), requestKey);
  }
}
