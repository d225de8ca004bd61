import { figure } from "@/domain/reader";
import { LinkageDrawing } from "@/features/bench/LinkageDrawing";
import { useBench } from "@/features/bench/store";
import { signed, sizeOf } from "@/domain/words";
import { Card } from "@/ui/card";
import { behind } from "@/features/model/chain";
import { DraftChoice, DraftNumber } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { MeasuredCard } from "./MeasuredCard";
import { ThrowsCard } from "./ThrowsCard";
import { TravelPlot } from "./TravelPlot";

const ENDS = [
  ["CLEVIS", "Clevis, half turns"],
  ["BALL_LINK", "Ball link, whole turns"],
  ["TURNBUCKLE", "Turnbuckle, sixths of a turn"],
  ["SLIDE", "Sliding stopper"],
] as const;

/** How the selected surface is built: linkage, rod end, chord, servo. */
export function RigPanel({ index }: { index: number }) {
  const { draft } = useModel();
  const surface = draft.present.surfaces[index];
  if (surface === undefined) {
    return null;
  }
  const rod = ["surfaces", index, "rod"] as const;
  const slave = surface.rod.driver === "SURFACE";
  const { servo } = behind(draft.present, index);
  return (
    <>
      {!slave && <ThrowsCard index={index} />}
      <Card title={`${surface.name}: linkage`} aside={<LinkageFacts index={index} />}>
        <LinkageDrawing />
        <TravelPlot index={index} />
        <div className="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3">
          <DraftNumber
            path={[...rod, "linkage", "armRadiusMm"]}
            label={slave ? "Driving horn radius" : "Arm radius"}
          />
          <DraftNumber path={[...rod, "linkage", "hornRadiusMm"]} />
          <DraftNumber path={[...rod, "linkage", "rodLengthMm"]} />
          <DraftNumber path={[...rod, "linkage", "armLeanDegrees"]} />
          <DraftNumber path={[...rod, "linkage", "hornLeanDegrees"]} />
          <DraftNumber path={["surfaces", index, "chordMm"]} />
          <DraftChoice
            path={[...rod, "linkage", "opposite"]}
            label="Horn and arm"
            options={[
              [false, "on the same side"],
              [true, "on opposite sides"],
            ]}
          />
          <DraftChoice
            path={[...rod, "linkage", "pushRaises"]}
            label="A push on the pushrod"
            options={
              surface.sideways
                ? [
                    [true, "moves it right"],
                    [false, "moves it left"],
                  ]
                : [
                    [true, "raises the edge"],
                    [false, "lowers the edge"],
                  ]
            }
          />
          <DraftNumber path={[...rod, "adjustedMm"]} />
          <DraftChoice path={[...rod, "end", "kind"]} label="Pushrod end" options={ENDS} />
          <DraftNumber
            path={[...rod, "end", "pitchMm"]}
            label={surface.rod.end.kind === "SLIDE" ? "Smallest step" : "Thread pitch"}
          />
        </div>
      </Card>
      <MeasuredCard key={`measured-${index}`} index={index} />
      {servo >= 0 && !slave && (
        <Card title={draft.present.servos[servo]?.name}>
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
            <DraftNumber path={["servos", servo, "degreesPerMicrosecond"]} />
            <DraftNumber path={["servos", servo, "centrePulseMicroseconds"]} />
            <DraftNumber path={["servos", servo, "maxAngleDegrees"]} />
            <DraftNumber path={["servos", servo, "armOffsetDegrees"]} />
            <DraftNumber path={["servos", servo, "torqueNewtonCentimetres"]} />
            <DraftChoice
              path={["servos", servo, "pullsOnIncrease"]}
              label="Higher pulse (more µs)"
              options={[
                [false, "moves the arm towards the surface"],
                [true, "moves the arm away from the surface"],
              ]}
            />
          </div>
        </Card>
      )}
    </>
  );
}

function LinkageFacts({ index }: { index: number }) {
  const sheet = useBench((state) => state.sheets[index]);
  if (sheet === undefined) {
    return null;
  }
  return (
    <p className="figures text-sm text-soft">
      Usable {signed(sheet.armRange.from, 0)}° to {signed(sheet.armRange.to, 0)}° · one turn out
      moves the edge {sizeOf(sheet.mmPerTurn, 2)} · torque{" "}
      {figure(sheet.torqueNewtonCentimetres, 0)} N·cm
    </p>
  );
}
