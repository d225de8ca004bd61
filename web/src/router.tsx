import { Navigate, type RouteObject } from "react-router";
import { HangarPage } from "./features/hangar/HangarPage";
import { NotFoundPage } from "./features/hangar/NotFoundPage";
import { Shell } from "./features/hangar/Shell";
import { Waiting } from "./ui/message";
import { RouteFault } from "./ui/route-fault";
import { within } from "@/domain/words";
import { say } from "@/words/generated/pages";

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
    hydrateFallbackElement: <Waiting what={within(title)} />,
  }) as RouteObject;

const rig = [
  page(
    undefined,
    say("router.rig"),
    async () => (await import("./features/aircraft/SetupPage")).RigSetupPage,
  ),
  page(
    "airframe",
    say("router.airframe"),
    async () => (await import("./features/rig/AirframePage")).AirframePage,
  ),
  page(
    "map",
    say("router.channelMap"),
    async () => (await import("./features/rig/MapPage")).MapPage,
  ),
  page(
    "map/wiring",
    say("router.wiringSheet"),
    async () => (await import("./features/rig/WiringPage")).WiringPage,
  ),
  page(
    "set-up",
    say("router.benchSetUp"),
    async () => (await import("./features/benchsetup/SetUpPage")).SetUpPage,
  ),
  page(
    "balance",
    say("router.balance"),
    async () => (await import("./features/rig/BalancePage")).BalancePage,
  ),
  page(
    "changes",
    say("router.changedParts"),
    async () => (await import("./features/rig/ChangesPage")).ChangesPage,
  ),
];

const program = [
  page(
    undefined,
    say("router.program"),
    async () => (await import("./features/aircraft/SetupPage")).ProgramSetupPage,
  ),
  page(
    "feel",
    say("router.feel"),
    async () => (await import("./features/program/FeelPage")).FeelPage,
  ),
  page(
    "phases",
    say("router.flightPhases"),
    async () => (await import("./features/program/PhasesPage")).PhasesPage,
  ),
  page(
    "mixes",
    say("router.mixes"),
    async () => (await import("./features/program/MixesPage")).MixesPage,
  ),
  page(
    "power",
    say("router.power"),
    async () => (await import("./features/program/PowerPage")).PowerPage,
  ),
  page(
    "switches",
    say("router.switches"),
    async () => (await import("./features/program/SwitchesPage")).SwitchesPage,
  ),
  page(
    "hazards",
    say("router.hazards"),
    async () => (await import("./features/program/HazardsPage")).HazardsPage,
  ),
  page(
    "entry",
    say("router.entrySheet"),
    async () => (await import("./features/program/EntryPage")).EntryPage,
  ),
  page(
    "sheet",
    say("router.setupSheet"),
    async () => (await import("./features/program/SetupSheetPage")).SetupSheetPage,
  ),
];

const check = [
  page(
    undefined,
    say("router.bench"),
    async () => (await import("./features/bench/BenchPage")).BenchPage,
  ),
  page(
    "scenes",
    say("router.scenes"),
    async () => (await import("./features/bench/ScenesPage")).ScenesPage,
  ),
];

const entry = async () => (await import("./features/flightlog/FlightEntryPage")).FlightEntryPage;

const fly = [
  page(
    undefined,
    say("router.flights"),
    async () => (await import("./features/flightlog/FlightsPage")).FlightsPage,
  ),
  page("new", say("router.logAFlight"), entry),
  page(
    "coach",
    say("router.trimFlights"),
    async () => (await import("./features/trimming/CoachPage")).CoachPage,
  ),
  page(
    "checks",
    say("router.beforeTheFlight"),
    async () => (await import("./features/preflight/ChecksPage")).ChecksPage,
  ),
  page(
    "checks/:runId",
    say("router.check"),
    async () => (await import("./features/preflight/CheckRunPage")).CheckRunPage,
  ),
  page(
    "wishes",
    say("router.purposeAndPilot"),
    async () => (await import("./features/trimming/PurposePage")).PurposePage,
  ),
  page(
    "card",
    say("router.fieldCard"),
    async () => (await import("./features/flightlog/FieldCardPage")).FieldCardPage,
  ),
  page(":flightId", say("router.correctFlight"), entry),
];

const model = [
  { index: true, element: <Navigate to="rig" replace /> },
  page(
    "rig",
    say("router.rig"),
    async () => (await import("./features/rig/RigPages")).RigPages,
    rig,
  ),
  page(
    "program",
    say("router.program"),
    async () => (await import("./features/program/ProgramPages")).ProgramPages,
    program,
  ),
  page(
    "check",
    say("router.check"),
    async () => (await import("./features/bench/CheckPages")).CheckPages,
    check,
  ),
  page(
    "fly",
    say("router.fly"),
    async () => (await import("./features/flightlog/FlyPages")).FlyPages,
    fly,
  ),
  page(
    "adjust",
    say("router.adjust"),
    async () => (await import("./features/adjustment/AdjustPage")).AdjustPage,
  ),
  page(
    "adjust/sheet",
    say("router.workOrder"),
    async () => (await import("./features/adjustment/WorkSheetPage")).WorkSheetPage,
  ),
  page(
    "revisions",
    say("router.revisions"),
    async () => (await import("./features/aircraft/RevisionsPage")).RevisionsPage,
  ),
];

/** The addresses of the page; those under a model follow the loop. */
export const routes: RouteObject[] = [
  {
    element: <Shell />,
    errorElement: <RouteFault />,
    children: [
      {
        path: "/",
        element: <HangarPage />,
        handle: { title: say("router.hangar") },
        errorElement: <RouteFault />,
      },
      page(
        "/new",
        say("router.newModel"),
        async () => (await import("./features/hangar/NewModelPage")).NewModelPage,
      ),
      page(
        "/bring-in",
        say("router.files"),
        async () => (await import("./features/transfer/BringInPage")).BringInPage,
      ),
      page(
        "/settings",
        say("router.settings"),
        async () => (await import("./features/settings/SettingsPage")).SettingsPage,
      ),
      page(
        "/let-in",
        say("router.access"),
        async () => (await import("./features/settings/LetInPage")).LetInPage,
      ),
      page(
        "/school",
        say("router.trimSchool"),
        async () => (await import("./features/school/SchoolPage")).SchoolPage,
      ),
      page(
        "/school/:practiceId",
        say("router.practice"),
        async () => (await import("./features/school/PracticePage")).PracticePage,
      ),
      page(
        "/school/:practiceId/hands-off",
        say("router.handsOff"),
        async () => (await import("./features/school/HandsOffPage")).HandsOffPage,
      ),
      page(
        "/models/:id",
        say("router.model"),
        async () => (await import("./features/aircraft/ModelLayout")).ModelLayout,
        model,
      ),
      { path: "*", element: <NotFoundPage />, handle: { title: say("router.notFound") } },
    ],
  },
];
