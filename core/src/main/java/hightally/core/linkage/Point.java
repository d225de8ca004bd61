package hightally.core.linkage;

/** A point in the plane of a linkage, mm; x along the rod from arm to horn, y to the arm's side. */
public record Point(double x, double y) {}
