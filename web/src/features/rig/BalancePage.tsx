import { figure } from "@/domain/reader";
import { isNothing, sizeOf } from "@/domain/words";
import { AddButton } from "@/features/model/edits";
import { Plus, X } from "lucide-react";
import { useState } from "react";
import { useFields } from "@/api/queries";
import { useBalanceAdvice, useBalanceWish, type BalanceAdvice, type BalanceWish } from "@/api/rig";
import { DraftNumber, DraftText } from "@/features/model/fields";
import { useHasMotor, useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Explained } from "@/ui/explained";
import { Card, Caution } from "@/ui/card";
import { Failure } from "@/ui/message";
import { NumberField } from "@/ui/number-field";
import { BalanceDrawing } from "./BalanceDrawing";
import { HangingCard } from "./HangingCard";
import { Say, say } from "@/words/generated/rig";

const B = ["balance"] as const;

/** Where it should balance, where it does with each pack, and what to move. */
export function BalancePage() {
  const { draft, change } = useModel();
  const { packs } = draft.present.balance;
  const motors = useHasMotor();
  const usual = useBalanceWish(draft.present);
  const [changed, setChanged] = useState<Partial<BalanceWish>>({});
  const asked = usual.data === undefined ? undefined : { ...usual.data, ...changed };
  const advice = useBalanceAdvice(draft.present, asked);
  const setPacks = (value: typeof packs) => change({ type: "edit", path: [...B, "packs"], value });
  const fields = useFields();
  const field = (key: keyof BalanceWish) => {
    const known = fields.data?.find((one) => one.path === `balanceWish.${key}`);
    return known === undefined || asked === undefined ? null : (
      <NumberField
        field={known}
        value={asked[key]}
        onValue={(value) => setChanged({ ...changed, [key]: value })}
      />
    );
  };
  return (
    <div className="grid gap-4 lg:grid-cols-2">
      <div className="space-y-3">
        <Card title={say("balancePage.wanted")} aside={<Explained term="datum" />}>
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
            <DraftText path={[...B, "datum"]} label={say("balancePage.measuredFrom")} />
            <DraftNumber path={[...B, "datumAftMm"]} />
            <DraftNumber path={[...B, "targetMm"]} />
            <DraftNumber path={[...B, "emptyMassGrams"]} />
            <DraftNumber path={[...B, "foremostMm"]} />
            <DraftNumber path={[...B, "aftmostMm"]} />
            {motors && <DraftNumber path={[...B, "boltSpacingMm"]} />}
          </div>
        </Card>
        <Card title={say("balancePage.packs")}>
          {packs.length === 0 && <p className="mb-2 text-soft">{say("balancePage.noPack")}</p>}
          {packs.map((pack, i) => (
            <div
              key={i}
              className="mb-2 flex items-end gap-2 border-t border-line pt-2 first:border-0"
            >
              <div className="grid flex-1 grid-cols-2 gap-2 sm:grid-cols-4">
                <DraftText path={[...B, "packs", i, "name"]} label={say("balancePage.pack")} />
                <DraftNumber path={[...B, "packs", i, "massGrams"]} />
                <DraftNumber path={[...B, "packs", i, "cgMm"]} />
                <DraftNumber path={[...B, "packs", i, "stationMm"]} />
              </div>
              <Button
                look="quiet"
                className="!px-2"
                aria-label={say("balancePage.remove", { pack: pack.name })}
                onClick={() => setPacks(packs.filter((_, other) => other !== i))}
              >
                <X aria-hidden size={15} />
              </Button>
            </div>
          ))}
          <AddButton part="PACK">
            <Plus aria-hidden size={16} /> {say("balancePage.pack")}
          </AddButton>
        </Card>
        <Caution>{say("balancePage.hint")}</Caution>
      </div>
      <div className="space-y-3">
        <Card title={say("balancePage.toMove")}>
          <BalanceDrawing setup={draft.present} />
          {advice.isError && <Failure error={advice.error} />}
          {advice.data?.packs.map((pack) => (
            <PackAdvice key={pack.name} pack={pack} />
          ))}
          {advice.data?.estimate != null && (
            <p
              className="mt-2 border-l-4 border-line-strong bg-inset px-3 py-2 text-sm"
              data-estimate
            >
              <strong>{say("balancePage.estimateOutline")}</strong> {advice.data.estimate.words}{" "}
              <Explained term="neutralPoint" />
            </p>
          )}
          <ul className="mt-2 list-disc pl-5 text-sm text-soft">
            {advice.data?.notes.map((note) => (
              <li key={note}>{note}</li>
            ))}
          </ul>
          <div className="mt-3 grid grid-cols-2 gap-3">
            {field("noseStationMm")}
            {field("tailStationMm")}
          </div>
        </Card>
        <Card
          title={motors ? say("balancePage.lateralAndThrust") : say("balancePage.lateralBalance")}
        >
          <div className="grid grid-cols-2 gap-3">
            {field("lateralOffsetMm")}
            {field("lateralArmMm")}
            {motors && field("sideDegrees")}
            {motors && field("downDegrees")}
          </div>
          {advice.data !== undefined && asked !== undefined && (
            <AcrossWords advice={advice.data} asked={asked} />
          )}
        </Card>
        {motors && <HangingCard />}
      </div>
    </div>
  );
}

function PackAdvice({ pack }: { pack: BalanceAdvice["packs"][number] }) {
  return (
    <p className="mt-2" data-pack={pack.name}>
      <strong>{pack.name}</strong> ({figure(pack.totalGrams, 0)} g
      {pack.chordPercent != null &&
        say("balancePage.meanChord", { figure: figure(pack.chordPercent, 0) })}
      ): <span className={pack.inRange ? "" : "font-semibold text-grounded"}>{pack.words}</span>
    </p>
  );
}

function AcrossWords({ advice, asked }: { advice: BalanceAdvice; asked: BalanceWish }) {
  const washer = (mm: number, words: string) =>
    isNothing(mm, 2) ? null : (
      <li>
        <Say id="balancePage.washer" values={{ b: <strong>{sizeOf(mm, 2)}</strong>, words }} />
      </li>
    );
  return (
    <ul className="figures mt-2 list-disc pl-5" data-across>
      {asked.lateralOffsetMm > 0 && (
        <li>
          <Say
            id="balancePage.tipWeight"
            values={{ b: <strong>{figure(advice.lateralGrams, 1)} g</strong> }}
          />
        </li>
      )}
      {washer(
        advice.sideWasherMm,
        advice.sideWasherMm > 0 ? say("balancePage.underLeft") : say("balancePage.underRight"),
      )}
      {washer(
        advice.downWasherMm,
        advice.downWasherMm > 0 ? say("balancePage.underUpper") : say("balancePage.underLower"),
      )}
    </ul>
  );
}
