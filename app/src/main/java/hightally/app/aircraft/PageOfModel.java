package hightally.app.aircraft;

/**
 * What a page works out of all rows of a model together. A model from outside stays only where all
 * of them can be worked out.
 */
public interface PageOfModel {
  /** The table it is about, or what several tables are worked into. */
  String told();

  /** Works it out; fails where the rows do not go together. */
  void workOut(long aircraftId);
}
