package hightally.app.school;

import com.fasterxml.jackson.annotation.JsonProperty;
import hightally.core.quantity.Absentable;
import hightally.core.simulator.CoachFollowed;
import hightally.core.simulator.FlightTraits;
import hightally.core.simulator.HiddenFault;
import hightally.core.simulator.TestFlight;
import java.util.List;

/**
 * What a practice was begun with.
 *
 * @param lesson which lesson; absent for one of the pilot's models
 * @param step of the lesson, from 1; 0 for one of the pilot's models
 * @param name of the model
 * @param kind its class
 * @param pack flown with
 * @param cgMm where it balances as its pilot knows it
 * @param built what it was built with
 * @param faults what hides in it
 * @param limits what it shows whatever is done
 * @param wind m/s
 * @param budget flights there are
 */
record SchoolBrief(
    @Absentable @JsonProperty SchoolLesson lesson,
    @JsonProperty int step,
    @JsonProperty String name,
    @JsonProperty FlightTraits.Class kind,
    @JsonProperty String pack,
    @JsonProperty double cgMm,
    @JsonProperty List<HiddenFault> built,
    @JsonProperty List<HiddenFault> faults,
    @JsonProperty List<CoachFollowed.Limit> limits,
    @JsonProperty TestFlight.Wish wish,
    @JsonProperty double wind,
    @JsonProperty long seed,
    @JsonProperty int budget) {}
