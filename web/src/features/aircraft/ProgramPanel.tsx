import { capital } from "@/domain/words";
import { CurvePlot } from "@/features/bench/CurvePlot";
import { useSurfaceHere, type SurfaceResponse } from "@/api/program";
import { useBench } from "@/features/bench/store";
import {
  within,
  controlName,
  keyOf,
  travelWords,
  type Control,
  type Way,
  sizeOf,
} from "@/domain/words";
import { Card } from "@/ui/card";
import { DraftChoice, DraftNumber } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { OutputCard } from "./OutputCard";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/aircraft";

const SHAPES = [
  ["CUBIC", told("Shape", "CUBIC")],
  ["SQUARE", told("Shape", "SQUARE")],
  ["EXPONENTIAL", told("Shape", "EXPONENTIAL")],
] as const;

/** What the transmitter does for the selected surface: rate, expo, endpoints, sub-trim. */
export function ProgramPanel({ index }: { index: number }) {
  const { draft } = useModel();
  const bench = useBench((state) => state.moment);
  const surface = draft.present.surfaces[index];
  const here = useSurfaceHere(draft.present, bench, surface?.id ?? "");
  if (surface === undefined) {
    return null;
  }
  const phases = draft.present.phases;
  const on = phases.find((one) => one.id === here.data?.phase)?.name;
  const phase = phases.length > 1 && on !== undefined ? `${say("programPanel.in", { on })} ` : "";
  return (
    <>
      {here.data?.sticks.map((one) => (
        <Feel
          key={one.control}
          one={one}
          surface={surface.id}
          name={surface.name}
          way={surface}
          phase={phase}
        />
      ))}
      {here.data?.levers.map((lever) => (
        <Card
          key={lever.input}
          title={say("programPanel.leverTitle", {
            lever: lever.name,
            surface: within(surface.name),
          })}
        >
          <p
            className="figures"
            data-lever={surface.id}
            data-back={JSON.stringify(lever.back)}
            data-moment={JSON.stringify(lever.far)}
          >
            {say("programPanel.leverTravel", {
              phase,
              travel: travelWords(lever.mm, surface),
            })}
          </p>
        </Card>
      ))}
      <OutputCard key={surface.id} surface={surface.id} />
      <Card title={say("programPanel.transmitter")}>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-[1.5fr_1fr_1fr_1fr]">
          <DraftChoice
            path={["transmitter", "subTrimMode"]}
            label={say("programPanel.subTrim")}
            options={[
              ["SHIFT", capital(told("SubTrimMode", "SHIFT"))],
              ["FIXED_ENDS", capital(told("SubTrimMode", "FIXED_ENDS"))],
            ]}
          />
          <DraftNumber path={["transmitter", "clickStepPercent"]} />
          <DraftNumber path={["transmitter", "microsecondsPer100"]} />
          <DraftNumber path={["transmitter", "stickMode"]} />
        </div>
      </Card>
    </>
  );
}

interface FeelProps {
  one: SurfaceResponse["sticks"][number];
  surface: string;
  name: string;
  way: Way;
  /** Which phase it is told for, where there are several. */
  phase: string;
}

function Feel({ one, surface, name, way, phase }: FeelProps) {
  const key = keyOf(one.control as Control);
  const path = ["feel", key] as const;
  return (
    <Card
      title={say("programPanel.stickTitle", {
        controlName: controlName(key),
        name: within(name),
      })}
      aside={
        <p
          className="figures text-sm text-soft"
          data-here={surface}
          data-control={key}
          data-moment={JSON.stringify(one.rest)}
        >
          {say("programPanel.stickTravel", {
            phase,
            travel: travelWords(one.minusMm, way),
            travelOther: travelWords(one.plusMm, way),
            sizeOf: sizeOf(one.mmPerClick, 2),
          })}
        </p>
      }
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <CurvePlot one={one} way={way} />
        <div className="grid content-start grid-cols-2 gap-3">
          <DraftNumber path={[...path, "rateNegativePercent"]} />
          <DraftNumber path={[...path, "ratePositivePercent"]} />
          <DraftNumber path={[...path, "expoNegativePercent"]} />
          <DraftNumber path={[...path, "expoPositivePercent"]} />
          <DraftChoice
            path={[...path, "shape"]}
            label={say("programPanel.curveShape")}
            options={SHAPES}
          />
        </div>
      </div>
    </Card>
  );
}
