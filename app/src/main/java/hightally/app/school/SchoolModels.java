package hightally.app.school;

import hightally.app.demo.DemoAircraft;
import hightally.core.setup.Setup;
import hightally.core.simulator.FlightTraits;
import hightally.core.simulator.TestFlight;
import hightally.core.simulator.TrimmedLesson;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** The models of the lessons, made right once before faults are hidden in them. */
@Component
class SchoolModels {
  private final DemoAircraft aircraft;
  private final Map<SchoolLesson, TrimmedLesson> made = new ConcurrentHashMap<>();

  SchoolModels(DemoAircraft aircraft) {
    this.aircraft = aircraft;
  }

  TrimmedLesson of(SchoolLesson lesson) {
    return made.computeIfAbsent(lesson, this::make);
  }

  private TrimmedLesson make(SchoolLesson lesson) {
    Setup setup = aircraft.read(lesson.model());
    FlightTraits traits = FlightTraits.proposed(setup);
    return TrimmedLesson.of(setup, traits, wish(traits), (what, longest) -> what.code());
  }

  /** What a class of models is mostly wanted to do in the balance test. */
  static TestFlight.Wish wish(FlightTraits traits) {
    return traits.kind() == FlightTraits.Class.AEROBATIC
        ? TestFlight.Wish.PRECISE
        : TestFlight.Wish.SPORT;
  }
}
