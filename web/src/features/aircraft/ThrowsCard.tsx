import {
  figure,
  length,
  lengthEntered,
  lengthSign,
  lengthWritten,
  line,
  several,
  severalWords,
  typed,
  typedLength,
} from "@/domain/reader";
import { MendButton } from "@/features/model/edits";
import { Check } from "@/ui/check";
import { meanwhile } from "@/api/meanwhile";
import { useQuery, keepPreviousData } from "@tanstack/react-query";
import { Fragment, useState } from "react";
import { ApiError, answered, api, type Schemas } from "@/api/client";
import type { Setup } from "@/api/queries";
import { wayWords, size, sizeOf, sizeFigure } from "@/domain/words";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { useModel } from "@/features/model/model";
import { say } from "@/words/generated/aircraft";

type Question = Schemas["ThrowQuestion"];
type Answer = Schemas["ThrowAnswer"];
type Start = Schemas["ThrowStart"];

interface Typed {
  plus: string;
  minus: string;
  armHoles: string;
  hornHoles: string;
  teeth: string;
  arms: string;
  inDegrees: boolean;
}

/** Wanted throws in, a short ranked list of holes and endpoints out, while typing. */
export function ThrowsCard({ index }: { index: number }) {
  const { draft } = useModel();
  const surface = draft.present.surfaces[index]?.id ?? "";
  const begin = useQuery({
    queryKey: ["throws from", draft.present, surface],
    ...meanwhile(surface),
    queryFn: () =>
      answered(api.POST("/api/throws/start", { body: { setup: draft.present, surface } })),
  });
  return begin.data === undefined ? null : (
    <Asking key={surface} index={index} start={typedFrom(begin.data)} />
  );
}

function Asking({ index, start }: { index: number; start: Typed }) {
  const { draft } = useModel();
  const surface = draft.present.surfaces[index];
  const [typed, setTyped] = useState<Typed>(start);
  const question = questionOf(draft.present, index, typed);
  const found = useQuery({
    queryKey: ["throws", question],
    enabled: question !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () => answered(api.POST("/api/throws/search", { body: question as Question })),
  });
  if (surface === undefined) {
    return null;
  }
  const [up, down] = wayWords(surface);
  const unit = typed.inDegrees ? "°" : lengthSign();
  const field = (key: Exclude<keyof Typed, "inDegrees">, label: string) => (
    <label className="block">
      <span className="mb-0.5 block text-sm text-soft">{label}</span>
      <input
        className="figures h-9 w-full rounded-card border border-line-strong bg-sheet px-2.5 font-medium"
        inputMode="decimal"
        value={typed[key]}
        onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
      />
    </label>
  );
  return (
    <Card
      title={say("throwsCard.title")}
      aside={
        <Check
          className="text-sm"
          checked={typed.inDegrees}
          onChecked={(checked) => setTyped({ ...typed, inDegrees: checked })}
          label={say("throwsCard.inDegrees")}
        />
      }
    >
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        {field("plus", say("throwsCard.wantedUp", { up, unit }))}
        {field("minus", say("throwsCard.wantedDown", { down, unit }))}
        {field("armHoles", say("throwsCard.armHoles", { lengthSign: lengthSign() }))}
        {field("hornHoles", say("throwsCard.hornHoles", { lengthSign: lengthSign() }))}
        {field("teeth", say("throwsCard.splines"))}
        {field("arms", say("throwsCard.armsOnHorn"))}
      </div>
      {question === undefined && typed.plus !== "" && typed.minus !== "" && (
        <p role="alert" className="mt-2 text-sm font-medium text-grounded">
          {say("throwsCard.numbersOnly", { several: severalWords() })}
        </p>
      )}
      {found.error instanceof ApiError && <Failure error={found.error} />}
      {question !== undefined && found.data?.length === 0 && (
        <p className="mt-2">{say("throwsCard.noneGives")}</p>
      )}
      {found.data !== undefined && found.data.length > 0 && question !== undefined && (
        <Choices answers={found.data} stale={found.isPlaceholderData} />
      )}
    </Card>
  );
}

