import { useState } from "react";
import type { Schemas } from "@/api/client";
import { useLinkReport } from "@/api/checks";
import { useHasMotor } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Check } from "@/ui/check";
import { Failure } from "@/ui/message";
import { Slide } from "@/ui/slide";
import { say } from "@/words/generated/preflight";

type Asked = Schemas["LinkAsked"];
type Antenna = Asked["antennas"][number];

const QUARTERS = [
  say("linkPractice.tail"),
  say("linkPractice.right"),
  say("linkPractice.nose"),
  say("linkPractice.left"),
] as const;

const START: Asked = {
  seed: 1,
  paces: 40,
  reduced: true,
  quarter: 0,
  motorRuns: false,
  antennas: [
    { rightDegrees: 0, upDegrees: 0 },
    { rightDegrees: 15, upDegrees: 0 },
  ],
  shadows: [{ name: "pack", rightDegrees: 180, halfWidthDegrees: 35, lossDb: 6 }],
};

/** A range check to practise on: simulated, and it says so. */
export function LinkPractice() {
  const motor = useHasMotor();
  const [asked, setAsked] = useState(START);
  const report = useLinkReport(asked);
  const set = (part: Partial<Asked>) => setAsked({ ...asked, ...part });
  const turn = (which: number, part: Partial<Antenna>) =>
    set({ antennas: asked.antennas.map((one, i) => (i === which ? { ...one, ...part } : one)) });
  return (
    <div className="space-y-3" data-link>
      <p className="text-sm text-soft">{say("linkPractice.hint")}</p>
      <div role="group" aria-label={say("linkPractice.quarter")} className="grid grid-cols-2 gap-2">
        {QUARTERS.map((words, quarter) => (
          <Button
            key={words}
            look={asked.quarter === quarter ? "main" : "plain"}
            aria-pressed={asked.quarter === quarter}
            className="min-h-12"
            onClick={() => set({ quarter })}
          >
            {words}
          </Button>
        ))}
      </div>
      <Slide
        label={say("linkPractice.paces")}
        min={10}
        max={120}
        step={5}
        value={asked.paces}
        words={say("linkPractice.distance", { paces: asked.paces })}
        onValue={(paces) => set({ paces })}
      />
      {asked.antennas.map((one, i) => (
        <div key={i} className="grid gap-2 sm:grid-cols-2">
          <Slide
            label={say("linkPractice.antenna", { first: i === 0 })}
            min={-90}
            max={90}
            step={5}
            value={one.rightDegrees}
            words={`${one.rightDegrees}°`}
            onValue={(rightDegrees) => turn(i, { rightDegrees })}
          />
          <Slide
            label={say("linkPractice.antennaUp", { first: i === 0 })}
            min={0}
            max={90}
            step={5}
            value={one.upDegrees}
            words={`${one.upDegrees}°`}
            onValue={(upDegrees) => turn(i, { upDegrees })}
          />
        </div>
      ))}
      {motor && (
        <Check
          checked={asked.motorRuns}
          onChecked={(motorRuns) => set({ motorRuns })}
          label={say("linkPractice.motorRunning")}
        />
      )}
      {report.isError && <Failure error={report.error} />}
      {report.data !== undefined && (
        <div
          className="rounded-card bg-inset p-3"
          aria-live="polite"
          data-holds={report.data.holds}
        >
          <dl className="figures grid grid-cols-2 gap-x-4 text-lg">
            {report.data.fades.map((fades, i) => (
              <div key={i} className="flex justify-between">
                <dt className="text-soft">
                  {say("linkPractice.fadesAntenna", { first: i === 0 })}
                </dt>
                <dd>{fades}</dd>
              </div>
            ))}
            <div className="flex justify-between">
              <dt className="text-soft">{say("linkPractice.lostFrames")}</dt>
              <dd>{report.data.lostFrames}</dd>
            </div>
            <div className="flex justify-between">
              <dt className="text-soft">{say("linkPractice.holds")}</dt>
              <dd className={report.data.holds > 0 ? "font-semibold text-grounded" : ""}>
                {report.data.holds}
              </dd>
            </div>
          </dl>
          <p className="mt-2">{report.data.words}</p>
        </div>
      )}
    </div>
  );
}
