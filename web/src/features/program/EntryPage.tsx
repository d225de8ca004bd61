import { SheetNote } from "@/features/model/SheetNote";
import { Check } from "@/ui/check";
import { useState } from "react";
import { useEntered, useEntrySheet, useTick, type Entry } from "@/api/program";
import { useHangar, useStanding } from "@/api/queries";
import { useHasMotor, useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { WordsCard } from "./WordsCard";
import { say } from "@/words/generated/program";

/** What to type into a transmitter, value by value, ticked off and read back; then only what differs. */
export function EntryPage() {
  const { standing, draft } = useModel();
  const hangar = useHangar();
  const [into, setInto] = useState("");
  const [chosen, setChosen] = useState<boolean>();
  const others = (hangar.items ?? []).filter((one) => one.id !== standing.id);
  const other = useStanding(Number(into || standing.id));
  const second = into === "" ? undefined : other.data?.newest.setup.transmitter;
  const motor = useHasMotor();
  const transmitter = second ?? draft.present.transmitter;
  const sheet = useEntrySheet(standing.id, draft.present, transmitter);
  const entered = useEntered(standing.id, transmitter.name);
  const tick = useTick(standing.id);
  // Where something was typed in before, the sheet opens on what has changed since.
  const [opened, setOpened] = useState<boolean>();
  if (opened === undefined && entered.data !== undefined) {
    setOpened(entered.data.length === 0);
  }
  const all = chosen ?? opened ?? true;
  const ticked = new Map(entered.data?.map((one) => [one.key, one]));
  const entries = sheet.data?.entries ?? [];
  const differs = (one: Entry) => one.before !== one.value;
  const shown = all ? entries : entries.filter(differs);
  const places = [...new Set(shown.map((one) => one.menu || one.place))];
  const open = entries.filter(differs).length;
  const unread = entries.filter((one) => !differs(one) && ticked.get(one.key)?.readBack === false);
  const twinOf = (one: Entry) => entries.find((each) => each.key === one.twin);
  const ticking = ({ key }: Entry, data: string, readBack: boolean) => ({
    transmitter: transmitter.name,
    key,
    data,
    readBack,
  });
  return (
    <div className="mx-auto max-w-[1180px]">
      <div className="no-print mb-3 flex flex-wrap items-end gap-3">
        <Choice
          label={say("entryPage.typedInto")}
          value={into}
          onValue={setInto}
          options={[
            ["", draft.present.transmitter.name],
            ...others.map(
              (one) =>
                [
                  String(one.id),
                  say("entryPage.asWith", { transmitter: one.transmitter, name: one.name }),
                ] as const,
            ),
          ]}
        />
        <Choice
          label={say("entryPage.show")}
          value={all ? "all" : "open"}
          onValue={(value) => setChosen(value === "all")}
          options={[
            ["all", say("entryPage.everyValue")],
            ["open", say("entryPage.onlyChanged")],
          ]}
        />
        <Button look="main" onClick={() => print()}>
          {say("entryPage.print")}
        </Button>
        <Button
          disabled={open === 0 || tick.isPending}
          onClick={() =>
            tick.mutate(entries.filter(differs).map((one) => ticking(one, one.data, false)))
          }
        >
          {say("entryPage.tickAll")}
        </Button>
      </div>
      <article className="rounded-card border border-line bg-sheet p-5 print:border-0 print:p-0">
        <h2 className="text-2xl">{say("entryPage.entrySheet", { name: draft.present.name })}</h2>
        <p className="mb-3 text-sm text-soft">
          {say("entryPage.instruction", { transmitter: transmitter.name, motor })}
        </p>
        <SheetNote />
        <p className="mb-3 font-medium" role="status" data-open={open}>
          {open === 0 ? say("entryPage.nothingChanged") : say("entryPage.open", { open })}{" "}
          {unread.length > 0 && say("entryPage.unread", { unread: unread.length })}
        </p>
        {sheet.data?.notes.map((note) => (
          <p key={note} className="border-l-4 border-tag bg-inset px-3 py-1 text-sm">
            {note}
          </p>
        ))}
        {sheet.isError && <Failure error={sheet.error} />}
        {tick.isError && <Failure error={tick.error} />}
        <div className="gap-6 lg:columns-2 print:columns-2 print:gap-4">
          {places.map((place) => (
            <section key={place} className="mb-2 break-inside-avoid-column print:mb-1">
              <h3 className="border-b border-ink text-base print:text-[10px]">{place}</h3>
              <table
                className="figures w-full text-sm print:text-[9px] print:leading-[1.15]"
                data-entries
              >
                <tbody>
                  {shown
                    .filter((one) => (one.menu || one.place) === place)
                    .map((one) => (
                      <Line
                        key={one.key}
                        entry={one}
                        readBack={ticked.get(one.key)?.readBack === true}
                        twin={twinOf(one)?.place}
                        onMark={(data, readBack) => tick.mutate([ticking(one, data, readBack)])}
                      />
                    ))}
                </tbody>
              </table>
            </section>
          ))}
        </div>
      </article>
      {second === undefined && <WordsCard />}
    </div>
  );
}

type SheetEntry = NonNullable<ReturnType<typeof useEntrySheet>["data"]>["entries"][number];

interface LineProps {
  entry: SheetEntry;
  readBack: boolean;
  /** Where the same value is typed in as well. */
  twin: string | undefined;
  onMark: (data: string, readBack: boolean) => void;
}

/** One value: typed in, read back, what stands there now and what is to. */
function Line({ entry, readBack, twin, onMark }: LineProps) {
  const differs = entry.before !== entry.value;
  return (
    <tr className="border-b border-line" data-entry={entry.key}>
      <td className="w-6 py-0.5">
        <Check
          hidden
          label={say("entryPage.entered", { place: entry.place, what: entry.what })}
          checked={!differs}
          onChecked={(checked) => onMark(checked ? entry.data : "", false)}
        />
      </td>
      <td className="w-6 py-0.5">
        <Check
          hidden
          label={say("entryPage.readBack", { place: entry.place, what: entry.what })}
          disabled={differs}
          checked={!differs && readBack}
          onChecked={(checked) => onMark(entry.data, checked)}
        />
      </td>
      <td className="w-1/2 py-0.5">
        {entry.menu !== "" && <span className="text-soft">{entry.place}: </span>}
        <span className="inline-block first-letter:uppercase">{entry.what}</span>
      </td>
      <td className="py-0.5 text-soft line-through">{differs ? entry.before : ""}</td>
      <td className="py-0.5 font-semibold">{entry.value}</td>
      <td className="py-0.5 text-xs text-soft">{twin !== undefined && `= ${twin}`}</td>
    </tr>
  );
}
