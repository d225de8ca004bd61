package hightally.core.flightlog;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.flightlog.FlightReport.Air;
import hightally.core.flightlog.FlightReport.Wind;
import hightally.core.flightlog.PhaseReading.Sure;
import hightally.core.flightlog.TrimSeries.State;
import hightally.core.flightlog.TrimSeries.TrimPoint;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SettlingTest {
  private static final Setup SETUP = Rigs.plain();
  private static final String PHASE = SETUP.basePhase().id();
  private static final List<Control> PITCH = List.of(Control.PITCH);

  /** A flight in calm and smooth air, and what is otherwise about it. */
  private static final class Noted {
    private final int day;
    private int revision = 1;
    private Wind wind = Wind.CALM;
    private Air air = Air.SMOOTH;
    private String pack = "A";
    private double cg = 90;
    private double throttle = 50;
    private Sure sure = Sure.SURE;
    private boolean differs;
    private String leftOut = "";
    private boolean simulated;
    private List<LoggedFlight.SignConfirmed> confirmed = List.of();
    private final Trims trims;

    Noted(int day, int pitch) {
      this.day = day;
      trims = new Trims(0, pitch, 0);
    }

    LoggedFlight done() {
      FlightReport report =
          FlightReport.on(LocalDate.of(2026, 5, 1).plusDays(day))
              .change()
              .wind(wind)
              .air(air)
              .battery(pack)
              .cgMm(cg)
              .trims(trims)
              .throttlePercent(throttle)
              .sure(sure)
              .turnsDiffer(differs)
              .done();
      return new LoggedFlight(day, revision, report, leftOut, simulated, confirmed);
    }
  }

  private static LoggedFlight calm(int day, int pitch) {
    return new Noted(day, pitch).done();
  }

  private static List<LoggedFlight> all(int... pitch) {
    List<LoggedFlight> flights = new ArrayList<>();
    for (int i = 0; i < pitch.length; i++) {
      flights.add(calm(i + 1, pitch[i]));
    }
    return flights;
  }

  private static TrimSeries pitch(
      List<LoggedFlight> flights, List<SeriesBreak> breaks, List<MarkedSettled> said) {
    return Settling.of(SETUP, flights, breaks, said).stream()
        .filter(one -> one.control() == Control.PITCH)
        .findFirst()
        .orElseThrow();
  }

  private static TrimSeries pitch(LoggedFlight... flights) {
    return pitch(List.of(flights), List.of(), List.of());
  }

  private static TrimSeries pitch(int... clicks) {
    return pitch(all(clicks), List.of(), List.of());
  }

  @Test
  void everyVerdictIsThePlainOne() {
    Random random = new Random(20261126);
    double perClick = MillimetresPerClick.most(SETUP, Control.PITCH);
    for (int round = 0; round < 4000; round++) {
      int[] clicks = new int[1 + random.nextInt(9)];
      int about = random.nextInt(25) - 12;
      List<Integer> list = new ArrayList<>();
      for (int i = 0; i < clicks.length; i++) {
        about += random.nextInt(4) == 0 ? random.nextInt(9) - 4 : 0;
        int wander = round % 3 == 0 ? i * (random.nextInt(3)) : random.nextInt(3) - 1;
        clicks[i] = random.nextInt(12) == 0 ? -about : about + wander;
        list.add(clicks[i]);
      }
      TrimSeries found = pitch(clicks);
      assertThat(found.state() + " " + found.clicks() + " of " + found.agreeing())
          .as(list.toString())
          .isEqualTo(PlainSettling.of(list, perClick, SETUP.house().suspiciousMm()));
    }
  }

  @Test
  void threeAgreeingCalmFlightsSettleATrim() {
    assertThat(say(pitch(8).words()))
        .isEqualTo("8 clicks nose up. Fly 2 more calm flights to confirm.");
    TrimSeries two = pitch(8, 9);
    assertThat(two.state()).isEqualTo(State.NOT_YET);
    assertThat(say(two.words()))
        .isEqualTo(
            "8 clicks nose up and 9 clicks nose up agree. Fly one more calm flight to confirm.");
    TrimSeries three = pitch(6, 7, 6);
    assertThat(three.state()).isEqualTo(State.SETTLED);
    assertThat(three.settled()).isTrue();
    assertThat(three.clicks()).isEqualTo(6);
    assertThat(say(three.words())).isEqualTo("Settled: the last 3 flights agree within 1 click.");
    assertThat(say(pitch(new int[0]).words()))
        .isEqualTo("Fly 3 more calm flights to confirm the trims.");
    assertThat(pitch(new int[0]).flown()).isFalse();
  }

  @Test
  void oneOldOddFlightBlocksNothing() {
    TrimSeries found = pitch(6, 12, 6, 7, 6);
    assertThat(found.state()).isEqualTo(State.SETTLED);
    assertThat(found.points())
        .extracting(TrimPoint::agrees)
        .containsExactly(false, false, true, true, true);
    assertThat(found.points()).allMatch(TrimPoint::counts);
    assertThat(pitch(6, 6, 6, 12).state()).isEqualTo(State.NOT_YET);
  }

  @Test
  void whatDoesNotCountSaysWhy() {
    Noted moved = new Noted(1, 6);
    moved.cg = 84;
    Noted rough = new Noted(2, 6);
    rough.air = Air.BUMPY;
    Noted other = new Noted(3, 6);
    other.pack = "B";
    Noted windy = new Noted(4, 6);
    windy.wind = Wind.FRESH;
    Noted storm = new Noted(5, 6);
    storm.wind = Wind.STRONG;
    Noted unsure = new Noted(6, 6);
    unsure.sure = Sure.NOT;
    Noted left = new Noted(7, 6);
    left.leftOut = "a gust";
    Noted practice = new Noted(8, 6);
    practice.simulated = true;
    Noted light = new Noted(9, 6);
    light.wind = Wind.LIGHT;
    light.sure = Sure.FAIRLY;
    TrimSeries found =
        pitch(
            moved.done(),
            rough.done(),
            other.done(),
            windy.done(),
            storm.done(),
            unsure.done(),
            left.done(),
            practice.done(),
            light.done());
    assertThat(found.points())
        .extracting(point -> say(point.why()))
        .containsExactly(
            "the balance point has moved 6 mm since",
            "the air was not smooth",
            "another pack",
            "too much wind",
            "too much wind",
            "the pilot was not sure",
            "left out: a gust",
            "flown in the simulator",
            "");
    assertThat(found.agreeing()).isEqualTo(1);
  }

  @Test
  void theNewestPackIsThatOfAFlightThatWasNotLeftOut() {
    Noted odd = new Noted(4, 6);
    odd.pack = "B";
    odd.leftOut = "borrowed pack";
    List<LoggedFlight> flights = new ArrayList<>(all(6, 6, 6));
    flights.add(odd.done());
    assertThat(pitch(flights, List.of(), List.of()).state()).isEqualTo(State.SETTLED);
  }

  @Test
  void aBreakVoidsWhatWasFlownBeforeItInItsPhasesAndControls() {
    Said part = Said.text("a new part");
    LocalDate third = LocalDate.of(2026, 5, 1).plusDays(3);
    List<LoggedFlight> flights = all(6, 6, 6, 6);
    SeriesBreak byDay = new SeriesBreak(1, third, PITCH, part);
    assertThat(pitch(flights, List.of(byDay), List.of()).agreeing()).isEqualTo(2);
    SeriesBreak onDay = new SeriesBreak(1, third, 4, List.of(), PITCH, part);
    assertThat(pitch(flights, List.of(onDay), List.of()).agreeing()).isEqualTo(1);
    SeriesBreak byFlight = new SeriesBreak(1, null, 2, List.of(PHASE), PITCH, part);
    assertThat(pitch(flights, List.of(byFlight), List.of()).agreeing()).isEqualTo(3);
    SeriesBreak elsewhere = new SeriesBreak(1, null, 3, List.of("other"), PITCH, part);
    SeriesBreak roll = new SeriesBreak(2, null, List.of(Control.ROLL), part);
    assertThat(pitch(flights, List.of(elsewhere, roll), List.of()).agreeing()).isEqualTo(4);
    SeriesBreak byRevision = new SeriesBreak(2, null, PITCH, part);
    TrimSeries voided = pitch(flights, List.of(byRevision), List.of());
    assertThat(voided.agreeing()).isZero();
    assertThat(say(voided.points().get(0).why())).isEqualTo("a new part");
  }

  @Test
  void aBreakComesAfterARevision() {
    assertThat(new SeriesBreak(3, null, PITCH, Said.NOTHING).after(3)).isFalse();
    assertThat(new SeriesBreak(4, null, PITCH, Said.NOTHING).after(3)).isTrue();
    LocalDate day = LocalDate.of(2026, 5, 1);
    assertThat(new SeriesBreak(3, day, PITCH, Said.NOTHING).after(3)).isTrue();
    assertThat(new SeriesBreak(2, day, PITCH, Said.NOTHING).after(3)).isFalse();
    assertThat(new SeriesBreak(3, null, 9, List.of(), PITCH, Said.NOTHING).after(3)).isTrue();
  }

  @Test
  void aSignIsAskedAboutUntilItIsAnswered() {
    TrimSeries asked = pitch(8, 8, 9, -8);
    assertThat(asked.state()).isEqualTo(State.OPPOSITE);
    assertThat(asked.asked()).isEqualTo(4);
    assertThat(asked.clicks()).isEqualTo(8);
    assertThat(say(asked.words()))
        .contains("8 clicks nose down")
        .contains("8 clicks nose up before");
    assertThat(asked.points().get(3).counts()).isFalse();
    Noted confirmed = new Noted(4, -8);
    confirmed.confirmed = List.of(new LoggedFlight.SignConfirmed(PHASE, Control.PITCH));
    List<LoggedFlight> flights = new ArrayList<>(all(8, 8, 9));
    flights.add(confirmed.done());
    TrimSeries answered = pitch(flights, List.of(), List.of());
    assertThat(answered.state()).isEqualTo(State.NOT_YET);
    assertThat(answered.asked()).isZero();
    Noted other = new Noted(4, -8);
    other.confirmed = List.of(new LoggedFlight.SignConfirmed(PHASE, Control.ROLL));
    flights.set(3, other.done());
    assertThat(pitch(flights, List.of(), List.of()).state()).isEqualTo(State.OPPOSITE);
  }

  @Test
  void whatSlipsIsSaidAndNoJumpBesides() {
    TrimSeries found = pitch(1, 3, 5, 7);
    assertThat(found.state()).isEqualTo(State.DRIFTING);
    assertThat(say(found.words())).contains("6 clicks nose up in all").contains("slips");
    assertThat(found.notes()).isEmpty();
  }

  @Test
  void aJumpIsNamedWithWhatCanAndCannotExplainIt() {
    Said pack = Said.of("log.partChanged", "part", "pack");
    SeriesBreak between = new SeriesBreak(1, null, 3, List.of(), List.of(Control.YAW), pack);
    SeriesBreak nothing = new SeriesBreak(1, null, 3, List.of(), List.of(), Said.text("a wheel"));
    TrimSeries found = pitch(all(1, 1, 9, 9), List.of(between, nothing), List.of());
    assertThat(found.notes()).hasSize(1);
    assertThat(say(found.notes().get(0)))
        .contains("Pitch jumped 8 clicks nose up")
        .contains("explains yaw, not pitch")
        .contains("A wheel: that explains no trim")
        .contains("what slipped");
    assertThat(pitch(1, 1, 5, 5).notes()).isEmpty();
    assertThat(say(pitch(1, 1, 6, 6).notes().get(0))).contains("5 clicks");
  }

  @Test
  void turnsThatDifferAndOneThrottleAreSaid() {
    Noted turning = new Noted(3, 6);
    turning.differs = true;
    List<LoggedFlight> flights = new ArrayList<>(all(6, 6));
    flights.add(turning.done());
    TrimSeries now = pitch(flights, List.of(), List.of());
    assertThat(now.state()).isEqualTo(State.SETTLED);
    assertThat(say(now.notes())).anyMatch(one -> one.contains("Left and right turns fly"));
    Noted before = new Noted(1, 3);
    before.differs = true;
    TrimSeries then = pitch(before.done(), calm(2, 6), calm(3, 6), calm(4, 6));
    assertThat(say(then.notes()))
        .containsExactly("Left and right turns flew differently in earlier flights.");
    Noted slow = new Noted(1, 3);
    slow.throttle = 20;
    TrimSeries throttle = pitch(slow.done(), calm(2, 6), calm(3, 6));
    assertThat(say(throttle.notes())).anyMatch(one -> one.contains("one throttle"));
    slow.throttle = 21;
    assertThat(pitch(slow.done(), calm(2, 6), calm(3, 6)).notes()).isEmpty();
  }

  @Test
  void thePilotsWordHoldsUntilAFlightSaysOtherwise() {
    MarkedSettled word = new MarkedSettled(PHASE, Control.PITCH, 2, "flies right");
    TrimSeries taken = pitch(all(6, 7), List.of(), List.of(word));
    assertThat(taken.state()).isEqualTo(State.SETTLED);
    assertThat(taken.because()).isEqualTo("flies right");
    assertThat(say(taken.words())).isEqualTo("Marked as settled by you: flies right");
    assertThat(pitch(all(6, 7, 12), List.of(), List.of(word)).settled()).isFalse();
    TrimSeries three = pitch(all(6, 7, 7), List.of(), List.of(word));
    assertThat(three.because()).isEmpty();
    MarkedSettled roll = new MarkedSettled(PHASE, Control.ROLL, 2, "flies right");
    assertThat(pitch(all(6, 7), List.of(), List.of(roll)).settled()).isFalse();
    SeriesBreak later = new SeriesBreak(1, null, 3, List.of(), PITCH, Said.text("moved"));
    assertThat(pitch(all(6, 7, 6), List.of(later), List.of(word)).settled()).isFalse();
    assertThat(pitch(all(8, 8, -8), List.of(), List.of(word)).state()).isEqualTo(State.OPPOSITE);
  }

  @Test
  void aLargeOneIsASymptomUnlessThePilotHasLooked() {
    TrimSeries large = pitch(55, 55, 55);
    assertThat(large.state()).isEqualTo(State.TOO_LARGE);
    assertThat(say(large.words())).contains("check balance point");
    MarkedSettled word = new MarkedSettled(PHASE, Control.PITCH, 3, "no other way");
    assertThat(pitch(all(55, 55, 55), List.of(), List.of(word)).settled()).isTrue();
  }

  @Test
  void flightsAreTakenByDayAndNumber() {
    List<LoggedFlight> mixed = List.of(calm(3, 9), calm(1, 1), calm(2, 9), calm(4, 9));
    TrimSeries found = pitch(mixed, List.of(), List.of());
    assertThat(found.points()).extracting(TrimPoint::flight).containsExactly(1L, 2L, 3L, 4L);
    assertThat(found.clicks()).isEqualTo(9);
  }
}
