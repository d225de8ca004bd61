import type { TestResult } from "@/api/fly";

type Outcome = TestResult["seen"][number]["outcome"];
type Test = TestResult["test"];

/** A model on its path: where, how it is turned, whether on its back. */
export type Mark = readonly [x: number, y: number, turn: number, inverted?: boolean];

/**
 * A picture of a test, 200 wide and 120 high: the part that is flown, the part that is watched with
 * the hands off, and what it looks like when it is not right.
 */
export interface FlightPath {
  view: "from the side" | "from behind" | "from above";
  entry: string;
  watched: string;
  marks: readonly Mark[];
  outcomes: Partial<Record<Outcome, string>>;
  /** Which side of itself the model shows, where that is another one: on its edge from above. */
  shows?: FlightPath["view"];
  /** Outcomes that are seen from the side though the test is drawn from behind. */
  besides?: readonly Outcome[];
  /** Where the pilot stands is the ground. */
  ground?: boolean;
}

const LEVEL: FlightPath = {
  view: "from the side",
  entry: "M10 70 H70",
  watched: "M70 70 H192",
  marks: [
    [36, 70, 0],
    [130, 70, 0],
  ],
  outcomes: {},
  ground: true,
};

const DIVE: FlightPath = {
  view: "from the side",
  entry: "M8 18 H45 Q62 18 74 32 L88 50",
  watched: "M88 50 Q136 96 192 100",
  marks: [
    [26, 18, 0],
    [88, 50, 50],
  ],
  outcomes: {
    PULLS_OUT: "M88 50 Q116 84 150 62 T188 10",
    TUCKS: "M88 50 Q122 84 124 112",
    CLIMBS_FAST: "M88 50 Q116 84 150 62 T188 10",
    TUCKS_FAST: "M88 50 Q122 84 124 112",
  },
  ground: true,
};

const VERTICAL_UP: FlightPath = {
  view: "from behind",
  entry: "M20 108 H70 Q100 108 100 84",
  watched: "M100 84 V8",
  marks: [
    [40, 108, 0],
    [100, 60, -90],
  ],
  outcomes: {
    DRIFTS_LEFT: "M100 84 Q100 40 56 8",
    DRIFTS_RIGHT: "M100 84 Q100 40 144 8",
    TO_CANOPY: "M100 84 Q100 40 56 8",
    TO_BELLY: "M100 84 Q100 40 144 8",
  },
  besides: ["TO_CANOPY", "TO_BELLY"],
  ground: true,
};

const PATHS: Record<Test, FlightPath> = {
  LEVEL_TRIM: LEVEL,
  THROTTLE_CHANGE: {
    ...LEVEL,
    outcomes: {
      CLIMBS_AT_ONCE: "M70 70 Q92 70 116 44 T192 14",
      SINKS_AT_ONCE: "M70 70 Q92 70 116 92 T192 110",
      CLIMBS_WITH_SPEED: "M70 70 H124 Q156 70 192 26",
      SINKS_WITH_SPEED: "M70 70 H124 Q156 70 192 108",
    },
  },
  INVERTED_45: {
    view: "from the side",
    entry: "M8 108 H34 Q54 108 68 94 L104 56",
    watched: "M104 56 Q144 20 192 26",
    marks: [
      [20, 108, 0],
      [68, 94, -45],
      [104, 56, -45, true],
    ],
    outcomes: {
      CLIMBS: "M104 56 Q138 24 150 4",
      DROPS_FAST: "M104 56 Q130 34 150 110",
    },
    ground: true,
  },
  DIVE,
  INVERTED_LEVEL: {
    view: "from behind",
    entry: "M60 60 H140",
    watched: "M60 60 H140",
    marks: [[100, 60, 0, true]],
    outcomes: {
      LEFT_RISES: "M60 80 L140 40",
      RIGHT_RISES: "M60 40 L140 80",
    },
  },
  VERTICAL_UP,
  ROLL_AXIS: {
    view: "from the side",
    entry: "M8 108 H34 Q54 108 68 94",
    watched: "M68 94 L160 6",
    marks: [
      [20, 108, 0],
      [100, 64, -44],
      [128, 37, -44, true],
    ],
    outcomes: {
      AWAY_FROM_THE_ROLL: "M68 94 Q100 88 124 50 T186 30",
      TOWARDS_THE_ROLL: "M68 94 Q90 60 104 54 T132 4",
    },
    ground: true,
  },
  KNIFE_EDGE: {
    view: "from above",
    shows: "from the side",
    entry: "M8 60 H60",
    watched: "M60 60 H192",
    marks: [
      [30, 60, 0],
      [120, 60, 0],
    ],
    outcomes: {
      TO_BELLY: "M60 60 Q120 60 188 104",
      TO_CANOPY: "M60 60 Q120 60 188 16",
      ROLLS_WITH_RUDDER: "M60 60 H120 m-12 -18 a18 18 0 0 1 24 34 l-9 -1 m9 1 l2 -9",
      ROLLS_AGAINST_RUDDER: "M60 60 H120 m12 -18 a18 18 0 0 0 -24 34 l9 -1 m-9 1 l-2 -9",
    },
  },
  VERTICAL_DOWN: {
    view: "from the side",
    entry: "M20 12 H74 Q100 12 100 34",
    watched: "M100 34 V106",
    marks: [
      [44, 12, 0],
      [100, 60, 90],
    ],
    outcomes: { TO_CANOPY: "M100 34 Q100 80 156 102", TO_BELLY: "M100 34 Q100 80 44 102" },
    ground: true,
  },
  BRAKES: {
    ...LEVEL,
    watched: "M70 70 Q130 72 192 84",
    outcomes: { NOSE_UP: "M70 70 Q104 68 136 30", NOSE_DOWN: "M70 70 Q104 74 132 110" },
  },
  CIRCLING: {
    view: "from above",
    entry: "M146 60 A46 46 0 1 1 145.9 58",
    watched: "M146 60 A46 46 0 1 1 145.9 58",
    marks: [
      [146, 60, -90],
      [54, 60, 90],
    ],
    outcomes: {
      NOSE_SWINGS_OUT: "M146 60 L166 22",
      NOSE_SWINGS_IN: "M146 60 L118 26",
      NEEDS_OPPOSITE_STICK: "M146 60 A40 40 0 1 1 146 58",
    },
  },
  STALL: {
    view: "from behind",
    entry: "M60 60 H140",
    watched: "M60 60 H140",
    marks: [[100, 60, 0]],
    outcomes: { LEFT_WING_DROPS: "M60 86 L140 34", RIGHT_WING_DROPS: "M60 34 L140 86" },
  },
  LAUNCH: {
    view: "from the side",
    entry: "M8 108 H30",
    watched: "M30 108 L140 20",
    marks: [[88, 62, -39]],
    outcomes: { LAUNCH_STEEP: "M30 108 Q54 90 66 6", LAUNCH_FLAT: "M30 108 Q110 92 192 76" },
    ground: true,
  },
  SPEED: {
    ...LEVEL,
    outcomes: { CLIMBS_FAST: "M70 70 Q130 68 188 16", TUCKS_FAST: "M70 70 Q130 72 170 114" },
  },
  FEEL: LEVEL,
};

/** The picture of a test. */
export const pathOf = (test: Test): FlightPath => PATHS[test];
