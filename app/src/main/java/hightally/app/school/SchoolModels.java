package hightally.app.school;

import hightally.app.demo.DemoAircraft;
import hightally.core.air.AirTraits;
import hightally.core.air.Lesson;
import hightally.core.air.TestFlight;
import hightally.core.setup.Setup;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** The models of the lessons, made right once before faults are hidden in them. */
@Component
class SchoolModels {
  private final DemoAircraft aircraft;
  private final Map<SchoolLesson, Lesson> made = new ConcurrentHashMap<>();

  SchoolModels(DemoAircraft aircraft) {
    this.aircraft = aircraft;
  }

  Lesson of(SchoolLesson lesson) {
    return made.computeIfAbsent(lesson, this::make);
  }

  private Lesson make(SchoolLesson lesson) {
    Setup setup = aircraft.read(lesson.model());
    AirTraits traits = AirTraits.proposed(setup);
    return Lesson.of(setup, traits, wish(traits), (what, longest) -> what.code());
  }

  /** What a class of models is mostly wanted to do in the balance test. */
  static TestFlight.Wish wish(AirTraits traits) {
    return traits.kind() == AirTraits.Class.AEROBATIC
        ? TestFlight.Wish.PRECISE
        : TestFlight.Wish.SPORT;
  }
}
