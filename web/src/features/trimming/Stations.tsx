import type { Purpose } from "@/api/fly";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { PlainNumber } from "@/ui/plain-number";
import { say } from "@/words/generated/trimming";

type Station = Purpose["stations"][number];

interface Props {
  wishes: Purpose;
  /** What goes with the balance of each pack, as the server works it out. */
  between: string[];
  onStations: (stations: Station[]) => void;
}

/** Expo and reflex that were found right with a balance point; between them the rest is reckoned. */
export function Stations({ wishes, between, onStations }: Props) {
  const set = (at: number, part: Partial<Station>) =>
    onStations(wishes.stations.map((one, i) => (i === at ? { ...one, ...part } : one)));
  return (
    <Card title={say("stations.title")}>
      <p className="text-sm text-soft">{say("stations.hint")}</p>
      <ul className="mt-2 space-y-2">
        {wishes.stations.map((one, i) => (
          <li key={i} className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
            <PlainNumber
              label={say("stations.balancePoint")}
              length
              value={one.cgMm}
              onValue={(cgMm) => set(i, { cgMm })}
            />
            <PlainNumber
              label={say("stations.expo")}
              value={one.expoPercent}
              onValue={(expoPercent) => set(i, { expoPercent })}
            />
            <PlainNumber
              label={say("stations.reflex")}
              length
              value={one.reflexMm}
              onValue={(reflexMm) => set(i, { reflexMm })}
            />
            <Button
              look="quiet"
              aria-label={say("stations.removePosition", { i: i + 1 })}
              onClick={() => onStations(wishes.stations.filter((_, each) => each !== i))}
            >
              {say("stations.out")}
            </Button>
          </li>
        ))}
      </ul>
      <Button
        className="mt-2"
        onClick={() => onStations([...wishes.stations, { cgMm: 0, expoPercent: 0, reflexMm: 0 }])}
      >
        {say("stations.add")}
      </Button>
      {between.length > 0 && (
        <ul className="figures mt-3 list-disc pl-5" data-between>
          {between.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      )}
    </Card>
  );
}
