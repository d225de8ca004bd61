package hightally.app.standing;

import hightally.core.airframe.Airframe;
import hightally.core.airframe.Surface;
import hightally.core.preflight.Clearance;
import java.util.List;

/**
 * One aircraft as the hangar shows it.
 *
 * @param airframe its kind and outline
 * @param surfaces for its outline
 * @param transmitter name of the one it is programmed on
 * @param revision number of the newest
 * @param reason why that was saved
 * @param grounding what keeps it on the ground
 */
record HangarEntry(
    long id,
    String name,
    String transmitter,
    Airframe airframe,
    List<Surface> surfaces,
    int revision,
    String reason,
    long flightCount,
    StandingSummary loop,
    Clearance grounding) {}
