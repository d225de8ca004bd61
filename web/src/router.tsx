import { createBrowserRouter, Navigate } from "react-router";
import { AdjustPage } from "./features/adjustment/AdjustPage";
import { WorkSheetPage } from "./features/adjustment/WorkSheetPage";
import { ModelLayout } from "./features/aircraft/ModelLayout";
import { RevisionsPage } from "./features/aircraft/RevisionsPage";
import { SetupPage } from "./features/aircraft/SetupPage";
import { BenchPage } from "./features/bench/BenchPage";
import { FieldCardPage } from "./features/flight/FieldCardPage";
import { FlightEntryPage } from "./features/flight/FlightEntryPage";
import { FlightsPage } from "./features/flight/FlightsPage";
import { HangarPage } from "./features/hangar/HangarPage";
import { NewModelPage } from "./features/hangar/NewModelPage";
import { Shell } from "./features/hangar/Shell";
import { EntryPage } from "./features/program/EntryPage";
import { HazardsPage } from "./features/program/HazardsPage";
import { MixesPage } from "./features/program/MixesPage";
import { PhasesPage } from "./features/program/PhasesPage";
import { PowerPage } from "./features/program/PowerPage";
import { ProgramPages } from "./features/program/ProgramPages";
import { SwitchesPage } from "./features/program/SwitchesPage";
import { AirframePage } from "./features/rig/AirframePage";
import { CheckPages } from "./features/bench/CheckPages";
import { ScenesPage } from "./features/bench/ScenesPage";
import { FeelPage } from "./features/program/FeelPage";
import { BalancePage } from "./features/rig/BalancePage";
import { ChangesPage } from "./features/rig/ChangesPage";
import { MapPage } from "./features/rig/MapPage";
import { RigPages } from "./features/rig/RigPages";
import { SetUpPage } from "./features/rig/SetUpPage";
import { WiringPage } from "./features/rig/WiringPage";
import { BringInPage } from "./features/transfer/BringInPage";

/** The addresses of the page; those under a model follow the loop. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    children: [
      { path: "/", element: <HangarPage /> },
      { path: "/new", element: <NewModelPage /> },
      { path: "/bring-in", element: <BringInPage /> },
      {
        path: "/models/:id",
        element: <ModelLayout />,
        children: [
          { index: true, element: <Navigate to="rig" replace /> },
          {
            path: "rig",
            element: <RigPages />,
            children: [
              { index: true, element: <SetupPage part="rig" /> },
              { path: "airframe", element: <AirframePage /> },
              { path: "map", element: <MapPage /> },
              { path: "map/wiring", element: <WiringPage /> },
              { path: "set-up", element: <SetUpPage /> },
              { path: "balance", element: <BalancePage /> },
              { path: "changes", element: <ChangesPage /> },
            ],
          },
          {
            path: "program",
            element: <ProgramPages />,
            children: [
              { index: true, element: <SetupPage part="program" /> },
              { path: "feel", element: <FeelPage /> },
              { path: "phases", element: <PhasesPage /> },
              { path: "mixes", element: <MixesPage /> },
              { path: "power", element: <PowerPage /> },
              { path: "switches", element: <SwitchesPage /> },
              { path: "hazards", element: <HazardsPage /> },
              { path: "entry", element: <EntryPage /> },
            ],
          },
          {
            path: "check",
            element: <CheckPages />,
            children: [
              { index: true, element: <BenchPage /> },
              { path: "scenes", element: <ScenesPage /> },
            ],
          },
          { path: "fly", element: <FlightsPage /> },
          { path: "fly/new", element: <FlightEntryPage /> },
          { path: "fly/card", element: <FieldCardPage /> },
          { path: "fly/:flightId", element: <FlightEntryPage /> },
          { path: "adjust", element: <AdjustPage /> },
          { path: "adjust/sheet", element: <WorkSheetPage /> },
          { path: "revisions", element: <RevisionsPage /> },
        ],
      },
      { path: "*", element: <Navigate to="/" replace /> },
    ],
  },
]);
