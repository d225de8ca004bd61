package hightally.core.simulator;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.quantity.InvalidInputException;
import hightally.core.simulator.LinkStandIn.Antenna;
import hightally.core.simulator.LinkStandIn.LinkAsked;
import hightally.core.simulator.LinkStandIn.LinkReport;
import hightally.core.simulator.LinkStandIn.Shadow;
import java.util.List;
import net.jqwik.api.Example;

/** The simulated link: its level by hand, and what it is there to show. */
class LinkStandInTest {
  private static final Antenna UPRIGHT = new Antenna(0, 90);
  private static final Antenna ACROSS = new Antenna(90, 0);
  private static final Antenna ALONG = new Antenna(0, 0);

  private static LinkAsked asked(double paces, int quarter, List<Antenna> antennas) {
    return new LinkAsked(7, paces, true, quarter, false, antennas, List.of());
  }

  @Example
  void theLevelFallsWithDistanceAndWhatStandsInTheWay() {
    // 78 less 30 for reduced power less 20 log of 40 paces of 0.75 m: 48 - 29.54.
    LinkAsked near = asked(40, 0, List.of(UPRIGHT));
    assertThat(LinkStandIn.level(near, UPRIGHT)).isCloseTo(18.458, within(1e-3));
    // Ten times as far: 20 dB less.
    assertThat(LinkStandIn.level(asked(400, 0, List.of(UPRIGHT)), UPRIGHT))
        .isCloseTo(-1.542, within(1e-3));
    // Whole power: 30 dB more; a motor takes 3.
    LinkAsked whole = new LinkAsked(7, 40, false, 0, true, List.of(UPRIGHT), List.of());
    assertThat(LinkStandIn.level(whole, UPRIGHT)).isCloseTo(18.458 + 30 - 3, within(1e-3));
    // A rod across swings the wrong way: a quarter of it, 12.04 dB less.
    assertThat(LinkStandIn.level(near, ACROSS)).isCloseTo(18.458 - 12.041, within(1e-3));
    // Along the line of sight it hears 0.03 of it at most: 30.46 dB less.
    assertThat(LinkStandIn.level(near, ALONG)).isCloseTo(18.458 - 30.458, within(1e-3));
    // A pack at the tail, turned away from the pilot by a quarter, is out of the way.
    Shadow pack = new Shadow("pack", 0, 30, 12);
    LinkAsked behind = new LinkAsked(7, 40, true, 0, false, List.of(UPRIGHT), List.of(pack));
    LinkAsked beside = new LinkAsked(7, 40, true, 1, false, List.of(UPRIGHT), List.of(pack));
    assertThat(LinkStandIn.level(behind, UPRIGHT)).isCloseTo(6.458, within(1e-3));
    assertThat(LinkStandIn.level(beside, UPRIGHT)).isCloseTo(18.458, within(1e-3));
  }

  @Example
  void theSameQuestionHasTheSameAnswer() {
    LinkReport one = LinkStandIn.of(asked(90, 0, List.of(UPRIGHT, ACROSS)));
    assertThat(LinkStandIn.of(asked(90, 0, List.of(UPRIGHT, ACROSS)))).isEqualTo(one);
    assertThat(one.frames()).isEqualTo(1000);
    assertThat(one.fades()).hasSize(2);
    assertThat(one.lostFrames())
        .isLessThanOrEqualTo(Math.min(one.fades().get(0), one.fades().get(1)));
  }

  /** Two antennas side by side are weak in the same quarter, at 90° to each other in none. */
  @Example
  void twoAntennasStandSquareToEachOther() {
    int worstAlike = 0;
    int worstSquare = 0;
    for (int quarter = 0; quarter < 4; quarter++) {
      worstAlike =
          Math.max(
              worstAlike,
              LinkStandIn.of(asked(40, quarter, List.of(ALONG, new Antenna(10, 0)))).lostFrames());
      worstSquare =
          Math.max(
              worstSquare,
              LinkStandIn.of(asked(40, quarter, List.of(ALONG, UPRIGHT))).lostFrames());
    }
    assertThat(worstAlike).isGreaterThan(500);
    assertThat(worstSquare).as("a flutter now and then").isLessThan(10);
    LinkReport alike = LinkStandIn.of(asked(40, 0, List.of(ALONG, new Antenna(10, 0))));
    assertThat(alike.holds()).isPositive();
    assertThat(say(alike.words()))
        .startsWith("Simulated.")
        .contains("held")
        .contains("same quarter");
    LinkReport square = LinkStandIn.of(asked(40, 0, List.of(ALONG, UPRIGHT)));
    assertThat(square.holds()).isZero();
    assertThat(say(square.words())).contains("at 90° to each other");
    assertThat(square.fades().get(0)).isEqualTo(1000);
  }

  @Example
  void farEnoughAwayNothingIsHeardAndNearEverything() {
    LinkReport far = LinkStandIn.of(asked(3000, 0, List.of(UPRIGHT)));
    assertThat(far.lostFrames()).isEqualTo(1000);
    // One hold lasts till the end: it counts once.
    assertThat(far.holds()).isEqualTo(1);
    LinkReport near = LinkStandIn.of(asked(5, 0, List.of(UPRIGHT)));
    assertThat(near.lostFrames()).isZero();
    assertThat(say(near.words())).contains("No frame was lost").contains("One antenna");
  }

  @Example
  void whatMakesNoSenseIsRefused() {
    assertThatThrownBy(() -> LinkStandIn.of(asked(40, 0, List.of())))
        .isInstanceOf(InvalidInputException.class);
    assertThatThrownBy(() -> LinkStandIn.of(asked(0, 0, List.of(UPRIGHT))))
        .isInstanceOf(InvalidInputException.class);
    assertThatThrownBy(() -> LinkStandIn.of(asked(40, 4, List.of(UPRIGHT))))
        .isInstanceOf(InvalidInputException.class);
  }
}
