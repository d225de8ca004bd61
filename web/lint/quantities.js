/**
 * No arithmetic on quantities in the page: what a number is, the server says. Free everywhere is only
 * the counting of places in a list by one, the order of a list, and the joining of keys.
 */
const SAY = "The server works quantities out. Allowed places: web/lint/quantities.js.";

const COUNTED = ":not([left.value=1]):not([right.value=1])";
const OF_A_KEY = ":not(JSXAttribute[name.name='key'] *)";
/** A range that is as far either way, and the last few of a list. */
const OF_A_RANGE = ":not(JSXAttribute[name.name='min'] *):not(Property[key.name='min'] *)";
const OF_A_LIST = ":not(CallExpression[callee.property.name='slice'] *)";
/** `+` on a text joins it. */
const JOINED = ":not(:has(> Literal[raw=/^[\"'`]/])):not(:has(> TemplateLiteral))";

export const noArithmetic = [
  "error",
  { selector: "BinaryExpression[operator=/^(\\*|\\/|%|\\*\\*)$/]", message: SAY },
  { selector: `BinaryExpression[operator='-']${COUNTED}`, message: SAY },
  { selector: `BinaryExpression[operator='+']${COUNTED}${JOINED}${OF_A_KEY}`, message: SAY },
  { selector: `AssignmentExpression[operator=/^(\\+|-)=$/]${COUNTED}`, message: SAY },
  { selector: "AssignmentExpression[operator=/^(\\*|\\/|%|\\*\\*)=$/]", message: SAY },
  {
    selector: `UnaryExpression[operator='-']:not(:has(> Literal))${OF_A_RANGE}${OF_A_LIST}`,
    message: SAY,
  },
  { selector: "CallExpression[callee.object.name='Math']", message: SAY },
];

export const allowed = [
  // Drawings: from millimetres to the places of a picture, and from a pointer back.
  "src/domain/drawing.ts",
  // Throttle and power as pilots count them, minutes and seconds.
  "src/domain/scales.ts",
  "src/features/adjustment/TurnDrawing.tsx",
  "src/features/adjustment/turn-words.ts",
  "src/features/aircraft/TravelPlot.tsx",
  "src/features/bench/CurvePlot.tsx",
  "src/features/bench/LinkageDrawing.tsx",
  "src/features/bench/RearView.tsx",
  "src/features/bench/labels.ts",
  "src/features/bench/Stick.tsx",
  "src/features/bench/TopView.tsx",
  "src/features/bench/tally-bars.ts",
  "src/features/bench/view.ts",
  "src/features/hangar/Silhouette.tsx",
  "src/features/program/CurveEditor.tsx",
  "src/features/program/Term.tsx",
  "src/features/rig/BalanceDrawing.tsx",
  "src/features/benchsetup/SeatDrawing.tsx",
  "src/features/rig/WiringPicture.tsx",
  "src/features/simulator/Watch.tsx",
  "src/features/simulator/air.ts",
  "src/ui/chart.tsx",
  "src/ui/chart-paper.tsx",
  "src/ui/page-terms.ts",
  "src/ui/part-done.tsx",
  "src/ui/width.ts",
  // Millimetres and inches, as the reader writes and types them.
  "src/domain/reader.ts",
  // How a figure is written: its size without the sign, whole percent, minutes and seconds.
  "src/domain/words.ts",
  // The order of a list.
  "src/domain/lists.ts",
  // Devices and the browser's clock: a gamepad's axes, a switch's positions, when a step is played.
  "src/features/bench/InputPads.tsx",
  "src/features/bench/gamepad.ts",
  "src/features/bench/store.ts",
  "src/ui/shortcuts.ts",
  // A control that keeps what is typed between its ends.
  "src/ui/stepper.tsx",
  // Tests work a number out a second time.
  "src/**/*.test.{ts,tsx}",
  "src/test/**",
];
