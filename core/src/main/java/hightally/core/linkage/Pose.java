package hightally.core.linkage;

/** The four joints of a linkage in one position, for drawing it to scale. */
public record Pose(Point shaft, Point armHole, Point hornHole, Point hinge) {}
