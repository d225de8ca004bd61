import { figure } from "@/domain/reader";
import { LinkageDrawing } from "@/features/bench/LinkageDrawing";
import { useBench } from "@/features/bench/store";
import { capital, signed, sizeOf } from "@/domain/words";
import { Card } from "@/ui/card";
import { DraftChoice, DraftNumber } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { MeasuredCard } from "./MeasuredCard";
import { ThrowsCard } from "./ThrowsCard";
import { TravelPlot } from "./TravelPlot";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/aircraft";

const ENDS = (["CLEVIS", "BALL_LINK", "TURNBUCKLE", "SLIDE"] as const).map(
  (kind) =>
    [kind, say("rigPanel.endTurned", { kind, end: capital(told("RodEndKind", kind)) })] as const,
);

/** How the selected surface is built: linkage, rod end, chord, servo. */
export function RigPanel({ index }: { index: number }) {
  const { draft } = useModel();
  const surface = draft.present.surfaces[index];
  if (surface === undefined) {
    return null;
  }
  const rod = ["surfaces", index, "rod"] as const;
  const slave = surface.rod.driver === "SURFACE";
  const servo = draft.present.servos.findIndex(({ id }) => id === surface.rod.driverId);
  return (
    <>
      {!slave && <ThrowsCard index={index} />}
      <Card
        title={say("rigPanel.linkage", { surface: surface.name })}
        aside={<LinkageFacts index={index} />}
      >
        <LinkageDrawing />
        <TravelPlot index={index} />
        <div className="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3">
          <DraftNumber
            path={[...rod, "linkage", "armRadiusMm"]}
            label={slave ? say("rigPanel.drivingHornRadius") : say("rigPanel.armRadius")}
          />
          <DraftNumber path={[...rod, "linkage", "hornRadiusMm"]} />
          <DraftNumber path={[...rod, "linkage", "rodLengthMm"]} />
          <DraftNumber path={[...rod, "linkage", "armLeanDegrees"]} />
          <DraftNumber path={[...rod, "linkage", "hornLeanDegrees"]} />
          <DraftNumber path={["surfaces", index, "chordMm"]} />
          <DraftChoice
            path={[...rod, "linkage", "opposite"]}
            label={say("rigPanel.hornAndArm")}
            options={[
              [false, say("rigPanel.sameSide")],
              [true, say("rigPanel.oppositeSides")],
            ]}
          />
          <DraftChoice
            path={[...rod, "linkage", "pushRaises"]}
            label={say("rigPanel.pushPushrod")}
            options={
              surface.sideways
                ? [
                    [true, say("rigPanel.movesRight")],
                    [false, say("rigPanel.movesLeft")],
                  ]
                : [
                    [true, say("rigPanel.raisesEdge")],
                    [false, say("rigPanel.lowersEdge")],
                  ]
            }
          />
          <DraftNumber path={[...rod, "adjustedMm"]} />
          <DraftChoice
            path={[...rod, "end", "kind"]}
            label={say("rigPanel.pushrodEnd")}
            options={ENDS}
          />
          <DraftNumber
            path={[...rod, "end", "pitchMm"]}
            label={
              surface.rod.end.kind === "SLIDE"
                ? say("rigPanel.smallestStep")
                : say("rigPanel.threadPitch")
            }
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
              label={say("rigPanel.higherPulse")}
              options={[
                [false, say("rigPanel.pulls")],
                [true, say("rigPanel.pushes")],
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
      {say("rigPanel.usableRange", {
        signed: signed(sheet.armRange.from, 0),
        signedOther: signed(sheet.armRange.to, 0),
        sizeOf: sizeOf(sheet.mmPerTurn, 2),
        figure: figure(sheet.torqueNewtonCentimetres, 0),
      })}
    </p>
  );
}
