import { useState } from "react";
import {
  useNoteWishes,
  useStartingWishes,
  useWishes,
  type Purpose,
  type WishSheet,
} from "@/api/fly";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Check } from "@/ui/check";
import { Choice } from "@/ui/choice";
import { Enter } from "@/ui/form";
import { Failure, Waiting } from "@/ui/message";
import { PlainNumber } from "@/ui/plain-number";
import { Stations } from "./Stations";
import { REGIMES, WishCard, type Wish } from "./WishCard";
import { TextLine } from "@/ui/text-line";
import { say } from "@/words/generated/trimming";
import { told } from "@/words/generated/enums";
import { capital } from "@/domain/words";

const PILOTS = [
  ["BEGINNER", told("Pilot", "BEGINNER")],
  ["INTERMEDIATE", told("Pilot", "INTERMEDIATE")],
  ["EXPERT", told("Pilot", "EXPERT")],
] as const;

/** What a model is for: decided before the first flight, one kind of flying after the other. */
export function PurposePage() {
  const { standing } = useModel();
  const wishes = useWishes(standing.id);
  if (wishes.data === undefined) {
    return wishes.isError ? (
      <Failure error={wishes.error} />
    ) : (
      <Waiting what={say("purposePage.page")} />
    );
  }
  return <Book sheet={wishes.data} />;
}

/** A kind of flying of which nothing is decided yet. */
const UNDECIDED = {
  feel: "",
  where: "",
  rollMm: 0,
  pitchMm: 0,
  yawMm: 0,
  source: "",
  ended: "",
  reached: false,
};

function Book({ sheet }: { sheet: WishSheet }) {
  const { standing } = useModel();
  const note = useNoteWishes(standing.id);
  const starting = useStartingWishes(standing.id);
  /** What was read last, and what it has become by typing. */
  const [based, setBased] = useState(sheet);
  const [wishes, setWishes] = useState(sheet.wishes);
  const begun = (from: WishSheet) => {
    setBased(from);
    setWishes(from.wishes);
  };
  const typed = wishes !== based.wishes;
  const elsewhere = !note.isPending && sheet.version !== based.version;
  if (elsewhere && !typed) {
    begun(sheet);
  }
  const save = () =>
    note.mutate(
      { version: based.version, wishes },
      {
        onSuccess: (saved) => {
          setBased(saved);
          setWishes((now) => (now === wishes ? saved.wishes : now));
        },
      },
    );
  const set = (part: Partial<Purpose>) => setWishes({ ...wishes, ...part });
  const setWish = (of: Wish, part: Partial<Wish>) =>
    set({ regimes: wishes.regimes.map((one) => (one === of ? { ...of, ...part } : one)) });
  const left = (Object.keys(REGIMES) as Wish["regime"][]).filter(
    (one) => !wishes.regimes.some((wish) => wish.regime === one),
  );
  const add = (regime: Wish["regime"]) =>
    set({ regimes: [...wishes.regimes, { ...UNDECIDED, regime }] });
  const begin = (pilot: Purpose["pilot"]) =>
    starting.mutate(pilot, {
      onSuccess: (found) =>
        setWishes({
          ...found,
          stations: wishes.stations,
          regimes: [
            ...wishes.regimes,
            ...found.regimes.filter(
              (one) => !wishes.regimes.some((there) => there.regime === one.regime),
            ),
          ],
        }),
    });
  return (
    <Enter className="mx-auto max-w-3xl space-y-3 pt-3" send={save}>
      {elsewhere && typed && (
        <div role="alert" className="border-l-4 border-grounded bg-inset px-4 py-2">
          <p>{say("purposePage.changedElsewhere")}</p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => setBased(sheet)}>{say("purposePage.keepMine")}</Button>
            <Button onClick={() => begun(sheet)}>{say("purposePage.useOthers")}</Button>
          </div>
        </div>
      )}
      <PilotCard
        purpose={wishes}
        set={set}
        onBegin={starting.isPending ? undefined : () => begin(wishes.pilot)}
      />
      {sheet.notes.length > 0 && (
        <ul
          className="list-disc border-l-4 border-grounded bg-inset py-2 pr-4 pl-8"
          data-wish-notes
        >
          {sheet.notes.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      )}
      <Stations
        wishes={wishes}
        between={sheet.between}
        onStations={(stations) => set({ stations })}
      />
      {wishes.regimes.map((wish) => (
        <WishCard
          key={wish.regime}
          wish={wish}
          onWish={(part) => setWish(wish, part)}
          remove={() => set({ regimes: wishes.regimes.filter((one) => one !== wish) })}
        />
      ))}
      {left.length > 0 && (
        <div className="flex flex-wrap items-center gap-2">
          <span className="text-soft">{say("purposePage.alsoFor")}</span>
          {left.map((one) => (
            <Button key={one} onClick={() => add(one)}>
              {capital(REGIMES[one])}
            </Button>
          ))}
        </div>
      )}
      {(note.isError || starting.isError) && <Failure error={note.error ?? starting.error} />}
      <Button type="submit" look="main" large disabled={note.isPending}>
        {say("purposePage.save")}
      </Button>
    </Enter>
  );
}

interface PilotProps {
  purpose: Purpose;
  set: (part: Partial<Purpose>) => void;
  /** Fills in what a pilot may start from; missing while that is asked. */
  onBegin: (() => void) | undefined;
}

/** Who flies it, where its balance is wanted, in what wind and at which field. */
function PilotCard({ purpose, set, onBegin }: PilotProps) {
  return (
    <Card title={say("purposePage.title")}>
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          label={say("purposePage.flownBy")}
          value={purpose.pilot}
          options={PILOTS}
          onValue={(pilot) => set({ pilot })}
        />
        <div className="flex items-end">
          <Button disabled={onBegin === undefined} onClick={onBegin}>
            {say("purposePage.fillIn")}
          </Button>
        </div>
        <PlainNumber
          label={say("purposePage.balanceWanted")}
          value={purpose.balancePercent}
          onValue={(balancePercent) => set({ balancePercent })}
        />
        <TextLine
          label={say("purposePage.reason")}
          value={purpose.balanceWhy}
          maxLength={300}
          onValue={(balanceWhy) => set({ balanceWhy })}
        />
        <PlainNumber
          label={say("purposePage.wind")}
          value={purpose.limits.windMetresPerSecond}
          onValue={(windMetresPerSecond) =>
            set({ limits: { ...purpose.limits, windMetresPerSecond } })
          }
        />
        <TextLine
          label={say("purposePage.field")}
          value={purpose.limits.field}
          maxLength={300}
          onValue={(field) => set({ limits: { ...purpose.limits, field } })}
        />
      </div>
      <div className="mt-3">
        <Check
          checked={purpose.turnedRound}
          onChecked={(turnedRound) => set({ turnedRound })}
          label={say("purposePage.turnedRound")}
        />
      </div>
    </Card>
  );
}
