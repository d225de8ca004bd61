package hightally.app.aircraft;

/** Where a model is. */
public enum Place {
  IN_USE,
  /** Not in the hangar's list; everything of it can be read and done. */
  SET_ASIDE,
  /** Nothing of it is changed any more; after a month it is gone. */
  DELETED
}
