import type { components } from "@/api/generated/schema";

/** What the application and the page say to one another, as the published contract has it. */
export type Schemas = components["schemas"];

export type Setup = Schemas["Setup"];
export type Surface = Schemas["Surface"];
