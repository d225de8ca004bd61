import { Explained } from "@/ui/explained";
import { length, lengthSign } from "@/domain/reader";
import { tallyBars } from "./tally-bars";
import { signed, travelWords, wayWords, signedLength } from "@/domain/words";
import { useBench } from "./store";
import { Say, say } from "@/words/generated/bench";

/** The ledger of the selected surface: every line starts where the one above it ended. */
export function TallyPanel({ compact = false }: { compact?: boolean }) {
  const tally = useBench((state) => state.frame?.tally);
  const setup = useBench((state) => state.setup);
  const surface = setup?.surfaces.find((one) => one.id === tally?.surface);
  if (tally === undefined || surface === undefined) {
    return null;
  }
  const bars = tallyBars(tally);
  const [plus, minus] = wayWords(surface);
  return (
    <section
      aria-label={say("tallyPanel.title", { surface: surface.name })}
      className={compact ? "text-[13px] leading-tight" : "text-sm"}
    >
      <h2 className={compact ? "text-sm" : "mb-1 text-base"}>
        <Say
          id="tallyPanel.tallyNow"
          values={{
            tally: (words) => <Explained term="tally">{words}</Explained>,
            surface: surface.name,
            travel: travelWords(tally.mm, surface),
            span: (words) => <span className="font-normal text-soft">{words}</span>,
          }}
        />
      </h2>
      <table className="figures w-full border-collapse">
        <thead>
          <tr className="border-b border-line-strong text-right text-xs text-soft">
            <th className={`text-left font-medium ${compact ? "" : "py-1"}`}>
              {say("tallyPanel.movedBy")}
            </th>
            <th className="font-medium">%</th>
            <th className="font-medium">{say("tallyPanel.degrees")}</th>
            <th className="font-medium">{lengthSign()}</th>
          </tr>
        </thead>
        <tbody>
          {tally.lines.map((line, i) => (
            <TallyRow
              key={line.contribution + line.label}
              compact={compact}
              line={line}
              from={bars.lines[i]?.from ?? "0%"}
              width={bars.lines[i]?.width ?? "0%"}
              zero={bars.zero}
            />
          ))}
        </tbody>
        <tfoot>
          <tr className="border-t-2 border-ink text-right font-bold" data-tally-total>
            <th scope="row" className={`text-left ${compact ? "" : "py-1"}`}>
              {say("tallyPanel.total")}
            </th>
            <td>{signed(tally.percent, 1)}</td>
            <td>{signed(tally.degrees, 2)}</td>
            <td>{signedLength(tally.mm, 2)}</td>
          </tr>
        </tfoot>
      </table>
      <p className="mt-1 text-soft">
        <Say
          id="tallyPanel.travelLeft"
          values={{
            b: <strong className="figures text-ink">{length(tally.plusLeftMm, 1)}</strong>,
            plus,
            bOther: <strong className="figures text-ink">{length(tally.minusLeftMm, 1)}</strong>,
            minus,
          }}
        />
      </p>
    </section>
  );
}

interface RowProps {
  compact: boolean;
  line: { label: string; percent: number; degrees: number; mm: number };
  from: string;
  width: string;
  zero: string;
}

function TallyRow({ compact, line, from, width, zero }: RowProps) {
  return (
    <>
      <tr className="text-right">
        <th scope="row" className={`text-left font-normal ${compact ? "" : "pt-1"}`}>
          {line.label}
        </th>
        <td className={compact ? "" : "pt-1"}>{signed(line.percent, 1)}</td>
        <td className={compact ? "" : "pt-1"}>{signed(line.degrees, 2)}</td>
        <td className={compact ? "" : "pt-1"}>{signedLength(line.mm, 2)}</td>
      </tr>
      <tr aria-hidden className="border-b border-line">
        <td colSpan={4} className={compact ? "" : "pb-1"}>
          <div className={`relative ${compact ? "h-1" : "h-2"}`}>
            <div className="absolute inset-y-0 w-px bg-line-strong" style={{ left: zero }} />
            <div
              className={`absolute inset-y-0 rounded-sm ${line.mm >= 0 ? "bg-plus" : "bg-minus"}`}
              style={{ left: from, width }}
            />
          </div>
        </td>
      </tr>
    </>
  );
}
