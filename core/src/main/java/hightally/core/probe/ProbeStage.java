package hightally.core.probe;

/** Where the search for what a rig is stands. */
public enum ProbeStage {
  /** Something is to be looked at. */
  LOOKING,
  /** What it is is known, and something is to be changed. */
  MENDING,
  /** Rig, description and wish are one. */
  AGREED,
  /** Two answers do not go together. */
  CONTRADICTED,
  /** No change of the program or of leads and rods makes it what is wished. */
  UNMENDED
}
