import { useBench } from "@/features/bench/store";

/** The phase that is on, as the switches on the bench stand. */
export function PhaseNote() {
  const phase = useBench((state) => state.frame?.phase);
  const name = useBench((state) => state.setup?.phases.find((one) => one.id === phase)?.name ?? "");
  const fadedIn = useBench((state) => state.frame?.bench.fadedIn ?? 1);
  const count = useBench((state) => state.setup?.phases.length ?? 0);
  return count < 2 ? null : (
    <p className="mb-2 text-center" data-phase={phase}>
      {fadedIn < 1 ? `Fading in, ${Math.round(100 * fadedIn)} %:` : "Phase"}{" "}
      <strong className="rounded-full bg-brand px-2.5 py-0.5 text-on-brand">{name}</strong>
    </p>
  );
}