interface ChoicesProps {
  answers: Answer[];
  /** Answers to what was typed before; shown until the new ones are there, not to be taken. */
  stale: boolean;
}

function Choices({ answers, stale }: ChoicesProps) {
  return (
    <table className="figures mt-3 w-full border-collapse text-sm" data-choices>
      <thead>
        <tr className="border-b border-line-strong text-right text-xs text-soft">
          {[
            say("throwsCard.arm"),
            say("throwsCard.horn"),
            say("throwsCard.armAngle"),
            say("throwsCard.endpoints"),
            say("throwsCard.torque"),
            say("throwsCard.slop"),
            say("throwsCard.margin"),
            "",
          ].map((name) => (
            <th key={name} className="py-1 font-medium first:text-left">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {answers
          .map((answer, i) => ({ ...answer, i }))
          .map(({ choice, i, ...answer }) => (
            <Fragment key={i}>
              <tr className="border-b border-line text-right">
                <td className="py-1 text-left font-semibold">
                  {lengthEntered(choice.linkage.armRadiusMm)}
                </td>
                <td>
                  {lengthEntered(choice.linkage.hornRadiusMm)}
                  {choice.linkage.opposite ? say("throwsCard.otherSide") : ""}
                </td>
                <td>{size(choice.linkage.armLeanDegrees, 1)}°</td>
                <td>
                  {figure(choice.plusEndpointPercent, 1)} / {figure(choice.minusEndpointPercent, 1)}{" "}
                  %
                </td>
                <td>
                  {say("throwsCard.nCm", { figure: figure(choice.torqueNewtonCentimetres, 0) })}
                </td>
                <td>{length(choice.slopMm, 2)}</td>
                <td>{figure(choice.marginDegrees, 0)}°</td>
                <td>
                  <MendButton
                    className="!min-h-7 px-2 text-xs"
                    edits={answer.mend.edits}
                    disabled={stale}
                  >
                    {say("throwsCard.takeIt")}
                  </MendButton>
                </td>
              </tr>
              {answer.inTheWay !== "" && (
                <tr className="border-b border-line text-left" data-in-the-way>
                  <td colSpan={8} className="py-1 text-grounded">
                    {say("throwsCard.choiceGives", {
                      sizeFigure: sizeFigure(answer.plusMm, 1),
                      sizeOf: sizeOf(answer.minusMm, 1),
                      inTheWay: answer.inTheWay,
                    })}
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
      </tbody>
    </table>
  );
}

/** What is known of a surface, as it stands in the fields to begin with. */
const typedFrom = (start: Start): Typed => ({
  plus: start.plusMm == null ? "" : lengthWritten(start.plusMm),
  minus: start.minusMm == null ? "" : lengthWritten(start.minusMm),
  armHoles: line(start.armHolesMm.map(lengthWritten)),
  hornHoles: line(start.hornHolesMm.map(lengthWritten)),
  teeth: String(start.seating.teeth),
  arms: String(start.seating.arms),
  inDegrees: false,
});

const holes = (text: string) => several(text).map(typedLength);

/** What the core is asked; nothing while a field is empty or no number. */
function questionOf(setup: Setup, index: number, entered: Typed): Question | undefined {
  const surface = setup.surfaces[index];
  const { inDegrees } = entered;
  const wanted = inDegrees ? typed : typedLength;
  const single = [
    wanted(entered.plus),
    wanted(entered.minus),
    typed(entered.teeth),
    typed(entered.arms),
  ];
  const [plusMm = NaN, minusMm = NaN, teeth = NaN, arms = NaN] = single;
  const armHolesMm = holes(entered.armHoles);
  const hornHolesMm = holes(entered.hornHoles);
  if (
    surface === undefined ||
    [armHolesMm, hornHolesMm].some((one) => one.length === 0) ||
    [...single, ...armHolesMm, ...hornHolesMm].some(Number.isNaN)
  ) {
    return undefined;
  }
  const seating = { teeth, arms };
  return {
    setup,
    surface: surface.id,
    plusMm,
    minusMm,
    armHolesMm,
    hornHolesMm,
    seating,
    inDegrees,
  };
}
