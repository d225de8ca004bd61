import type { Setup } from "@/api/queries";

type Surface = Setup["surfaces"][number];
export type SurfaceRole = Surface["role"];
export type PanelRole = Setup["airframe"]["panels"][number]["role"];
export type PhaseRole = Setup["phases"][number]["role"];

/** What a surface is for. */
export const SURFACE_ROLES = [
  ["AILERON", "aileron"],
  ["FLAP", "flap"],
  ["FLAPERON", "flaperon"],
  ["ELEVON", "elevon"],
  ["ELEVATOR", "elevator"],
  ["RUDDER", "rudder"],
  ["V_TAIL", "V-tail"],
  ["CANARD", "canard"],
  ["SPOILER", "spoiler"],
  ["WHEEL", "steered wheel"],
  ["NOZZLE", "nozzle or vane"],
  ["SWINGING_WING", "swinging wing"],
  ["OTHER", "something else"],
] as const satisfies readonly (readonly [SurfaceRole, string])[];

/** What a panel is. */
export const PANEL_ROLES = [
  ["WING", "wing"],
  ["TAIL", "tailplane"],
  ["FIN", "fin"],
  ["V_TAIL", "V-tail"],
  ["CANARD", "canard"],
  ["CARRIER", "leg or vane mount"],
  ["OTHER", "something else"],
] as const satisfies readonly (readonly [PanelRole, string])[];

/** What a phase is for. */
/** What the nose was seen to do when a phase came on. */
export const NOSES = [
  ["NOT_FLOWN", "not noted"],
  ["LEVEL", "level"],
  ["UP_A_LITTLE", "up a little"],
  ["UP_CLEARLY", "up clearly"],
  ["UP_STRONGLY", "up strongly"],
  ["DOWN_A_LITTLE", "down a little"],
  ["DOWN_CLEARLY", "down clearly"],
  ["DOWN_STRONGLY", "down strongly"],
] as const satisfies readonly (readonly [Setup["phases"][number]["nose"], string])[];

export const PHASE_ROLES = [
  ["LAUNCH", "launch"],
  ["CRUISE", "cruise"],
  ["THERMAL", "thermal"],
  ["SPEED", "speed"],
  ["LANDING", "landing"],
  ["GROUND", "on the ground"],
  ["REVERSE", "backwards"],
  ["OTHER", "something else"],
] as const satisfies readonly (readonly [PhaseRole, string])[];
