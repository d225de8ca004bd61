package hightally.core.history;

/** The five places of the loop a model goes round. */
public enum LoopStage {
  RIG,
  PROGRAM,
  CHECK,
  FLY,
  ADJUST
}
