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
 * @param rulerMm what a ruler at a trailing edge may be out by
 * @param contactMarginMm how far surfaces that can touch keep apart
 * @param leadSpareMm length a lead needs beyond the straight way
 * @param extensionStepMm extensions come in multiples of this
 * @param powerJumpPercent a change of power a pilot feels as a jump
 * @param softFadeSeconds a fade of this length is not a jump
 * @param settledFlights so many agreeing flights make a trim settled
 * @param settledClicks how far apart trims of flights that agree may be
 * @param sameCgMm balance points this close are the same
 * @param suspiciousMm a trim that moves a trailing edge this far is a symptom
 * @param leaveClicks so few clicks may stay in the transmitter
 * @param confirmClicks how close to the prediction a flight's trims confirm it
 * @param surfaceJumpMm a trailing edge that moves this far at a flick, at once, upsets the model
 */
public record HouseValues(
    @Within(min = 1, max = 100, unit = Unit.PERCENT) double largeTrimPercent,
    @Within(min = 1, max = 300, unit = Unit.MICROSECONDS) double largeSubTrimMicroseconds,
    @Within(min = 0, max = 100, unit = Unit.MICROSECONDS) double clippedMicroseconds,
    @Within(min = 10, max = 100, unit = Unit.PERCENT) double smallEndpointPercent,
    @Within(min = 1, max = 45, unit = Unit.DEGREES) double leanDegrees,
    @Within(min = 0, max = 45, unit = Unit.DEGREES) double deadCentreMarginDegrees,
    @Within(min = 0.2, max = 20, unit = Unit.MILLIMETRES) double unevenMm,
    @Within(min = 0.2, max = 20, unit = Unit.MILLIMETRES) double pairMm,
    @Within(min = 0.1, max = 5, unit = Unit.MILLIMETRES) double rulerMm,
    @Within(min = 0, max = 20, unit = Unit.MILLIMETRES) double contactMarginMm,
    @Within(min = 0, max = 500, unit = Unit.MILLIMETRES) double leadSpareMm,
    @Within(min = 10, max = 1000, unit = Unit.MILLIMETRES) double extensionStepMm,
    @Within(min = 1, max = 100, unit = Unit.PERCENT) double powerJumpPercent,
    @Within(min = 0, max = 10, unit = Unit.SECONDS) double softFadeSeconds,
    @Within(min = 1, max = 10) int settledFlights,
    @Within(min = 0, max = 20, unit = Unit.CLICKS) int settledClicks,
    @Within(min = 0, max = 50, unit = Unit.MILLIMETRES) double sameCgMm,
    @Within(min = 0.5, max = 50, unit = Unit.MILLIMETRES) double suspiciousMm,
    @Within(min = 0, max = 20, unit = Unit.CLICKS) int leaveClicks,
    @Within(min = 0, max = 20, unit = Unit.CLICKS) int confirmClicks,
    @Within(min = 0.5, max = 100, unit = Unit.MILLIMETRES) double surfaceJumpMm) {

  /**
   * What the program starts with. Trim 12 %: about a third of a common trim range; a straight,
   * balanced model needs less. Sub-trim 40 µs: half the finest step of a four-armed horn on 25
   * teeth at 0.09 °/µs is 20 µs, so twice that means a better seat was there. Clipped 1 µs: less is
   * rounding. Endpoint 60 %: the next hole inwards usually gives that throw at full travel. Lean
   * 10°: beyond it up and down differ by more than a ruler's error. Dead centre 12°: half the
   * authority is gone by then. Uneven 1.5 mm and pair 1 mm: a millimetre or two already pulls a
   * model. Ruler 0.5 mm: what two readings of the same edge differ by. Contact 1 mm: what flexes
   * under load. Spare lead 80 mm: a curve at the root and slack at the plug. Extensions in 100 mm:
   * how they are sold. Power 10 % and fade 1 s: less pitches no model that balances. Three flights
   * within 2 clicks: two can agree by chance, and a gust is worth a click or two. Balance 2 mm:
   * what a finger finds again. Suspicious 4 mm: a straight, balanced model of common size needs
   * less. Two clicks may stay: half a turn of a clevis is about as much. A flight confirms within 1
   * click. A jump of 6 mm: twice what an aileron of a common model gives in calm flying.
   */
  public static final HouseValues STANDARD =
      new HouseValues(12, 40, 1, 60, 10, 12, 1.5, 1, 0.5, 1, 80, 100, 10, 1, 3, 2, 2, 4, 2, 1, 6);
}
