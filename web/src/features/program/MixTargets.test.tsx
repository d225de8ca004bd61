import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, it, vi } from "vitest";
import type { MixEffect } from "@/api/program";
import { answers, benchAt, show } from "@/test/page";
import { words } from "@/test/words";
import { Where } from "./MixTargets";

const phase = answers.setup.phases[0] as { id: string; name: string };
const moment = { roll: 0.5, pitch: -0.25, yaw: 1, throttle: 0.75, throttleCut: false };

const reach = (part: object) =>
  ({
    phase: phase.id,
    here: false,
    moved: ["Gear"],
    ends: [{ moment }],
    ...part,
  }) as unknown as MixEffect;

it("says where a mix acts, and sets the bench there with the sticks at rest", async () => {
  const bench = benchAt();
  const moved = vi.spyOn(bench, "move").mockImplementation(() => undefined);
  show(<Where reach={reach({})} />, { bench });
  expect(
    screen.getByText(words("program.mixTargets.inWith", { phase: phase.name, moved: "Gear" }), {
      exact: false,
    }),
  ).toBeInTheDocument();
  await userEvent.click(screen.getByRole("button", { name: words("program.mixTargets.setBench") }));
  expect(moved).toHaveBeenCalledExactlyOnceWith({ ...moment, roll: 0, pitch: 0, yaw: 0 });
});

it("offers no way where the bench stands there already, and says where it never acts", () => {
  const { unmount } = show(<Where reach={reach({ here: true })} />);
  expect(
    screen.getByText(words("program.mixTargets.bench", { phase: phase.name })),
  ).toBeInTheDocument();
  expect(screen.queryByRole("button")).toBeNull();
  unmount();
  show(<Where reach={reach({ phase: "" })} />);
  expect(screen.getByText(words("program.mixTargets.neverActs"))).toBeInTheDocument();
});
