import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import type { Schemas } from "./client";
import { onAnswer, pump, send, type Written } from "./outbox";
import { acknowledged, openOrder, useOnceKey, type OpenAdjustment } from "./queries";
import { onReturn } from "./reach";
import { say } from "@/words/generated/domain";

/** Work that is done where the program may be out of reach. */
interface FieldWork<V, T> {
  write: (value: V) => Omit<Written, "shows">;
  /** What its answer shows. */
  shows?: readonly unknown[];
  /** What the page shows until there is an answer. */
  meanwhile?: (before: T, value: V) => T;
}

/**
 * A change that waits in this browser while the program is out of reach; its answer is then not there
 * yet, and the page goes on with what it knows.
 */
export function useFieldWork<V, T>({ write, shows = [], meanwhile }: FieldWork<V, T>) {
  const client = useQueryClient();
  const once = useOnceKey<V>();
  return useMutation({
    // It is written down and answered whether the browser believes in a network or not.
    networkMode: "always",
    mutationFn: async (value: V) => {
      const outcome = await send({ ...write(value), shows }, once.key(value));
      once.answered();
      return outcome.answer as T | undefined;
    },
    onSuccess: async (answer, value) => {
      if (answer !== undefined) {
        await acknowledged(client, shows.length === 0 ? undefined : shows, answer);
        return;
      }
      await client.cancelQueries({ queryKey: shows, exact: true });
      const before = client.getQueryData<T>(shows);
      if (before !== undefined && meanwhile !== undefined) {
        client.setQueryData(shows, meanwhile(before, value));
      }
    },
  });
}

/** Answers to what waited come onto the page, and everything is asked for anew. */
export function usePost() {
  const client = useQueryClient();
  useEffect(() => {
    const stop = onAnswer((letter, answer) => {
      const shows = letter.shows.length === 0 ? undefined : letter.shows;
      void acknowledged(client, shows, answer);
    });
    const forget = onReturn(() => {
      pump();
      void client.invalidateQueries();
    });
    pump();
    return () => {
      stop();
      forget();
    };
  }, [client]);
}

/** A piece of the work on a model, by the name its address ends in. */
function useWork<V extends { version: number }>(
  id: number,
  words: string,
  end: string,
  meanwhile: (open: OpenAdjustment, value: V) => OpenAdjustment,
) {
  return useFieldWork<V, OpenAdjustment>({
    write: (body) => ({
      words,
      method: "PUT",
      path: `/api/aircraft/${id}/adjustment${end}`,
      body,
      chain: `adjustment ${id}`,
      forms: [],
      page: `/models/${id}/adjust`,
    }),
    shows: openOrder(id),
    meanwhile,
  });
}

export const useGauge = (id: number) =>
  useWork<Schemas["Measured"]>(id, say("fieldWork.gaugeReading"), "/gauge", (open) => open);

export const useVerify = (id: number) =>
  useWork<Schemas["Seeing"]>(
    id,
    say("fieldWork.surfaceChecked"),
    "/verified",
    (open, { verified }) => ({
      ...open,
      verification: open.verification.map((one) =>
        one.surface === verified.surface && one.by === verified.by
          ? { ...one, measured: verified, words: "" }
          : one,
      ),
    }),
  );

export const useMark = (id: number) =>
  useWork<Schemas["Marking"]>(id, say("fieldWork.turnPushrod"), "/mark", (open, { mark }) => ({
    ...open,
    // What bars the check of a rod is that nobody has said what came of turning it.
    bars: open.bars.map((bar, i) => {
      const step = open.plan.steps[i];
      return step?.kind === "CHECK" && step.surface === mark.surface ? "" : bar;
    }),
    marks: [
      ...open.marks.filter((one) => one.surface !== mark.surface),
      { surface: mark.surface, steps: mark.steps, offMm: mark.way === "SAME" ? 0 : mark.offMm },
    ],
  }));

export const useMoveAdjustment = (id: number) =>
  useWork<Schemas["Progress"]>(id, say("fieldWork.stepWork"), "", (open, { step }) => ({
    ...open,
    step,
  }));
