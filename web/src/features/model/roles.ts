import type { Setup } from "@/api/queries";
import { told } from "@/words/generated/enums";

type Surface = Setup["surfaces"][number];
export type SurfaceRole = Surface["role"];
export type PanelRole = Setup["airframe"]["panels"][number]["role"];
export type PhaseRole = Setup["phases"][number]["role"];

/** What a surface is for. */
export const SURFACE_ROLES = [
  ["AILERON", told("SurfaceRole", "AILERON")],
  ["FLAP", told("SurfaceRole", "FLAP")],
  ["FLAPERON", told("SurfaceRole", "FLAPERON")],
  ["ELEVON", told("SurfaceRole", "ELEVON")],
  ["ELEVATOR", told("SurfaceRole", "ELEVATOR")],
  ["RUDDER", told("SurfaceRole", "RUDDER")],
  ["V_TAIL", told("SurfaceRole", "V_TAIL")],
  ["CANARD", told("SurfaceRole", "CANARD")],
  ["SPOILER", told("SurfaceRole", "SPOILER")],
  ["NOSE_WHEEL", told("SurfaceRole", "NOSE_WHEEL")],
  ["TAIL_WHEEL", told("SurfaceRole", "TAIL_WHEEL")],
  ["NOZZLE", told("SurfaceRole", "NOZZLE")],
  ["SWINGING_WING", told("SurfaceRole", "SWINGING_WING")],
  ["OTHER", told("SurfaceRole", "OTHER")],
] as const satisfies readonly (readonly [SurfaceRole, string])[];

/** What a panel is. */
export const PANEL_ROLES = [
  ["WING", told("PanelRole", "WING")],
  ["TAIL", told("PanelRole", "TAIL")],
  ["FIN", told("PanelRole", "FIN")],
  ["V_TAIL", told("PanelRole", "V_TAIL")],
  ["CANARD", told("PanelRole", "CANARD")],
  ["CARRIER", told("PanelRole", "CARRIER")],
  ["OTHER", told("PanelRole", "OTHER")],
] as const satisfies readonly (readonly [PanelRole, string])[];

/** What the nose was seen to do when a phase came on. */
export const NOSES = [
  ["NOT_FLOWN", told("NoseNote", "NOT_FLOWN")],
  ["LEVEL", told("NoseNote", "LEVEL")],
  ["UP_A_LITTLE", told("NoseNote", "UP_A_LITTLE")],
  ["UP_CLEARLY", told("NoseNote", "UP_CLEARLY")],
  ["UP_STRONGLY", told("NoseNote", "UP_STRONGLY")],
  ["DOWN_A_LITTLE", told("NoseNote", "DOWN_A_LITTLE")],
  ["DOWN_CLEARLY", told("NoseNote", "DOWN_CLEARLY")],
  ["DOWN_STRONGLY", told("NoseNote", "DOWN_STRONGLY")],
] as const satisfies readonly (readonly [Setup["phases"][number]["nose"], string])[];

/** What a phase is for. */
export const PHASE_ROLES = [
  ["LAUNCH", told("PhaseRole", "LAUNCH")],
  ["CRUISE", told("PhaseRole", "CRUISE")],
  ["THERMAL", told("PhaseRole", "THERMAL")],
  ["SPEED", told("PhaseRole", "SPEED")],
  ["LANDING", told("PhaseRole", "LANDING")],
  ["GROUND", told("PhaseRole", "GROUND")],
  ["REVERSE", told("PhaseRole", "REVERSE")],
  ["OTHER", told("PhaseRole", "OTHER")],
] as const satisfies readonly (readonly [PhaseRole, string])[];
