import { SheetNote } from "@/features/model/SheetNote";
import { lengthEntered, lengthWritten } from "@/domain/reader";
import type { ReactNode } from "react";
import { useMovements, useFeelLines, useProgramSheet, type MovementSheet } from "@/api/program";
import { useStandingTrims } from "@/api/queries";
import { within, CONTROL_KEYS, clickWords, travel, type Control } from "@/domain/words";
import { AircraftViews } from "@/features/bench/AircraftViews";
import { useBench } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { rowName, rows } from "./pairs";
import { Failed } from "@/ui/message";
import { Say, say } from "@/words/generated/program";

/** Everything worth knowing of a model on one page, for its box. */
export function SetupSheetPage() {
  const { standing, draft } = useModel();
  const setup = draft.present;
  const bench = useBench((state) => state.moment);
  const movements = useMovements(setup, bench);
  const sheet = useProgramSheet(setup);
  const trims = useStandingTrims(standing.id);
  const { balance } = setup;
  return (
    <div className="mx-auto max-w-[900px]">
      <div className="no-print mb-3 space-y-3">
        <Failed of={[movements, sheet, trims]} />
        <Button look="main" onClick={() => print()}>
          {say("setupSheetPage.print")}
        </Button>
      </div>
      <article
        className="rounded-card border border-line bg-sheet p-5 text-sm print:border-0 print:p-0 print:text-[10px] print:leading-tight"
        data-setup-sheet
      >
        <h2 className="text-2xl print:text-lg">
          {say("setupSheetPage.setupSheet", { setup: setup.name })}
        </h2>
        <SheetNote>
          {say("setupSheetPage.about", {
            kind: setup.airframe.kind,
            transmitter: setup.transmitter.name,
          })}
        </SheetNote>
        <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2 print:grid-cols-2">
          <div className="print:max-h-72 print:overflow-hidden">
            <AircraftViews compact />
          </div>
          <Part title={say("setupSheetPage.balance")}>
            <p className="figures">
              <Say
                id="setupSheetPage.balancePoint"
                values={{
                  b: <strong>{lengthEntered(balance.targetMm)}</strong>,
                  datum: within(balance.datum),
                  lengthWritten: lengthWritten(balance.foremostMm),
                  lengthEntered: lengthEntered(balance.aftmostMm),
                }}
              />
            </p>
            {balance.packs.map((pack) => (
              <p key={pack.name} className="figures">
                {say("setupSheetPage.packLine", {
                  pack: pack.name,
                  massGrams: pack.massGrams,
                  lengthEntered: lengthEntered(pack.stationMm),
                  lengthEnteredOther: lengthEntered(pack.cgMm),
                })}
              </p>
            ))}
          </Part>
          <AtRest movements={movements.data} />
          <Part title={say("setupSheetPage.trims")}>
            {trims.data?.phases.map((one) => (
              <p key={one.phase} className="figures">
                {setup.phases.find((each) => each.id === one.phase)?.name}:{" "}
                {CONTROL_KEYS.map((key) => clickWords(key, one.trims[key])).join(", ")}
              </p>
            ))}
          </Part>
          {CONTROL_KEYS.map((key) => (
            <Rates key={key} control={key.toUpperCase() as Control} />
          ))}
          <Part title={say("setupSheetPage.switches")}>
            {sheet.data?.switches
              .filter((row) => row.brings !== "" || row.hangs.length > 0)
              .map((row) => (
                <p key={row.input + row.position}>
                  <span className="inline-block first-letter:uppercase">{row.name}</span>
                  {row.position > 0 &&
                    ` ${say("setupSheetPage.at", { position: row.position })}`}:{" "}
                  {row.brings === "" ? row.hangs.join(", ") : row.brings}
                </p>
              ))}
          </Part>
          {setup.mixes.length > 0 && <Mixes movements={movements.data} />}
        </div>
      </article>
    </div>
  );
}

interface PartProps {
  title: string;
  wide?: boolean;
  children: ReactNode;
}

