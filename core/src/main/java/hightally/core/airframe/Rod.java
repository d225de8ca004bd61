package hightally.core.airframe;

import hightally.core.linkage.FourBar;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.RodEnd;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.function.Consumer;

/**
 * The rod that moves a surface.
 *
 * @param driver what pushes it
 * @param driverId id of that servo or surface
 * @param linkage the four-bar at neutral; for a slave rod the driving surface's horn is the arm,
 *     and the arm angle is the driving surface's angle
 * @param end its adjustable end
 * @param adjustedMm what has been added since neutral by trims moved into the linkage; plus is
 *     longer
 */
@Copyable
public record Rod(
    DriverKind driver,
    @Text(max = 40) String driverId,
    Linkage linkage,
    RodEnd end,
    @Within(min = -30, max = 30, unit = Unit.MILLIMETRES) double adjustedMm)
    implements SelfChecked {
  /** A copy to change, part by part. */
  public RodCopy change() {
    return RodCopy.from(this);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    FourBar bar = FourBar.of(linkage);
    boolean connects = lengthMm() > 0 && !Double.isNaN(bar.withRod(lengthMm()).surfaceAngle(0));
    if (!connects) {
      found.accept(Violation.of(path + "adjustedMm", adjustedMm, Said.of("demand.rodConnects")));
    }
  }

  /** Pin to pin as it stands now, mm. */
  public double lengthMm() {
    return linkage.rodLengthMm() + adjustedMm;
  }

  /** The same rod made longer by {@code changeMm}. */
  public Rod changedBy(double changeMm) {
    return change().adjustedMm(adjustedMm + changeMm).done();
  }

  /** The same rod with another end. */
  public Rod onEnd(RodEnd changed) {
    return change().end(changed).done();
  }

  /** The same rod in another linkage. */
  public Rod with(Linkage changed) {
    return change().linkage(changed).done();
  }

  /** The same rod at an arm of another radius. */
  public Rod withArm(double armRadiusMm) {
    return change().linkage(linkage.withArm(armRadiusMm)).done();
  }

  /** The same rod at another hole of the horn; its length now is as it was. */
  public Rod withHorn(double hornRadiusMm) {
    return change().linkage(linkage.withHorn(hornRadiusMm)).done();
  }
}
