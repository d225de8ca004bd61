import { SheetNote } from "@/features/model/SheetNote";
import type { Schemas } from "@/api/client";
import { useCoach } from "@/api/fly";
import { useFields, useSettling, useStandingTrims } from "@/api/queries";
import { TURNS } from "@/features/trimming/turns";
import { PathDrawing } from "@/features/trimming/PathDrawing";
import { CONTROL_KEYS, clickWords, controlName } from "@/domain/words";
import { Grounded } from "@/features/model/Grounded";
import { useHasMotor, useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { dayFields, dayLabel } from "./day-fields";
import { Failed } from "@/ui/message";
import { say } from "@/words/generated/flightlog";

/** Characters that fit into a box. */
const SHORT = 80;

/** One page for the field: boxes for what the flight is to find out, to be typed in afterwards. */
export function FieldCardPage() {
  const { standing, draft } = useModel();
  const motor = useHasMotor();
  const sheet = useSettling(standing.id);
  const coach = useCoach(standing.id);
  const fields = useFields();
  const stands = useStandingTrims(standing.id);
  const stand = (phase: string, key: (typeof CONTROL_KEYS)[number]) => {
    const trims = stands.data?.phases.find((one) => one.phase === phase)?.trims;
    return trims === undefined ? "" : clickWords(key, trims[key]);
  };
  const card = coach.data?.cards[coach.data.plan.next];
  const phases = [...draft.present.phases].reverse();
  const open = (phase: string, control: string) =>
    sheet.data?.series.find((one) => one.phase === phase && one.control === control);
  return (
    <div className="mx-auto max-w-[820px] pt-3">
      <div className="no-print mb-3 space-y-3">
        <Failed of={[sheet, coach, fields, stands]} />
        <Button look="main" onClick={() => print()}>
          {say("fieldCardPage.print")}
        </Button>
      </div>
      <article
        className="rounded-card border border-line bg-sheet p-6 print:border-0 print:p-0"
        data-field-card
      >
        <h2 className="text-2xl">{say("fieldCardPage.fieldCard", { name: draft.present.name })}</h2>
        <SheetNote>{say("fieldCardPage.before", { motor })}</SheetNote>
        <div className="mb-3 empty:hidden">
          <Grounded model={standing.id} grounding={standing.grounding} />
        </div>
        {coach.data !== undefined && (
          <p className="mb-3 border-l-4 border-brand px-3 text-lg font-semibold">
            {coach.data.goal}
          </p>
        )}
        <div className="grid grid-cols-2 gap-3 text-sm sm:grid-cols-3 print:grid-cols-3">
          {dayFields(fields.data ?? [])
            .filter((one) => one.max <= SHORT || one.kind === "NUMBER")
            .map(dayLabel)
            .map((one) => (
              <p key={one} className="min-h-10 border border-ink px-2 py-0.5">
                {one}
              </p>
            ))}
        </div>
        <table className="cards-on-phone mt-4 w-full border-collapse text-sm">
          <thead>
            <tr className="text-left">
              <th className="border border-ink p-1">{say("fieldCardPage.phase")}</th>
              {CONTROL_KEYS.map((key) => (
                <th key={key} className="border border-ink p-1">
                  {say("fieldCardPage.clicksAsked", { controlName: controlName(key) })}
                </th>
              ))}
              {motor && <th className="border border-ink p-1">{say("fieldCardPage.throttle")}</th>}
              <th className="border border-ink p-1">{say("fieldCardPage.sure")}</th>
            </tr>
          </thead>
          <tbody>
            {phases.map((phase) => (
              <tr key={phase.id} className="h-12 align-top">
                <td className="border border-ink p-1">
                  <strong>{phase.name}</strong>
                  <span className="block text-xs">{phase.goal}</span>
                </td>
                {CONTROL_KEYS.map((key) => (
                  <td
                    key={key}
                    className="w-28 border border-ink p-1 text-xs text-soft"
                    data-label={controlName(key)}
                  >
                    {stand(phase.id, key)}
                    {open(phase.id, key.toUpperCase())?.state === "SETTLED"
                      ? say("fieldCardPage.settled")
                      : ""}
                  </td>
                ))}
                {motor && (
                  <td
                    className="w-16 border border-ink p-1"
                    data-label={say("fieldCardPage.throttle")}
                  />
                )}
                <td className="w-14 border border-ink p-1" data-label={say("fieldCardPage.sure")} />
              </tr>
            ))}
          </tbody>
        </table>
        {card !== undefined && <TestBox card={card} />}
        <p className="mt-3 h-16 border border-ink px-2 text-sm">{say("fieldCardPage.didLook")}</p>
      </article>
    </div>
  );
}

/** The next trim test: how it is flown, what to watch, and a box for each outcome. */
function TestBox({ card }: { card: Schemas["TestCard"] }) {
  return (
    <section className="mt-4 border border-ink p-2 text-sm" data-card-test={card.test.test}>
      <div className="grid gap-3 sm:grid-cols-[1fr_11rem] print:grid-cols-[1fr_11rem]">
        <div>
          <h3 className="text-base font-semibold">{card.name}</h3>
          <ol className="list-decimal pl-5">
            {card.flown.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          <p>
            <strong>{say("fieldCardPage.watch")}</strong> {card.watch}
          </p>
        </div>
        <PathDrawing test={card.test.test} label={card.name} />
      </div>
      {card.turns.map((turn) => (
        <ul key={turn} className="mt-1 grid gap-x-4 sm:grid-cols-2 print:grid-cols-2">
          {card.turns.length > 1 && <li className="col-span-full font-semibold">{TURNS[turn]}</li>}
          <li>{say("fieldCardPage.asItShouldBe")}</li>
          {card.outcomes.map(({ outcome, words }) => (
            <li key={outcome}>{say("fieldCardPage.strengths", { words })}</li>
          ))}
        </ul>
      ))}
    </section>
  );
}