function Part({ title, wide = false, children }: PartProps) {
  return (
    <section className={`break-inside-avoid ${wide ? "col-span-full" : ""}`}>
      <h3 className="border-b border-ink text-base print:text-xs">{title}</h3>
      {children}
    </section>
  );
}

interface MovementsProps {
  movements: MovementSheet | undefined;
}

/** Where every surface stands in every phase, with the sticks at rest. */
function AtRest({ movements }: MovementsProps) {
  const setup = useModel().draft.present;
  return (
    <Part wide title={say("setupSheetPage.phases")}>
      <table className="figures cards-on-phone w-full">
        <thead>
          <tr className="border-b border-ink text-left">
            <th>
              <span className="sr-only">{say("setupSheetPage.surface")}</span>
            </th>
            {setup.phases.map((phase) => (
              <th key={phase.id} className="px-1 align-bottom">
                {phase.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows(setup.surfaces).map((row) => (
            <tr key={row.first.id} className="border-b border-line">
              <th scope="row" className="text-left font-normal">
                {rowName(row)}
              </th>
              {movements?.phases.map((phase) => (
                <td
                  key={phase.phase}
                  className="px-1 whitespace-nowrap"
                  data-label={setup.phases.find((one) => one.id === phase.phase)?.name}
                >
                  {[row.first, row.second]
                    .filter((one) => one !== undefined)
                    .map((one) => {
                      const stand = phase.surfaces.find((each) => each.surface === one.id);
                      return stand === undefined ? "–" : travel(stand.restMm, one);
                    })
                    .filter((words, i, all) => all.indexOf(words) === i)
                    .join(" / ")}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Part>
  );
}

/** What every mix adds at the ends of what it comes from. */
function Mixes({ movements }: MovementsProps) {
  const setup = useModel().draft.present;
  return (
    <Part title={say("setupSheetPage.mixes")}>
      {setup.mixes.map((mix) => {
        const reach = movements?.mixes.find((one) => one.mix === mix.id);
        return (
          <p key={mix.id} className="figures">
            <strong>{mix.name}</strong>{" "}
            {reach?.ends
              .map(
                (end) =>
                  `${end.words}: ${end.movements
                    .map((one) => {
                      const surface = setup.surfaces.find((each) => each.id === one.surface);
                      return surface === undefined
                        ? ""
                        : `${surface.name} ${travel(one.addsMm, surface)}`;
                    })
                    .join(", ")}`,
              )
              .join("; ")}
          </p>
        );
      })}
    </Part>
  );
}

/** How far one stick brings what it moves most, in every position. */
function Rates({ control }: { control: Control }) {
  const { draft } = useModel();
  const setup = draft.present;
  const bench = useBench((state) => state.moment);
  const feel = useFeelLines(setup, bench, control, "");
  const surface = setup.surfaces.find((one) => one.id === feel.data?.surface);
  const key = control.toLowerCase() as (typeof CONTROL_KEYS)[number];
  if (surface === undefined) {
    return null;
  }
  return (
    <Part
      title={say("setupSheetPage.fullStick", {
        control,
        surface: within(surface.name),
      })}
    >
      {feel.data?.lines.map((line) => {
        const set = setup.feelSets.find((one) => one.id === line.set);
        const response = (set?.feel ?? setup.feel)[key];
        return (
          <p key={line.set + line.phases.join()} className="figures">
            <Say
              id="setupSheetPage.expo"
              values={{
                set: set?.name ?? say("setupSheetPage.standardRates"),
                phases: line.phases
                  .map((id) => setup.phases.find((one) => one.id === id)?.name ?? id)
                  .join(", "),
                b: (
                  <strong>
                    {travel(line.plus.mm, surface)} / {travel(line.minus.mm, surface)}
                  </strong>
                ),
                expoPositivePercent: response.expoPositivePercent,
                expoNegativePercent: response.expoNegativePercent,
              }}
            />
          </p>
        );
      })}
    </Part>
  );
}
