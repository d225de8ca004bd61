import { type Purpose } from "@/api/fly";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Check } from "@/ui/check";
import { Choice } from "@/ui/choice";
import { PlainNumber } from "@/ui/plain-number";
import { TextLine } from "@/ui/text-line";
import { say } from "@/words/generated/trimming";
import { told } from "@/words/generated/enums";
import { capital } from "@/domain/words";

export type Wish = Purpose["regimes"][number];

export const REGIMES = {
  FIRST_FLIGHTS: told("Regime", "FIRST_FLIGHTS"),
  PRECISION: told("Regime", "PRECISION"),
  SNAP: told("Regime", "SNAP"),
  HOVER: told("Regime", "HOVER"),
  ROLLING_HIGH_ALPHA: told("Regime", "ROLLING_HIGH_ALPHA"),
  THERMAL: told("Regime", "THERMAL"),
  CRUISE: told("Regime", "CRUISE"),
  SPEED: told("Regime", "SPEED"),
  LANDING: told("Regime", "LANDING"),
  LAUNCH: told("Regime", "LAUNCH"),
} as const;

interface CardProps {
  wish: Wish;
  onWish: (part: Partial<Wish>) => void;
  remove: () => void;
}

/** One kind of flying: how it should feel, with which set, how far each surface goes. */
export function WishCard({ wish, onWish, remove }: CardProps) {
  const { draft } = useModel();
  const where = [
    ["", say("purposePage.notDecided")] as const,
    ...draft.present.phases.map(
      (one) => [one.id, say("purposePage.phase", { name: one.name })] as const,
    ),
    ...draft.present.feelSets.map(
      (one) => [one.id, say("purposePage.set", { name: one.name })] as const,
    ),
  ];
  return (
    <Card
      title={capital(REGIMES[wish.regime])}
      aside={
        <Button
          look="quiet"
          onClick={remove}
          aria-label={say("purposePage.notFor", { regime: REGIMES[wish.regime] })}
        >
          {say("purposePage.notForThis")}
        </Button>
      }
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <TextLine
          label={say("purposePage.feel")}
          value={wish.feel}
          maxLength={300}
          onValue={(feel) => onWish({ feel })}
        />
        <Choice
          label={say("purposePage.flownWith")}
          value={wish.where}
          options={where}
          onValue={(chosen) => onWish({ where: chosen })}
        />
        <div className="grid grid-cols-3 gap-2">
          <PlainNumber
            label={say("purposePage.aileron")}
            length
            value={wish.rollMm}
            onValue={(rollMm) => onWish({ rollMm })}
          />
          <PlainNumber
            label={say("purposePage.elevator")}
            length
            value={wish.pitchMm}
            onValue={(pitchMm) => onWish({ pitchMm })}
          />
          <PlainNumber
            label={say("purposePage.rudder")}
            length
            value={wish.yawMm}
            onValue={(yawMm) => onWish({ yawMm })}
          />
        </div>
        <TextLine
          label={say("purposePage.source")}
          value={wish.source}
          maxLength={120}
          onValue={(source) => onWish({ source })}
        />
        <TextLine
          label={say("purposePage.result")}
          value={wish.ended}
          maxLength={300}
          onValue={(ended) => onWish({ ended })}
        />
        <Check
          checked={wish.reached}
          onChecked={(reached) => onWish({ reached })}
          label={say("purposePage.feelsRight")}
        />
      </div>
    </Card>
  );
}
