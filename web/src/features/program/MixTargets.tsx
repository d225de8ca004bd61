import type { ReactNode } from "react";
import type { Mix, MixEffect } from "@/api/program";
import { travel } from "@/domain/words";
import { useBenchStore } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { MovementField } from "./MovementField";
import { rowName, rows } from "./pairs";
import { say } from "@/words/generated/program";

/** Where the figures below are told for. */
export function Where({ reach }: { reach: MixEffect | undefined }) {
  const { draft } = useModel();
  const store = useBenchStore();
  if (reach === undefined) {
    return null;
  }
  const phase = draft.present.phases.find((one) => one.id === reach.phase)?.name;
  const moment = reach.ends[0]?.moment;
  return phase === undefined ? (
    <p className="text-sm font-medium text-grounded">{say("mixTargets.neverActs")}</p>
  ) : (
    <p className="text-sm text-soft">
      {reach.here
        ? say("mixTargets.bench", { phase })
        : say("mixTargets.inWith", { phase, moved: reach.moved.join(", ") })}{" "}
      {!reach.here && moment !== undefined && (
        <button
          type="button"
          className="underline underline-offset-2"
          onClick={() => store.move({ ...moment, roll: 0, pitch: 0, yaw: 0 })}
        >
          {say("mixTargets.setBench")}
        </button>
      )}
    </p>
  );
}

interface EndsProps {
  mix: Mix;
  target: string;
  pair: boolean;
  reach: MixEffect | undefined;
  /** What stands here where the target is no surface. */
  children: ReactNode;
}

/** What a mix adds to a surface at each end of its source. */
export function TargetEnds({ mix, target, pair, reach, children }: EndsProps) {
  const { draft } = useModel();
  const surface = draft.present.surfaces.find((one) => one.id === target);
  if (surface === undefined || reach === undefined || reach.ends.length === 0) {
    return <>{children}</>;
  }
  // At rest a lever gives nothing, unless a curve says so.
  const ends = reach.ends.filter(
    (one) => one.plusSide || mix.source !== "INPUT" || mix.curve.length > 0,
  );
  return (
    <>
      {ends.map((end) => {
        const moved = end.movements.find((one) => one.surface === target);
        return (
          <div
            key={end.words}
            data-reach={target}
            data-end={end.words}
            data-mix={mix.id}
            data-moment={JSON.stringify(end.moment)}
          >
            <MovementField
              label={say("mixTargets.addsAt", { end: end.words })}
              wish={{
                kind: "MIX",
                subject: mix.id,
                surface: target,
                plusSide: end.plusSide,
                pair,
                bothSides: false,
              }}
              shown={{
                percent: moved?.addsPercent ?? 0,
                mm: moved?.addsMm,
                degrees: moved?.addsDegrees,
              }}
            />
            <p className="figures text-xs text-soft">
              {say("mixTargets.total", { travel: travel(moved?.standsMm ?? 0, surface) })}
            </p>
          </div>
        );
      })}
    </>
  );
}

type Surfaces = ReturnType<typeof useModel>["draft"]["present"]["surfaces"];

/** The targets of a mix, a pair that gets the same told once. */
export function targetRows(
  mix: Mix,
  surfaces: Surfaces,
  reach: MixEffect | undefined,
  apart: boolean,
) {
  return mix.targets.flatMap((target, at) => {
    const surface = surfaces.find((one) => one.id === target.target);
    const other = mix.targets.findIndex((one) => one.target === surface?.pair);
    const twin = other < 0 ? undefined : mix.targets[other];
    const alike =
      !apart &&
      surface !== undefined &&
      twin !== undefined &&
      reach !== undefined &&
      reach.ends.length > 0 &&
      reach.ends.every((end) =>
        end.movements.some((one) => one.surface === surface.id && one.asPair),
      );
    if (alike && other < at) {
      return [];
    }
    const second = surfaces.find((one) => one.id === twin?.target);
    const name =
      alike && second !== undefined
        ? rowName({ first: surface, second })
        : (surface?.name ?? target.target);
    return [{ at, name, pair: alike }];
  });
}

/** The next surface that is no target yet, with the one that mirrors it. */
export function nextTargets(mix: Mix, setup: ReturnType<typeof useModel>["draft"]["present"]) {
  const free = rows(setup.surfaces).find(
    ({ first }) => !mix.targets.some((one) => one.target === first.id),
  );
  const fresh = (target: string) => ({ target, factor: 0, factorMinus: 0 });
  return free === undefined
    ? [fresh(setup.surfaces[0]?.id ?? "")]
    : [fresh(free.first.id), ...(free.second === undefined ? [] : [fresh(free.second.id)])];
}
