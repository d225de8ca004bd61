package hightally.core.quantity;

/**
 * Starting points and thresholds that are judgement, not physics; an argument wherever one is used.
 *
 * @param largeTrimPercent a trim beyond this part of full travel is a symptom (balance, warp,
 *     thrust line, incidence) rather than something for a rod
 * @param largeSubTrimMicroseconds beyond this the arm should be seated another tooth over
 * @param clippedMicroseconds pulse cut off by the hard limits that no longer is rounding
 * @param smallEndpointPercent below this the hole should change instead
 * @param leanDegrees beyond this an arm or horn is seen to stand off square
 * @param deadCentreMarginDegrees the closest full stick may come to dead centre or a lock
 * @param unevenMm difference of up against down that a ruler shows and a pilot feels
 * @param pairMm difference of left against right that pulls a model
 */
public record HouseValues(
    @Within(min = 1, max = 100, unit = "%", label = "A trim is large from") double largeTrimPercent,
    @Within(min = 1, max = 300, unit = "µs", label = "A sub-trim is large from")
        double largeSubTrimMicroseconds,
    @Within(min = 0, max = 100, unit = "µs", label = "A pulse is clipped from")
        double clippedMicroseconds,
    @Within(min = 10, max = 100, unit = "%", label = "An endpoint is small below")
        double smallEndpointPercent,
    @Within(min = 1, max = 45, unit = "°", label = "A lean is large from") double leanDegrees,
    @Within(min = 0, max = 45, unit = "°", label = "Margin to dead centre")
        double deadCentreMarginDegrees,
    @Within(min = 0.2, max = 20, unit = "mm", label = "Travel is uneven from") double unevenMm,
    @Within(min = 0.2, max = 20, unit = "mm", label = "A pair is unequal from") double pairMm) {

  /**
   * What the program starts with. Trim 12 %: about a third of a common trim range; a straight,
   * balanced model needs less. Sub-trim 40 µs: half the finest step of a four-armed horn on 25
   * teeth at 0.09 °/µs is 20 µs, so twice that means a better seat was there. Clipped 1 µs: less is
   * rounding. Endpoint 60 %: the next hole inwards usually gives that throw at full travel. Lean
   * 10°: beyond it up and down differ by more than a ruler's error. Dead centre 12°: half the
   * authority is gone by then. Uneven 1.5 mm and pair 1 mm: a millimetre or two already pulls a
   * model.
   */
  public static final HouseValues STANDARD = new HouseValues(12, 40, 1, 60, 10, 12, 1.5, 1);
}
