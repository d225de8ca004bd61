package hightally.core.simulator;

import hightally.core.simulator.FlyingShape.AirPanel;
import hightally.core.simulator.FlyingShape.BodyStation;
import hightally.core.simulator.FlyingShape.End;
import hightally.core.simulator.FlyingShape.Spot;
import java.util.ArrayList;
import java.util.List;

/** The outlines of a shape, for drawing it from anywhere: body axes, m, from the balance point. */
public final class Wireframe {
  private static final double MM = 1000;
  private static final int CORNERS = 12;

  private Wireframe() {}

  /** A point: x forward, y right, z down. */
  public record Corner(double x, double y, double z) {}

  /**
   * A closed outline.
   *
   * @param part what it outlines
   */
  public record Outline(String part, List<Corner> corners) {}

  /** All outlines of a shape. */
  public static List<Outline> of(FlyingShape shape) {
    List<Outline> outlines = new ArrayList<>();
    for (AirPanel one : shape.panels()) {
      outlines.add(
          new Outline(
              one.role().name(),
              List.of(
                  front(one.root(), shape.cg()),
                  front(one.tip(), shape.cg()),
                  rear(one.tip(), shape.cg()),
                  rear(one.root(), shape.cg()))));
    }
    for (BodyStation one : shape.fuselage().stations()) {
      outlines.add(new Outline("BODY", ring(one, shape.cg())));
    }
    if (shape.fuselage().stations().size() > 1) {
      outlines.add(new Outline("BODY", profile(shape, true)));
      outlines.add(new Outline("BODY", profile(shape, false)));
    }
    return List.copyOf(outlines);
  }

  /** The fuselage from the side, or from above: there along one edge, back along the other. */
  private static List<Corner> profile(FlyingShape shape, boolean side) {
    List<Corner> there = new ArrayList<>();
    List<Corner> back = new ArrayList<>();
    for (BodyStation one : shape.fuselage().stations()) {
      double middle = (one.topMm() + one.bottomMm()) / 2;
      double right = side ? 0 : one.halfWidthMm();
      there.add(corner(one.aftMm(), right, side ? one.topMm() : middle, shape.cg()));
      back.add(0, corner(one.aftMm(), -right, side ? one.bottomMm() : middle, shape.cg()));
    }
    there.addAll(back);
    return List.copyOf(there);
  }

  private static Corner front(End end, Spot cg) {
    return corner(end.at().aftMm(), end.at().rightMm(), end.at().upMm(), cg);
  }

  private static Corner rear(End end, Spot cg) {
    return corner(end.at().aftMm() + end.chordMm(), end.at().rightMm(), end.at().upMm(), cg);
  }

  private static Corner corner(double aft, double right, double up, Spot cg) {
    return new Corner((cg.aftMm() - aft) / MM, (right - cg.rightMm()) / MM, (cg.upMm() - up) / MM);
  }

  private static List<Corner> ring(BodyStation one, Spot cg) {
    List<Corner> ring = new ArrayList<>();
    double middle = (one.topMm() + one.bottomMm()) / 2;
    double half = (one.topMm() - one.bottomMm()) / 2;
    for (int i = 0; i < CORNERS; i++) {
      double turn = 2 * Math.PI * i / CORNERS;
      ring.add(
          corner(
              one.aftMm(), one.halfWidthMm() * Math.sin(turn), middle + half * Math.cos(turn), cg));
    }
    return List.copyOf(ring);
  }
}
