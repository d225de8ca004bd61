import { createBrowserRouter, Navigate, type RouteObject } from "react-router";
import { HangarPage } from "./features/hangar/HangarPage";
import { NowherePage } from "./features/hangar/NowherePage";
import { Shell } from "./features/hangar/Shell";
import { Waiting } from "./ui/message";
import { RouteFault } from "./ui/route-fault";

type Page = () => React.ReactNode;

/**
 * A page that is loaded when it is first opened. Each has a title and, if it fails, an error page in
 * its own place, so that what stands around it goes on.
 */
const page = (
  path: string | undefined,
  title: string,
  load: () => Promise<Page>,
  children?: RouteObject[],
): RouteObject =>
  ({
    ...(path === undefined ? { index: true } : { path, ...(children ? { children } : {}) }),
    handle: { title },
    lazy: async () => ({ Component: await load() }),
    errorElement: <RouteFault />,
    hydrateFallbackElement: <Waiting what={title.toLowerCase()} />,
  }) as RouteObject;

const rig = [
  page(undefined, "Rig", async () => (await import("./features/aircraft/SetupPage")).RigSetupPage),
  page(
    "airframe",
    "Airframe",
    async () => (await import("./features/rig/AirframePage")).AirframePage,
  ),
  page("map", "Channel map", async () => (await import("./features/rig/MapPage")).MapPage),
  page(
    "map/wiring",
    "Wiring sheet",
    async () => (await import("./features/rig/WiringPage")).WiringPage,
  ),
  page("set-up", "Bench set-up", async () => (await import("./features/rig/SetUpPage")).SetUpPage),
  page("balance", "Balance", async () => (await import("./features/rig/BalancePage")).BalancePage),
  page(
    "changes",
    "Changed parts",
    async () => (await import("./features/rig/ChangesPage")).ChangesPage,
  ),
];

const program = [
  page(
    undefined,
    "Program",
    async () => (await import("./features/aircraft/SetupPage")).ProgramSetupPage,
  ),
  page("feel", "Feel", async () => (await import("./features/program/FeelPage")).FeelPage),
  page(
    "phases",
    "Flight phases",
    async () => (await import("./features/program/PhasesPage")).PhasesPage,
  ),
  page("mixes", "Mixes", async () => (await import("./features/program/MixesPage")).MixesPage),
  page("power", "Power", async () => (await import("./features/program/PowerPage")).PowerPage),
  page(
    "switches",
    "Switches",
    async () => (await import("./features/program/SwitchesPage")).SwitchesPage,
  ),
  page(
    "hazards",
    "Hazards",
    async () => (await import("./features/program/HazardsPage")).HazardsPage,
  ),
  page(
    "entry",
    "Entry sheet",
    async () => (await import("./features/program/EntryPage")).EntryPage,
  ),
  page(
    "sheet",
    "Setup sheet",
    async () => (await import("./features/program/SetupSheetPage")).SetupSheetPage,
  ),
];

const check = [
  page(undefined, "Bench", async () => (await import("./features/bench/BenchPage")).BenchPage),
  page("scenes", "Scenes", async () => (await import("./features/bench/ScenesPage")).ScenesPage),
];

const entry = async () => (await import("./features/flight/FlightEntryPage")).FlightEntryPage;

const fly = [
  page(
    undefined,
    "Flights",
    async () => (await import("./features/flight/FlightsPage")).FlightsPage,
  ),
  page("new", "Log a flight", entry),
  page("coach", "Trim flights", async () => (await import("./features/coach/CoachPage")).CoachPage),
  page(
    "checks",
    "Before the flight",
    async () => (await import("./features/preflight/ChecksPage")).ChecksPage,
  ),
  page(
    "checks/:runId",
    "Check",
    async () => (await import("./features/preflight/CheckRunPage")).CheckRunPage,
  ),
  page(
    "wishes",
    "Purpose and pilot",
    async () => (await import("./features/coach/WishesPage")).WishesPage,
  ),
  page(
    "card",
    "Field card",
    async () => (await import("./features/flight/FieldCardPage")).FieldCardPage,
  ),
  page(":flightId", "Correct a flight", entry),
];

const model = [
  { index: true, element: <Navigate to="rig" replace /> },
  page("rig", "Rig", async () => (await import("./features/rig/RigPages")).RigPages, rig),
  page(
    "program",
    "Program",
    async () => (await import("./features/program/ProgramPages")).ProgramPages,
    program,
  ),
  page(
    "check",
    "Check",
    async () => (await import("./features/bench/CheckPages")).CheckPages,
    check,
  ),
  page("fly", "Fly", async () => (await import("./features/flight/FlyPages")).FlyPages, fly),
  page(
    "adjust",
    "Adjust",
    async () => (await import("./features/adjustment/AdjustPage")).AdjustPage,
  ),
  page(
    "adjust/sheet",
    "Work order",
    async () => (await import("./features/adjustment/WorkSheetPage")).WorkSheetPage,
  ),
  page(
    "revisions",
    "Revisions",
    async () => (await import("./features/aircraft/RevisionsPage")).RevisionsPage,
  ),
];

/** The addresses of the page; those under a model follow the loop. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <RouteFault />,
    children: [
      {
        path: "/",
        element: <HangarPage />,
        handle: { title: "Hangar" },
        errorElement: <RouteFault />,
      },
      page(
        "/new",
        "New model",
        async () => (await import("./features/hangar/NewModelPage")).NewModelPage,
      ),
      page(
        "/bring-in",
        "Files",
        async () => (await import("./features/transfer/BringInPage")).BringInPage,
      ),
      page(
        "/settings",
        "Settings",
        async () => (await import("./features/settings/SettingsPage")).SettingsPage,
      ),
      page(
        "/let-in",
        "Give this device access",
        async () => (await import("./features/settings/LetInPage")).LetInPage,
      ),
      page(
        "/school",
        "Trim school",
        async () => (await import("./features/school/SchoolPage")).SchoolPage,
      ),
      page(
        "/school/:practiceId",
        "Practice",
        async () => (await import("./features/school/PracticePage")).PracticePage,
      ),
      page(
        "/school/:practiceId/hands-off",
        "Hands off",
        async () => (await import("./features/school/HandsOffPage")).HandsOffPage,
      ),
      page(
        "/models/:id",
        "Model",
        async () => (await import("./features/aircraft/ModelLayout")).ModelLayout,
        model,
      ),
      { path: "*", element: <NowherePage />, handle: { title: "No such page" } },
    ],
  },
]);
