package hightally.core.simulator;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.channel.Channel;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.signal.Tally;
import hightally.core.signal.TallyLine;
import hightally.core.signal.TallyMaker;
import hightally.core.simulator.Scene.SceneStep;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ScenePlayTest {
  private static final Moment REST = Moment.centred(Trims.ZERO);

  private static Setup slowed(double seconds) {
    Setup setup = Rigs.plain();
    List<Channel> channels = new ArrayList<>(setup.channels());
    Channel first = channels.get(0);
    channels.set(
        0,
        new Channel(
            first.number(),
            first.name(),
            first.carries(),
            first.reversed(),
            first.subTrimMicroseconds(),
            first.endpointLowPercent(),
            first.endpointHighPercent(),
            seconds));
    return setup.change().channels(channels).done();
  }

  private static Scene pitchAtOneSecond() {
    return new Scene(
        1,
        "Pitch",
        List.of(
            new SceneStep(0, REST, false), new SceneStep(1, REST.with(Control.PITCH, 1), false)),
        4);
  }

  @Test
  void aSlowedServoRunsStraightAndArrivesAndTheComparisonMarksWhen() {
    SignalPath quick = SignalPath.of(Rigs.plain());
    SignalPath slow = SignalPath.of(slowed(2));
    ScenePlay.Compared compared = ScenePlay.compare(quick, slow, pitchAtOneSecond());
    String slowed = Rigs.plain().channels().get(0).carries();
    ScenePlay.TrackDifference only =
        compared.differences().stream()
            .filter(one -> one.surface().equals(slowed))
            .findFirst()
            .orElseThrow();
    assertThat(compared.differences())
        .as("the other channel's surface is as before")
        .noneMatch(one -> one.surface().equals(Rigs.plain().channels().get(1).carries()));
    double command = Math.abs(quick.evaluate(REST.with(Control.PITCH, 1)).commandPercent()[0]);
    double arrives = 1 + command / 100;
    ScenePlay.Stretch when = only.stretches().get(0);
    assertThat(when.fromSeconds()).isCloseTo(1, within(0.051));
    assertThat(when.toSeconds()).isBetween(arrives - 0.2, arrives + 0.051);
    int last = compared.after().seconds().size() - 1;
    assertThat(compared.after().tracks().get(0).mm().get(last))
        .isEqualTo(compared.before().tracks().get(0).mm().get(last));
  }

  @Test
  void whileUnderWayTheTallyStillSumsToWhereTheSurfaceIs() {
    SignalPath path = SignalPath.of(slowed(2));
    BenchRun run = new BenchRun(path);
    run.step(new BenchHands(REST, false), 0);
    Moment moved = REST.with(Control.PITCH, 1);
    BenchMoment now = run.step(new BenchHands(moved, false), 0.1);
    assertThat(now.busy()).isTrue();
    double actual = now.positions().commandPercent()[0];
    Tally tally = TallyMaker.underWay(path, moved, 0, now.phase(), actual);
    double sum = tally.lines().stream().mapToDouble(TallyLine::mm).sum();
    assertThat(sum).isCloseTo(now.positions().travelMm()[0], within(1e-9));
    assertThat(tally.lines()).extracting(line -> say(line.label())).contains("Still moving");
  }

  @Test
  void theTourMovesEverySurfaceAndTimesMustNotRunBack() {
    ScenePlay.Played played =
        ScenePlay.play(SignalPath.of(Rigs.plain()), SceneTour.of(Rigs.plain(), English.NAMES));
    played
        .tracks()
        .forEach(
            track ->
                assertThat(track.mm().stream().mapToDouble(Math::abs).max().orElse(0))
                    .isGreaterThan(3));
    Scene back =
        new Scene(
            1, "Back", List.of(new SceneStep(1, REST, false), new SceneStep(0.5, REST, false)), 2);
    assertThatThrownBy(() -> ScenePlay.play(SignalPath.of(Rigs.plain()), back))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("not before 1.0 s"));
  }
}
