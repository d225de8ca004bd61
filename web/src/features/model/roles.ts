import type { Setup } from "@/api/queries";
import { say } from "@/words/generated/model";

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
  ["WHEEL", say("roles.steeredWheel")],
  ["NOZZLE", say("roles.nozzleOrVane")],
  ["SWINGING_WING", say("roles.swingingWing")],
  ["OTHER", say("roles.somethingElse")],
] as const satisfies readonly (readonly [SurfaceRole, string])[];

/** What a panel is. */
export const PANEL_ROLES = [
  ["WING", "wing"],
  ["TAIL", "tailplane"],
  ["FIN", "fin"],
  ["V_TAIL", "V-tail"],
  ["CANARD", "canard"],
  ["CARRIER", say("roles.legOrVaneMount")],
  ["OTHER", say("roles.somethingElse")],
] as const satisfies readonly (readonly [PanelRole, string])[];

/** What a phase is for. */
/** What the nose was seen to do when a phase came on. */
export const NOSES = [
  ["NOT_FLOWN", say("roles.notNoted")],
  ["LEVEL", "level"],
  ["UP_A_LITTLE", say("roles.upALittle")],
  ["UP_CLEARLY", say("roles.upClearly")],
  ["UP_STRONGLY", say("roles.upStrongly")],
  ["DOWN_A_LITTLE", say("roles.downALittle")],
  ["DOWN_CLEARLY", say("roles.downClearly")],
  ["DOWN_STRONGLY", say("roles.downStrongly")],
] as const satisfies readonly (readonly [Setup["phases"][number]["nose"], string])[];

export const PHASE_ROLES = [
  ["LAUNCH", "launch"],
  ["CRUISE", "cruise"],
  ["THERMAL", "thermal"],
  ["SPEED", "speed"],
  ["LANDING", "landing"],
  ["GROUND", say("roles.onTheGround")],
  ["REVERSE", "backwards"],
  ["OTHER", say("roles.somethingElse")],
] as const satisfies readonly (readonly [PhaseRole, string])[];
