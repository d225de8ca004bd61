import type { Setup } from "@/api/queries";

/** Where in the document the servo and channel behind a surface stand; -1 where there is none. */
export function behind(setup: Setup, surfaceIndex: number): { servo: number; channel: number } {
  let surface = setup.surfaces[surfaceIndex];
  for (let i = 0; i < setup.surfaces.length && surface?.rod.driver === "SURFACE"; i++) {
    const id = surface.rod.driverId;
    surface = setup.surfaces.find((one) => one.id === id);
  }
  const servo = setup.servos.findIndex((one) => one.id === surface?.rod.driverId);
  const number = setup.servos[servo]?.channel;
  return { servo, channel: setup.channels.findIndex((one) => one.number === number) };
}
