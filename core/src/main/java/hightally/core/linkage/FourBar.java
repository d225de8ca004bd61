package hightally.core.linkage;

import hightally.core.quantity.Validation;

/**
 * A solver for one {@link Linkage} with one rod length, its constants worked out beforehand.
 *
 * <p>All angles are degrees; the arm's from its centred position (plus pushes the rod towards the
 * surface), the surface's from the neutral of the airframe (plus: trailing edge up, or right). The
 * rod may be longer or shorter than at neutral. Where the rod cannot reach, methods return {@code
 * NaN}; callers turn that into "locked at …". Error below 1e-9 degrees away from a lock, where the
 * surface's speed has no bound; source: circle-circle intersection, derived in {@code
 * docs/computation.md}.
 */
public final class FourBar {
  private final Linkage linkage;
  private final double rodLength;
  private final double arm;
  private final double horn;
  private final double armLean;
  private final double hornLean;
  private final double side;
  private final double branch;
  private final double sign;
  private final double shaftX;
  private final double shaftY;
  private final double hingeX;
  private final double hingeY;

  private FourBar(Linkage linkage, double rodLength) {
    this.linkage = linkage;
    this.rodLength = rodLength;
    arm = linkage.armRadiusMm();
    horn = linkage.hornRadiusMm();
    armLean = Math.toRadians(linkage.armLeanDegrees());
    hornLean = Math.toRadians(linkage.hornLeanDegrees());
    side = linkage.opposite() ? -1 : 1;
    sign = linkage.pushRaises() ? 1 : -1;
    shaftX = -arm * Math.sin(armLean);
    shaftY = -arm * Math.cos(armLean);
    hingeX = linkage.rodLengthMm() - horn * Math.sin(hornLean);
    hingeY = -horn * side * Math.cos(hornLean);
    branch = neutralBranch();
  }

  /** Solver with the rod as it is at neutral. */
  public static FourBar of(Linkage linkage) {
    return new FourBar(Validation.check(linkage), linkage.rodLengthMm());
  }

  /** Solver of a linkage whose parts have been checked already; for searches over many. */
  static FourBar trusted(Linkage linkage) {
    return new FourBar(linkage, linkage.rodLengthMm());
  }

  /**
   * Solver with the same joints and another rod.
   *
   * @param rodLengthMm pin to pin, above 0
   */
  public FourBar withRod(double rodLengthMm) {
    return new FourBar(linkage, rodLengthMm);
  }

  /** The rod this solver works with, mm. */
  public double rodLengthMm() {
    return rodLength;
  }

  double armMm() {
    return arm;
  }

  double hornMm() {
    return horn;
  }

  /**
   * How far a point {@code radius} along the arm's direction must turn from the line of shaft and
   * hinge to be {@code distance} from the hinge, degrees; {@code NaN} if it never is.
   */
  double openingDegrees(double radius, double distance) {
    double line = Math.hypot(shaftX - hingeX, shaftY - hingeY);
    double cosine = (distance * distance - line * line - radius * radius) / (2 * radius * line);
    return Math.toDegrees(Math.acos(cosine));
  }

  /** The arm angle that stands {@code openingDegrees} from the line of shaft and hinge, degrees. */
  double fromLineDegrees(double openingDegrees) {
    double line = Math.atan2(shaftX - hingeX, shaftY - hingeY);
    return Math.toDegrees(wrap(line - armLean + Math.toRadians(openingDegrees)));
  }

  /** The one of the two intersections that stands at neutral when arm and rod do. */
  private double neutralBranch() {
    double px = -hingeX;
    double py = -hingeY;
    double distance = Math.hypot(px, py);
    double length = linkage.rodLengthMm();
    double cosine = (distance * distance + horn * horn - length * length) / (2 * horn * distance);
    double opening = Math.acos(Math.max(-1, Math.min(1, cosine)));
    double middle = Math.atan2(px, side * py) - hornLean;
    boolean plus = Math.abs(wrap(middle + opening)) <= Math.abs(wrap(middle - opening));
    return plus ? 1 : -1;
  }

  /** Surface angle for an arm angle, degrees; {@code NaN} where locked. */
  public double surfaceAngle(double armDegrees) {
    double turned = armLean + Math.toRadians(armDegrees);
    double px = shaftX + arm * Math.sin(turned) - hingeX;
    double py = shaftY + arm * Math.cos(turned) - hingeY;
    double squared = px * px + py * py;
    double cosine =
        (squared + horn * horn - rodLength * rodLength) / (2 * horn * Math.sqrt(squared));
    double opening = Math.acos(cosine);
    return sign * Math.toDegrees(wrap(Math.atan2(px, side * py) + branch * opening - hornLean));
  }

  /**
   * d(surface angle)/d(arm angle), sign included; {@code NaN} where locked. Torque at the surface
   * is servo torque / |gain|.
   */
  public double gain(double armDegrees) {
    double surface = surfaceAngle(armDegrees);
    double turned = armLean + Math.toRadians(armDegrees);
    double swung = hornLean + sign * Math.toRadians(surface);
    double rodX = shaftX + arm * Math.sin(turned) - hingeX - horn * Math.sin(swung);
    double rodY = shaftY + arm * Math.cos(turned) - hingeY - horn * side * Math.cos(swung);
    double armSpeed = arm * (rodX * Math.cos(turned) - rodY * Math.sin(turned));
    double hornSpeed = horn * (rodX * Math.cos(swung) - rodY * side * Math.sin(swung));
    return sign * armSpeed / hornSpeed;
  }

  /** Rod that puts the surface at an angle while the arm stands at another: exact, mm. */
  public double rodFor(double armDegrees, double surfaceDegrees) {
    Point a = armHole(armDegrees);
    Point b = hornHole(surfaceDegrees);
    return Math.hypot(a.x() - b.x(), a.y() - b.y());
  }

  /**
   * Arm angle that puts the surface at an angle, the one nearest to a given arm angle, degrees;
   * {@code NaN} if none does.
   */
  public double armFor(double surfaceDegrees, double nearDegrees) {
    Point b = hornHole(surfaceDegrees);
    double dx = b.x() - shaftX;
    double dy = b.y() - shaftY;
    double distance = Math.hypot(dx, dy);
    double cosine =
        (distance * distance + arm * arm - rodLength * rodLength) / (2 * arm * distance);
    double opening = Math.acos(cosine);
    double middle = Math.atan2(dx, dy) - armLean;
    double near = Math.toRadians(nearDegrees);
    double plus = near + wrap(middle + opening - near);
    double minus = near + wrap(middle - opening - near);
    return Math.toDegrees(Math.abs(plus - near) <= Math.abs(minus - near) ? plus : minus);
  }

  /** The joints with the arm at one angle and the surface at another, for drawing. */
  public Pose pose(double armDegrees, double surfaceDegrees) {
    return new Pose(
        new Point(shaftX, shaftY),
        armHole(armDegrees),
        hornHole(surfaceDegrees),
        new Point(hingeX, hingeY));
  }

  private Point armHole(double armDegrees) {
    double turned = armLean + Math.toRadians(armDegrees);
    return new Point(shaftX + arm * Math.sin(turned), shaftY + arm * Math.cos(turned));
  }

  private Point hornHole(double surfaceDegrees) {
    double swung = hornLean + sign * Math.toRadians(surfaceDegrees);
    return new Point(hingeX + horn * Math.sin(swung), hingeY + horn * side * Math.cos(swung));
  }

  private static double wrap(double radians) {
    double once = radians > Math.PI ? radians - 2 * Math.PI : radians;
    return once <= -Math.PI ? once + 2 * Math.PI : once;
  }
}
