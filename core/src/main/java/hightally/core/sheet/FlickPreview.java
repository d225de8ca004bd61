package hightally.core.sheet;

import hightally.core.airframe.Surface;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * What another phase would bring with sticks and levers as they stand, surface by surface, once it
 * has come in; and what the nose was seen to do, if it was flown. Nothing is claimed of the nose
 * that was not flown.
 *
 * @param phase id of the phase
 * @param words in words
 * @param moves every surface that would move
 */
public record FlickPreview(String phase, Said words, List<Move> moves) {
  private static final double VISIBLE_MM = 0.1;

  /**
   * One surface.
   *
   * @param mm how far it would move, plus up or right
   */
  public record Move(String surface, double fromMm, double toMm, double mm) {}

  /** All phases but the one that is on. */
  public static List<FlickPreview> of(SignalPath path, Moment moment) {
    int on = path.phase(moment);
    double[] now = path.evaluate(moment, on).travelMm();
    List<FlickPreview> previews = new ArrayList<>();
    for (int i = 0; i < path.setup().phases().size(); i++) {
      if (i != on) {
        previews.add(preview(path, i, now, path.evaluate(moment, i).travelMm()));
      }
    }
    return previews;
  }

  private static FlickPreview preview(SignalPath path, int to, double[] now, double[] then) {
    Phase phase = path.setup().phases().get(to);
    List<Move> moves = new ArrayList<>();
    List<Said> told = new ArrayList<>();
    for (int i = 0; i < now.length; i++) {
      Surface surface = path.setup().surfaces().get(i);
      double mm = then[i] - now[i];
      if (Math.abs(mm) >= VISIBLE_MM) {
        moves.add(new Move(surface.id(), now[i], then[i], mm));
        told.add(
            Said.of(
                "flick.move",
                "surface",
                surface.name(),
                "size",
                Quantity.mm(mm).size(),
                "way",
                surface.goes(mm)));
      }
    }
    Said what = told.isEmpty() ? Said.of("flick.nothing") : Said.of("flick.moves", "moves", told);
    Said nose =
        phase.nose() == NoseNote.NOT_FLOWN
            ? Said.of("flick.noseNotFlown")
            : Said.of("flick.nose", "nose", phase.nose());
    return new FlickPreview(
        phase.id(),
        Said.of("flick.phase", "phase", phase.name(), "what", what, "nose", nose),
        moves);
  }
}
