import { percent } from "@/domain/words";
import { Fold } from "@/ui/fold";
import { useFlicks } from "@/api/program";
import { useBench } from "./store";
import { say } from "@/words/generated/bench";

/** The phase that is on, as the switches on the bench stand. */
export function PhaseNote({ compact = false }: { compact?: boolean }) {
  const phase = useBench((state) => state.frame?.phase);
  const name = useBench((state) => state.setup?.phases.find((one) => one.id === phase)?.name ?? "");
  const fadedIn = useBench((state) => state.frame?.bench.fadedIn ?? 1);
  const count = useBench((state) => state.setup?.phases.length ?? 0);
  const warnings = useBench((state) => state.frame?.bench.warnings) ?? [];
  return (
    <>
      {warnings.length > 0 && (
        <p role="alert" className="mb-2 border-l-4 border-grounded bg-inset px-2 py-1 text-sm">
          {warnings.join(" ")}
        </p>
      )}
      {count > 1 && (
        <div
          className={compact ? "mb-1 flex items-start justify-between text-sm" : "mb-2 text-center"}
        >
          <p className={compact ? "whitespace-nowrap" : "mb-1 text-center"} data-phase={phase}>
            {fadedIn < 1
              ? say("phaseNote.fadingIn", { percent: percent(fadedIn) })
              : say("phaseNote.phase")}{" "}
            <strong className="rounded-full bg-brand px-2.5 py-0.5 text-on-brand">{name}</strong>
          </p>
          <Fold
            className="text-left text-sm"
            title={<span className="text-soft">{say("phaseNote.positions")}</span>}
          >
            <Flicks />
          </Fold>
        </div>
      )}
    </>
  );
}

/** Asked for only while it is open: with the sticks as they stand. */
function Flicks() {
  const setup = useBench((state) => state.setup);
  const moment = useBench((state) => state.moment);
  const flicks = useFlicks(setup, moment);
  return (
    <ul className="list-disc pl-5" data-flicks>
      {flicks.data?.map((one) => (
        <li key={one.phase}>{one.words}</li>
      ))}
    </ul>
  );
}
