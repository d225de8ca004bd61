import type { Setup } from "@/api/queries";
import { say } from "@/words/generated/model";

type Surface = Setup["surfaces"][number];
export type SurfaceRole = Surface["role"];
export type PanelRole = Setup["airframe"]["panels"][number]["role"];
export type PhaseRole = Setup["phases"][number]["role"];

/** What a surface is for. */
export const SURFACE_ROLES = [
  ["AILERON", say("roles.aileron")],
  ["FLAP", say("roles.flap")],
  ["FLAPERON", say("roles.flaperon")],
  ["ELEVON", say("roles.elevon")],
  ["ELEVATOR", say("roles.elevator")],
  ["RUDDER", say("roles.rudder")],
  ["V_TAIL", say("roles.vTail")],
  ["CANARD", say("roles.canard")],
  ["SPOILER", say("roles.spoiler")],
  ["WHEEL", say("roles.steeredWheel")],
  ["NOZZLE", say("roles.nozzleOrVane")],
  ["SWINGING_WING", say("roles.swingingWing")],
  ["OTHER", say("roles.somethingElse")],
] as const satisfies readonly (readonly [SurfaceRole, string])[];

/** What a panel is. */
export const PANEL_ROLES = [
  ["WING", say("roles.wing")],
  ["TAIL", say("roles.tailplane")],
  ["FIN", say("roles.fin")],
  ["V_TAIL", say("roles.vTail")],
  ["CANARD", say("roles.canard")],
  ["CARRIER", say("roles.legOrVaneMount")],
  ["OTHER", say("roles.somethingElse")],
] as const satisfies readonly (readonly [PanelRole, string])[];

/** What a phase is for. */
/** What the nose was seen to do when a phase came on. */
export const NOSES = [
  ["NOT_FLOWN", say("roles.notNoted")],
  ["LEVEL", say("roles.level")],
  ["UP_A_LITTLE", say("roles.upALittle")],
  ["UP_CLEARLY", say("roles.upClearly")],
  ["UP_STRONGLY", say("roles.upStrongly")],
  ["DOWN_A_LITTLE", say("roles.downALittle")],
  ["DOWN_CLEARLY", say("roles.downClearly")],
  ["DOWN_STRONGLY", say("roles.downStrongly")],
] as const satisfies readonly (readonly [Setup["phases"][number]["nose"], string])[];

export const PHASE_ROLES = [
  ["LAUNCH", say("roles.launch")],
  ["CRUISE", say("roles.cruise")],
  ["THERMAL", say("roles.thermal")],
  ["SPEED", say("roles.speed")],
  ["LANDING", say("roles.landing")],
  ["GROUND", say("roles.onTheGround")],
  ["REVERSE", say("roles.backwards")],
  ["OTHER", say("roles.somethingElse")],
] as const satisfies readonly (readonly [PhaseRole, string])[];
