import { exchanged } from "@/domain/lists";
import { ArrowUp, Plus, X } from "lucide-react";
import { useState } from "react";
import type { Setup } from "@/api/queries";
import { DraftNumber, DraftText } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";

type Word = Setup["transmitter"]["words"][number];

const SECTIONS: readonly (readonly [Word["section"], string])[] = [
  ["DIRECTION", "channel directions"],
  ["SUB_TRIM", "sub-trims"],
  ["ENDPOINT", "endpoints"],
  ["SLOWED", "slowed channels"],
  ["RATE", "rates"],
  ["EXPO", "expo"],
  ["PHASE", "flight phases"],
  ["FADE", "fades"],
  ["PRESET", "presets"],
  ["DIFFERENTIAL", "differential"],
  ["MIX", "mixes"],
  ["POWER", "throttle curves, cut and arming"],
  ["FAILSAFE", "failsafe"],
  ["TIMER", "timers and warnings"],
  ["TRIM", "trims"],
];

/** The transmitter's own words, taught once: the entry sheet then follows its order, names and units. */
export function WordsCard() {
  const { draft, change } = useModel();
  const words = draft.present.transmitter.words;
  const left = SECTIONS.filter(([section]) => !words.some((one) => one.section === section));
  const [next, setNext] = useState("");
  const chosen = left.find(([section]) => section === next)?.[0] ?? left[0]?.[0];
  const set = (value: Word[]) => change({ type: "edit", path: ["transmitter", "words"], value });
  return (
    <Card title="Your transmitter's own words" className="no-print mt-4">
      <p className="mb-2 text-sm text-soft">
        What your transmitter calls each thing, where to find it and its unit. High Tally comes with
        none; the order here is the order of the sheet.
      </p>
      {words.map((word, i) => (
        <div
          key={word.section}
          className="flex flex-wrap items-start gap-2 border-t border-line py-2"
        >
          <span className="w-32 pt-6 text-sm font-medium">
            {SECTIONS.find(([section]) => section === word.section)?.[1]}
          </span>
          <div className="w-40">
            <DraftText
              path={["transmitter", "words", i, "name"]}
              label="Name in this transmitter"
            />
          </div>
          <div className="w-44">
            <DraftText path={["transmitter", "words", i, "menu"]} label="Menu where it is found" />
          </div>
          <div className="w-24">
            <DraftText
              path={["transmitter", "words", i, "unit"]}
              label="Unit in this transmitter"
            />
          </div>
          <div className="w-40">
            <DraftNumber path={["transmitter", "words", i, "perUnit"]} />
          </div>
          <span className="flex pt-5">
            <Button
              look="quiet"
              className="!px-2"
              aria-label="Earlier"
              disabled={i === 0}
              onClick={() => set(exchanged(words, i - 1))}
            >
              <ArrowUp aria-hidden size={15} />
            </Button>
            <Button
              look="quiet"
              className="!px-2"
              aria-label="Remove"
              onClick={() => set(words.filter((_, other) => other !== i))}
            >
              <X aria-hidden size={15} />
            </Button>
          </span>
        </div>
      ))}
      {chosen !== undefined && (
        <div className="flex flex-wrap items-end gap-2 pt-2">
          <Choice label="Name" value={chosen} onValue={setNext} options={left} />
          <Button
            onClick={() =>
              set([
                ...words,
                {
                  section: chosen,
                  name: SECTIONS.find(([section]) => section === chosen)?.[1] ?? "",
                  menu: "",
                  unit: "",
                  perUnit: 1,
                },
              ])
            }
          >
            <Plus aria-hidden size={16} /> Add its words
          </Button>
        </div>
      )}
    </Card>
  );
}
