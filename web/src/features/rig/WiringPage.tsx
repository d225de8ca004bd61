import { SheetNote } from "@/features/model/SheetNote";
import { lengthEntered } from "@/domain/reader";
import { Link } from "react-router";
import { useWiringSheet } from "@/api/rig";
import { useHasMotor, useModel } from "@/features/model/model";
import { Button, buttonClass } from "@/ui/button";
import { Failure, Waiting } from "@/ui/message";
import { leadWords } from "./WiringPicture";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/rig";

const HEADS = [
  say("wiringPage.socket"),
  say("wiringPage.channel"),
  say("wiringPage.plugIn"),
  say("wiringPage.side"),
  say("wiringPage.lead"),
  say("wiringPage.moves"),
  say("wiringPage.label"),
  say("wiringPage.done"),
];

const SIDES = {
  LEFT: told("Side", "LEFT"),
  CENTRE: told("Side", "CENTRE"),
  RIGHT: told("Side", "RIGHT"),
} as const;

/** One printed page: wire the model from it, and buy what it lists. */
export function WiringPage() {
  const { draft } = useModel();
  const setup = draft.present;
  const motor = useHasMotor();
  const sheet = useWiringSheet(setup);
  if (sheet.data === undefined) {
    return sheet.isError ? (
      <Failure error={sheet.error} />
    ) : (
      <Waiting what={say("wiringPage.sheet")} />
    );
  }
  const { rows, parts } = sheet.data;
  return (
    <div className="mx-auto max-w-[900px]">
      <div className="no-print mb-3 flex gap-2">
        <Link to=".." relative="path" className={buttonClass()}>
          {say("wiringPage.back")}
        </Link>
        <Button look="main" onClick={() => print()}>
          {say("wiringPage.print")}
        </Button>
      </div>
      <article className="rounded-card border border-line bg-sheet p-6 print:border-0 print:p-0">
        <header className="mb-3 flex flex-wrap items-baseline justify-between gap-2">
          <h2 className="text-2xl">{say("wiringPage.wiringSheet", { setup: setup.name })}</h2>
          <p className="text-sm text-soft">
            {say("wiringPage.stickMode", {
              name: setup.transmitter.name,
              stickMode: setup.transmitter.stickMode,
              nameOther: setup.wiring.receiver.name,
            })}
          </p>
        </header>
        <SheetNote />
        <p className="mb-3 border-l-4 border-grounded bg-inset px-3 py-1.5 text-sm font-medium">
          {say("wiringPage.motor", { motor })}
        </p>
        <table className="figures cards-on-phone w-full border-collapse text-sm" data-wiring>
          <thead>
            <tr className="border-b-2 border-ink text-left text-xs text-soft">
              {HEADS.map((name) => (
                <th key={name} className="py-1 pr-2 font-medium">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.device} className="border-b border-line align-top">
                <td className="py-1.5 text-lg font-bold" data-label={say("wiringPage.socket")}>
                  {row.socket < 0 ? say("wiringPage.none") : row.socket}
                </td>
                <td className="py-1.5 pr-2" data-label={say("wiringPage.channel")}>
                  {row.channel}, {row.channelName}
                </td>
                <td className="py-1.5 pr-2 font-semibold" data-label={say("wiringPage.plugIn")}>
                  {row.device}
                </td>
                <td className="py-1.5 pr-2" data-label={say("wiringPage.side")}>
                  {SIDES[row.side]}
                </td>
                <td className="py-1.5 pr-2" data-label={say("wiringPage.lead")}>
                  {leadWords(row)}
                </td>
                <td className="py-1.5 pr-2" data-label={say("wiringPage.moves")}>
                  {row.moves || "—"}
                </td>
                <td className="py-1.5 pr-2" data-label={say("wiringPage.label")}>
                  {row.label}
                </td>
                <td className="py-1.5" data-label={say("wiringPage.done")}>
                  <span className="inline-block size-4 border-2 border-line-strong" />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <section className="mt-4">
          <h3 className="text-base">{say("wiringPage.leads")}</h3>
          {parts.length === 0 ? (
            <p className="text-sm">{say("wiringPage.noLeads")}</p>
          ) : (
            <ul className="columns-2 text-sm" data-parts>
              {parts.map((part) => (
                <li key={part.what}>
                  <strong>{part.count}</strong> {part.what}
                </li>
              ))}
            </ul>
          )}
          <p className="mt-1 text-xs text-soft">
            {say("wiringPage.hint", {
              lengthEntered: lengthEntered(setup.house.leadSpareMm),
            })}
          </p>
        </section>
      </article>
    </div>
  );
}
