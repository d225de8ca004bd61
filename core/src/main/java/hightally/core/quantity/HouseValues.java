package hightally.core.quantity;

/**
 * Starting points and thresholds that are judgement, not physics; an argument wherever one is used.
 *
 * @param largeTrimPercent a trim beyond this part of full travel is a symptom (balance, warp,
 *     thrust line, incidence) rather than something for a rod
 */
public record HouseValues(
    @Within(min = 1, max = 100, unit = "%", label = "A trim is large from")
        double largeTrimPercent) {

  /**
   * What the program starts with. Twelve percent: a trim that size has used about a third of a
   * common trim range and moves the surface visibly; a straight, balanced model needs less.
   */
  public static final HouseValues STANDARD = new HouseValues(12);
}
