import { Link2, Unlink2 } from "lucide-react";
import { useState } from "react";
import { useOutput } from "@/api/edits";
import { useOutputSheet, type OutputRow } from "@/api/program";
import type { Schemas } from "@/api/client";
import { signed, wayWords, within, type Way } from "@/domain/words";
import { DraftCheck, DraftChoice, DraftNumber } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Term } from "@/features/program/Term";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { SizeField } from "@/ui/size-field";
import { Say, say } from "@/words/generated/aircraft";

type Figure = Schemas["OutputWish"]["figure"];

interface Props {
  surface: string;
}

/** The output stage, by where the surface goes: a pair typed once, until it is taken apart. */
export function OutputCard({ surface }: Props) {
  const { draft } = useModel();
  const sheet = useOutputSheet(draft.present, surface);
  const output = useOutput();
  const worked = useWorked();
  const [parted, setParted] = useState(false);
  const rows = sheet.data?.rows ?? [];
  const own = draft.present.surfaces.find((one) => one.id === surface);
  const channel = draft.present.channels.findIndex(({ number }) => number === rows[0]?.channel);
  const carried = draft.present.channels[channel];
  if (own === undefined || carried === undefined) {
    return null;
  }
  const chained = rows.length > 1 && sheet.data?.alike === true && !parted;
  const set = (row: OutputRow, figure: Figure, plus: boolean, value: number) =>
    void worked(
      output.mutateAsync({
        setup: draft.present,
        surface: row.surface,
        figure,
        plus,
        value,
        pair: chained && figure !== "SUB_TRIM",
      }),
    );
  return (
    <Card
      title={say("outputCard.output", {
        rows: rows
          .map((row) => say("outputCard.channel", { channel: row.channel, name: row.name }))
          .join("; "),
      })}
      aside={
        rows.length > 1 && (
          <Button
            look="quiet"
            className="!min-h-8 text-sm"
            aria-pressed={!chained}
            disabled={sheet.data?.alike !== true}
            onClick={() => setParted(!parted)}
          >
            {chained ? <Link2 aria-hidden size={15} /> : <Unlink2 aria-hidden size={15} />}
            {chained ? say("outputCard.together") : say("outputCard.separately")}
          </Button>
        )
      }
    >
      <div>
        {(chained ? rows.slice(0, 1) : rows).map((row) => (
          <Ends
            key={row.surface}
            row={row}
            way={own}
            name={rows.length < 2 || chained ? "" : row.name}
            onSet={(figure, plus, value) => set(row, figure, plus, value)}
          />
        ))}
      </div>
      <div className="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
        {rows.map((row) => (
          <SubTrim
            key={row.surface}
            row={row}
            way={own}
            name={rows.length > 1 ? row.name : ""}
            onSet={(plus, value) => set(row, "SUB_TRIM", plus, value)}
          />
        ))}
      </div>
      {output.isError && <Failure error={output.error} />}
      <div className="mt-3 grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
        <DraftNumber path={["channels", channel, "slowedSeconds"]} />
        <DraftChoice
          path={["channels", channel, "reversed"]}
          label={say("outputCard.direction")}
          options={[
            [false, say("outputCard.normal")],
            [true, say("outputCard.reversed")],
          ]}
        />
        {draft.present.surfaces.some((one) => one.id === carried.carries) && (
          <div className="col-span-2">
            <DraftCheck path={["channels", channel, "steady"]} label={say("outputCard.steady")} />
          </div>
        )}
      </div>
      <p className="text-sm">
        <Say
          id="outputCard.aboutAnd"
          values={{
            term: <Term name="endpoint" index={channel} />,
            termOther: <Term name="sub-trim" index={channel} />,
          }}
        />
      </p>
    </Card>
  );
}

interface EndsProps {
  row: OutputRow;
  way: Way;
  name: string;
  onSet: (figure: Figure, plus: boolean, value: number) => void;
}

const SIDES = [true, false] as const;

/** Both ends of a surface, and how far its pulse may go at most. */
function Ends({ row, way, name, onSet }: EndsProps) {
  const words = wayWords(way);
  const label = (text: string) => (name === "" ? text : `${name}, ${within(text)}`);
  return (
    <div className="grid grid-cols-2 gap-3 border-line not-first:mt-3 not-first:border-t not-first:pt-3 sm:grid-cols-4">
      {SIDES.map((plus, i) => (
        <SizeField
          key={`end-${i}`}
          label={label(say("outputCard.endpoint", { words: words[i] }))}
          hint={say("outputCard.theTransmitters", { plus: plus === row.highIsPlus })}
          value={plus ? row.plusEndpoint : row.minusEndpoint}
          onValue={(value) => onSet("ENDPOINT", plus, value)}
        />
      ))}
      {SIDES.map((plus, i) => (
        <SizeField
          key={`limit-${i}`}
          label={label(say("outputCard.limit", { words: words[i] }))}
          hint={say("outputCard.limitHint")}
          empty={0}
          value={plus ? row.plusLimit : row.minusLimit}
          onValue={(value) => onSet("LIMIT", plus, value)}
        />
      ))}
      {row.shares.length > 0 && (
        <p className="col-span-full text-sm text-soft">
          {say("outputCard.sharedChannel", { shares: row.shares.join(", ") })}
        </p>
      )}
    </div>
  );
}

interface SubTrimProps {
  row: OutputRow;
  way: Way;
  name: string;
  onSet: (plus: boolean, value: number) => void;
}

/** A size typed, a direction picked, and what the transmitter calls it. */
function SubTrim({ row, way, name, onSet }: SubTrimProps) {
  const stands = row.subTrimMicroseconds;
  const [wanted, setWanted] = useState<boolean>();
  const plus = stands === 0 ? (wanted ?? true) : row.subTrimPlus;
  const words = wayWords(way);
  const label = name === "" ? say("outputCard.subTrim") : say("outputCard.subTrimOf", { name });
  return (
    <>
      <SizeField
        label={label}
        hint={say("outputCard.inTransmitter", { signed: signed(row.channelSubTrim, 0) })}
        value={stands}
        onValue={(value) => onSet(plus, value)}
      />
      <Choice
        label={say("outputCard.movesIt", { label })}
        value={plus ? "plus" : "minus"}
        options={[
          ["plus", words[0]],
          ["minus", words[1]],
        ]}
        onValue={(picked) => {
          setWanted(picked === "plus");
          if (stands !== 0) {
            onSet(picked === "plus", stands);
          }
        }}
      />
    </>
  );
}
