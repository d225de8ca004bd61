package hightally.core.airframe;

/** Which half of the aircraft something belongs to, seen by its pilot. */
public enum Side {
  LEFT,
  CENTRE,
  RIGHT;

  /**
   * The id of what mirrors a part, by the names pilots give: left for right; its own if neither.
   */
  public static String mirrored(String id) {
    return id.contains("left") ? id.replace("left", "right") : id.replace("right", "left");
  }
}
