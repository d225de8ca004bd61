import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import { answers, program, show, type Asked } from "@/test/page";
import { like } from "@/test/words";
import { ThrowsCard } from "./ThrowsCard";

function Rig() {
  const [index, setIndex] = useState(0);
  return (
    <>
      <button onClick={() => setIndex(2)}>Another surface</button>
      <ThrowsCard index={index} />
    </>
  );
}

const start = (plusMm: number, armHolesMm: number[]) => ({
  plusMm,
  minusMm: plusMm,
  armHolesMm,
  hornHolesMm: [12],
  seating: { teeth: 25, arms: 1 },
});

describe("wanted throws", () => {
  it("begin with the surface's own, never with those of the one looked at before", async () => {
    const first = answers.setup.surfaces[0]?.id;
    let answer: (reply: unknown) => void = () => undefined;
    const asked = program({
      "POST /throws/start": ({ body }: Asked) =>
        (body as { surface: string }).surface === first
          ? start(14, [9, 11])
          : new Promise((resolve) => (answer = resolve)),
      "POST /throws/search": [],
    });
    show(<Rig />);
    expect(await screen.findByLabelText(/^Wanted up/)).toHaveValue("14");
    await userEvent.click(screen.getByRole("button", { name: "Another surface" }));
    expect(screen.queryByLabelText(like("aircraft.throwsCard.wantedDown"))).not.toBeInTheDocument();
    answer(start(31, [20]));
    const fields = await screen.findAllByLabelText(like("aircraft.throwsCard.wantedDown"));
    expect(fields.map((one) => (one as HTMLInputElement).value)).toEqual(["31", "31"]);
    expect(screen.getByLabelText(like("aircraft.throwsCard.armHoles"))).toHaveValue("20");
    const searched = asked.filter((one) => one.path.endsWith("/throws/search")).at(-1)?.body;
    expect(searched).toMatchObject({ surface: answers.setup.surfaces[2]?.id, plusMm: 31 });
  });
});
