import { Link2, Unlink2 } from "lucide-react";
import { useState } from "react";
import type { Schemas } from "@/api/client";
import type { Setup } from "@/api/queries";
import { cataloguePath, type Path } from "@/domain/draft";
import { keyOf, type Control } from "@/domain/words";
import { useField } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { NumberField } from "@/ui/number-field";
import { MovementField } from "./MovementField";
import { say } from "@/words/generated/program";

type Response = Setup["feel"]["roll"];

const SIDES: Record<Control, readonly [plus: string, minus: string]> = {
  ROLL: [say("rateRow.stickRight"), say("rateRow.stickLeft")],
  PITCH: [say("rateRow.upElevator"), say("rateRow.downElevator")],
  YAW: [say("rateRow.stickRight"), say("rateRow.stickLeft")],
};

const KINDS = { ROLL: "RATE_ROLL", PITCH: "RATE_PITCH", YAW: "RATE_YAW" } as const;

interface Props {
  /** Id of the set; empty for the plain rates. */
  set: string;
  name: string;
  control: Control;
  response: Response;
  path: Path;
  surface: string;
  /** The side a throw is told of that is the same both ways, and what it is called. */
  plusSide: boolean;
  throwWords: string;
  /** What full stick brings where this set decides; none where no position brings it. */
  line: Schemas["Line"] | undefined;
}

/** Rate and expo of one control: one figure for both sides, until they are taken apart. */
export function RateRow({
  set,
  name,
  control,
  response,
  path,
  surface,
  plusSide,
  throwWords,
  line,
}: Props) {
  const { change } = useModel();
  const [open, setOpen] = useState(false);
  const differ =
    response.ratePositivePercent !== response.rateNegativePercent ||
    response.expoPositivePercent !== response.expoNegativePercent;
  const apart = differ || open;
  const expo = useField(cataloguePath([...path, "expoPositivePercent"]));
  const [plus, minus] = SIDES[control];
  const wish = { kind: KINDS[control], subject: set, surface, pair: false } as const;
  const putExpo = (part: Partial<Response>, gesture: string) =>
    change({ type: "edit", path, value: { ...response, ...part }, gesture });
  return (
    <div
      className="grid grid-cols-2 items-start gap-2 border-t border-line py-2 first:border-0 sm:grid-cols-[8rem_1fr_1fr_1fr_1fr_2rem]"
      data-rates={`${set}/${keyOf(control)}`}
      data-surface={surface}
      data-sides={apart ? "both" : plusSide ? "plus" : "minus"}
      data-moment={line === undefined ? "" : JSON.stringify(line.moment)}
    >
      <p className="col-span-2 pt-1 font-medium sm:col-span-1 sm:pt-6">{name}</p>
      <div className={apart ? "" : "sm:col-span-2"}>
        <MovementField
          sized
          of={name}
          label={apart ? say("rateRow.full", { plus }) : throwWords}
          wish={{ ...wish, plusSide: apart || plusSide, bothSides: !apart }}
          shown={{
            percent: response.ratePositivePercent,
            mm: (apart || plusSide ? line?.plus : line?.minus)?.mm,
            degrees: (apart || plusSide ? line?.plus : line?.minus)?.degrees,
          }}
        />
      </div>
      {apart && (
        <MovementField
          sized
          of={name}
          label={say("rateRow.fullMinus", { minus })}
          wish={{ ...wish, plusSide: false, bothSides: false }}
          shown={{
            percent: response.rateNegativePercent,
            mm: line?.minus.mm,
            degrees: line?.minus.degrees,
          }}
        />
      )}
      {expo !== undefined && (
        <>
          <div className={apart ? "" : "sm:col-span-2"}>
            <NumberField
              field={{ ...expo, hint: "" }}
              of={name}
              label={apart ? say("rateRow.expo", { plus }) : say("rateRow.bothExpo")}
              value={response.expoPositivePercent}
              onValue={(value, gesture) =>
                putExpo(
                  apart
                    ? { expoPositivePercent: value }
                    : { expoPositivePercent: value, expoNegativePercent: value },
                  gesture,
                )
              }
            />
          </div>
          {apart && (
            <NumberField
              field={{ ...expo, hint: "" }}
              of={name}
              label={say("rateRow.expoMinus", { minus })}
              value={response.expoNegativePercent}
              onValue={(value, gesture) => putExpo({ expoNegativePercent: value }, gesture)}
            />
          )}
        </>
      )}
      <Button
        look="quiet"
        className="!min-h-[24px] min-w-[24px] justify-center !px-1 sm:mt-6"
        aria-pressed={!apart}
        disabled={differ}
        aria-label={apart ? say("rateRow.together", { name }) : say("rateRow.separately", { name })}
        onClick={() => setOpen(!open)}
      >
        {apart ? <Unlink2 aria-hidden size={14} /> : <Link2 aria-hidden size={14} />}
      </Button>
    </div>
  );
}
