import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { dateOf, today } from "@/domain/words";
import { answered, api, ApiError, NO_ANSWER, type Schemas } from "./client";
import { useFieldWork } from "./field-work";
import { send, stillWaits, useLetters, type Letter } from "./outbox";
import { acknowledged, useOnceKey } from "./queries";
import { say } from "@/words/generated/domain";

export type CheckOutline = Schemas["CheckOutline"];
export type CheckRun = Schemas["CheckRun"];
export type CheckStep = Schemas["CheckStep"];
export type CheckAnswer = Schemas["CheckAnswer"];
type Begun = Schemas["Begun"];

const of = (aircraftId: number) => ({ params: { path: { aircraftId } } });

export const useChecks = (id: number) =>
  useQuery({
    queryKey: ["checks", id],
    queryFn: () => answered(api.GET("/api/aircraft/{aircraftId}/checks", of(id))),
  });

const ahead = (id: number) => ["checks-ahead", id];

/** Every check as it would begin now, so that one can be begun where the program is out of reach. */
export const useChecksAhead = (id: number) =>
  useQuery({
    queryKey: ahead(id),
    queryFn: () => answered(api.GET("/api/aircraft/{aircraftId}/checks/ahead", of(id))),
  });

/**
 * How the page names a check: by its number, or by the key it was begun with as long as the program
 * has not given it one.
 */
export type CheckName = string;
export const hasNumber = (name: CheckName) => /^\d{0,15}$/.test(name);

const shown = (aircraftId: number, name: CheckName) => ["check", aircraftId, name];
const chain = (name: CheckName) => `check ${name}`;

/** One check; of one that has no number yet only what this page knows itself. */
export const useCheckRun = (aircraftId: number, name: CheckName) =>
  useQuery({
    queryKey: shown(aircraftId, name),
    enabled: hasNumber(name),
    queryFn: () =>
      answered(
        api.GET("/api/aircraft/{aircraftId}/checks/{runId}", {
          params: { path: { aircraftId, runId: Number(name) } },
        }),
      ),
  });

/** Whether answers of a check wait for the program. */
export const useWaits = (name: CheckName) =>
  useLetters().some((one) => one.chain === chain(name) && stillWaits(one));

const BEGINS = say("checks.begun");

/** The checks of a model that were begun out of reach, and that the program does not know of yet. */
export function useBegunHere(aircraftId: number) {
  const letters = useLetters();
  return letters
    .filter((one) => stillWaits(one) && one.words === BEGINS && one.page === pageOf(aircraftId))
    .map((one: Letter) => ({
      name: one.key,
      begun: one.body as unknown as Begun,
      at: one.at,
      ended: letters.some((other) => other.chain === one.chain && other.path.endsWith("/end")),
    }));
}

/**
 * The last check before a flight that was ended today, as long as the program does not know of its
 * end; empty for none. Whether it found nothing is the program's to judge.
 */
export function useEndedHere(aircraftId: number, runs: readonly CheckOutline[]): CheckName {
  const letters = useLetters().filter(stillWaits);
  const begun = (name: CheckName) =>
    letters.find((one) => one.key === name)?.body as Begun | undefined;
  const numbered = (name: CheckName) => runs.find((one) => String(one.id) === name);
  const names = letters
    .filter((one) => one.path.endsWith("/end") && dateOf(new Date(one.at)) === today())
    .filter((one) => one.page.startsWith(`${pageOf(aircraftId)}/`))
    .map((one) => one.page.slice(pageOf(aircraftId).length + 1))
    .filter((name) => ((begun(name) ?? numbered(name))?.kind ?? "FLIGHT") === "FLIGHT");
  return names.at(-1) ?? "";
}

const pageOf = (aircraftId: number) => `/models/${aircraftId}/fly/checks`;

/** Begins a check, out of reach with the steps fetched before, and answers with its name. */
export function useBeginCheck(aircraftId: number) {
  const client = useQueryClient();
  const once = useOnceKey<Begun>();
  return useMutation({
    networkMode: "always",
    mutationFn: async (body: Begun): Promise<CheckName> => {
      const key = once.key(body);
      const name = (await begunNow(aircraftId, body, key)) ?? (await begunLater(body, key));
      once.answered();
      return name;
    },
    onSuccess: (name) => (hasNumber(name) ? acknowledged(client, undefined, name) : undefined),
  });

  async function begunLater(body: Begun, key: string): Promise<CheckName> {
    const blank = client
      .getQueryData<CheckRun[]>(ahead(aircraftId))
      ?.find((one) => one.kind === body.kind && one.pack === body.pack);
    if (blank === undefined) {
      throw new Error(say("checks.notLoaded"));
    }
    const { answer } = await send(
      {
        words: BEGINS,
        method: "POST",
        path: `/api/aircraft/${aircraftId}/checks?revision=${blank.revisionNumber}`,
        body,
        chain: chain(key),
        shows: shown(aircraftId, key),
        forms: [],
        page: pageOf(aircraftId),
      },
      key,
    );
    if (answer !== undefined) {
      return String((answer as CheckRun).id);
    }
    client.setQueryData<CheckRun>(shown(aircraftId, key), (had) => had ?? blank);
    return key;
  }
}

/** The check's number; none where the program is out of reach. */
async function begunNow(aircraftId: number, body: Begun, key: string) {
  try {
    const run = await answered(
      api.POST("/api/aircraft/{aircraftId}/checks", {
        params: { path: { aircraftId }, header: { "Idempotency-Key": key } },
        body,
      }),
    );
    return String(run.id);
  } catch (error) {
    if (error instanceof ApiError && error.status === NO_ANSWER) {
      return undefined;
    }
    throw error;
  }
}

/** Work on a check, by the name its address ends in. */
const work = (aircraftId: number, name: CheckName, end: string) => ({
  method: "PUT" as const,
  path: `/api/aircraft/${aircraftId}/checks/${hasNumber(name) ? name : `begun/${name}`}/${end}`,
  chain: chain(name),
  forms: [],
  page: `/models/${aircraftId}/fly/checks/${name}`,
});

/** The run with an answer the program has not judged yet: what is next is the first without one. */
function answeredMeanwhile(run: CheckRun, answer: CheckAnswer): CheckRun {
  const answers = [...run.answers.filter((one) => one.step !== answer.step), answer];
  const next = run.steps.findIndex((step) => !answers.some((one) => one.step === step.id));
  return { ...run, answers, judged: { ...run.judged, next } };
}

export const useAnswerStep = (aircraftId: number, name: CheckName) =>
  useFieldWork<CheckAnswer, CheckRun>({
    write: (body) => ({
      words: say("checks.answer"),
      body,
      ...work(aircraftId, name, "answers"),
    }),
    shows: shown(aircraftId, name),
    meanwhile: answeredMeanwhile,
  });

export const useEndCheck = (aircraftId: number, name: CheckName) =>
  useFieldWork<number, CheckRun>({
    write: (version) => ({
      words: say("checks.end"),
      body: { version },
      ...work(aircraftId, name, "end"),
    }),
    shows: shown(aircraftId, name),
  });

/** Ten seconds of the simulated link. */
export const useLinkReport = (body: Schemas["LinkAsked"]) =>
  useQuery({
    queryKey: ["link", body],
    queryFn: () => answered(api.POST("/api/link/range-check", { body })),
  });
