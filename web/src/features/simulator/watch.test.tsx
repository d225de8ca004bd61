import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import type { FlightSample } from "@/api/school";
import { Watch } from "./Watch";
import { like, words } from "@/test/words";

const path: FlightSample[] = Array.from({ length: 31 }, (_, i) => ({
  seconds: i / 30,
  northM: i / 2,
  eastM: 0,
  upM: 150,
  w: 1,
  x: 0,
  y: 0,
  z: 0,
  speed: 15,
  roll: 0,
  pitch: 0,
  yaw: 0,
  throttle: 0.5,
}));
const frame = [
  {
    part: "WING",
    corners: [
      { x: 0, y: -1, z: 0 },
      { x: 0, y: 1, z: 0 },
    ],
  },
];

describe("a flight to watch", () => {
  it("stands still at its end where motion is not wanted, and says in words what happens", () => {
    vi.stubGlobal("matchMedia", () => ({ matches: true }));
    render(<Watch path={path} frame={frame} words="It flew for 1 s." mirror />);
    expect(screen.getByRole("img", { name: "It flew for 1 s." })).toBeInTheDocument();
    expect(
      screen.getByText(words("simulator.watch.played", { figure: "1.0", figureOther: "1.0" })),
    ).toBeInTheDocument();
    expect(screen.getByText(like("simulator.watch.simulated"))).toBeInTheDocument();
    vi.unstubAllGlobals();
  });

  it("is moved to a moment by the slider and looked at from elsewhere", async () => {
    vi.stubGlobal("matchMedia", () => ({ matches: true }));
    const user = userEvent.setup();
    render(<Watch path={path} frame={frame} words="It flew." />);
    screen.getByRole("slider").focus();
    await user.keyboard("{Home}");
    expect(
      screen.getByText(words("simulator.watch.played", { figure: "0.0", figureOther: "1.0" })),
    ).toBeInTheDocument();
    const side = screen.getByRole("button", { name: words("simulator.watch.side") });
    await user.click(side);
    expect(side).toHaveAttribute("aria-pressed", "true");
    vi.unstubAllGlobals();
  });
});
