import { exchanged } from "@/domain/lists";
import { ArrowUp, Plus, X } from "lucide-react";
import { useState } from "react";
import type { Setup } from "@/api/queries";
import { DraftNumber, DraftText } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/program";

type Word = Setup["transmitter"]["words"][number];

const SECTIONS = (
  [
    "DIRECTION",
    "SUB_TRIM",
    "ENDPOINT",
    "SLOWED",
    "RATE",
    "EXPO",
    "PHASE",
    "FADE",
    "PRESET",
    "DIFFERENTIAL",
    "MIX",
    "POWER",
    "FAILSAFE",
    "TIMER",
    "TRIM",
  ] as const
).map((section) => [section, told("EntrySection", section)] as const);

/** The transmitter's own words, taught once: the entry sheet then follows its order, names and units. */
export function WordsCard() {
  const { draft, change } = useModel();
  const words = draft.present.transmitter.words;
  const left = SECTIONS.filter(([section]) => !words.some((one) => one.section === section));
  const [next, setNext] = useState("");
  const chosen = left.find(([section]) => section === next)?.[0] ?? left[0]?.[0];
  const set = (value: Word[]) => change({ type: "edit", path: ["transmitter", "words"], value });
  return (
    <Card title={say("wordsCard.title")} className="no-print mt-4">
      <p className="mb-2 text-sm text-soft">{say("wordsCard.hint")}</p>
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
              label={say("wordsCard.ownName")}
            />
          </div>
          <div className="w-44">
            <DraftText path={["transmitter", "words", i, "menu"]} label={say("wordsCard.menu")} />
          </div>
          <div className="w-24">
            <DraftText path={["transmitter", "words", i, "unit"]} label={say("wordsCard.unit")} />
          </div>
          <div className="w-40">
            <DraftNumber path={["transmitter", "words", i, "perUnit"]} />
          </div>
          <span className="flex pt-5">
            <Button
              look="quiet"
              className="!px-2"
              aria-label={say("wordsCard.earlier")}
              disabled={i === 0}
              onClick={() => set(exchanged(words, i - 1))}
            >
              <ArrowUp aria-hidden size={15} />
            </Button>
            <Button
              look="quiet"
              className="!px-2"
              aria-label={say("wordsCard.remove")}
              onClick={() => set(words.filter((_, other) => other !== i))}
            >
              <X aria-hidden size={15} />
            </Button>
          </span>
        </div>
      ))}
      {chosen !== undefined && (
        <div className="flex flex-wrap items-end gap-2 pt-2">
          <Choice label={say("wordsCard.name")} value={chosen} onValue={setNext} options={left} />
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
            <Plus aria-hidden size={16} /> {say("wordsCard.add")}
          </Button>
        </div>
      )}
    </Card>
  );
}
