import { figure, inLength, lengthSign } from "@/domain/reader";
import { useMutation } from "@tanstack/react-query";
import { Circle, Download, FolderOpen, Play, Square } from "lucide-react";
import { useState } from "react";
import { answered, api, type Schemas } from "@/api/client";
import { useRevision, useRevisions, type Setup } from "@/api/queries";
import { within, signedLength } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { PhaseNote } from "@/features/bench/PhaseNote";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Chart } from "@/ui/chart";
import { Failure } from "@/ui/message";
import { AircraftViews } from "./AircraftViews";
import { StickPads } from "./StickPads";
import { useBench, useBenchStore, type Scene } from "./store";
import { say } from "@/words/generated/bench";

type Compared = Schemas["Compared"];

/** Movements recorded, played back, kept as a file, and used to compare two revisions. */
export function ScenesPage() {
  const { standing, draft } = useModel();
  const store = useBenchStore();
  const recording = useBench((state) => state.recording);
  const [scene, setScene] = useState<Scene>();
  const [cursor, setCursor] = useState<number>();
  const [problem, setProblem] = useState("");
  const [other, setOther] = useState("");
  const tour = useMutation({
    mutationFn: (setup: Setup) => answered(api.POST("/api/bench/scenes/tour", { body: { setup } })),
    onSuccess: setScene,
  });
  const compare = useMutation({
    mutationFn: (body: Schemas["CompareAsked"]) =>
      answered(api.POST("/api/bench/scenes/compare", { body })),
  });
  const before = useRevision(standing.id, other === "" ? undefined : Number(other)).data?.setup;
  const open = async (file: File | undefined) => {
    try {
      const read = JSON.parse((await file?.text()) ?? "") as Scene;
      if (!Array.isArray(read.steps) || typeof read.seconds !== "number") {
        throw new Error();
      }
      setScene(read);
      setProblem("");
    } catch {
      setProblem(say("scenesPage.notScene"));
    }
  };
  const save = () => {
    const link = document.createElement("a");
    link.href = URL.createObjectURL(
      new Blob([JSON.stringify(scene, null, 2)], { type: "application/json" }),
    );
    link.download = `${draft.present.name.toLowerCase()}-${scene?.name.toLowerCase() ?? ""}.scene.json`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_420px]">
      <div className="min-w-0 space-y-3">
        <Card title={say("scenesPage.aScene")}>
          <div className="flex flex-wrap items-end gap-2">
            {recording ? (
              <Button look="warn" onClick={() => setScene(store.stopRecording())}>
                <Square aria-hidden size={15} /> {say("scenesPage.stopRecording")}
              </Button>
            ) : (
              <Button onClick={() => store.record()}>
                <Circle aria-hidden size={15} className="fill-grounded text-grounded" />{" "}
                {say("scenesPage.record")}
              </Button>
            )}
            <Button onClick={() => tour.mutate(draft.present)}>
              {say("scenesPage.everythingOnce")}
            </Button>
            <label className="flex h-9 cursor-pointer items-center gap-2 rounded-card border border-line-strong px-3 font-medium focus-within:outline-2">
              <FolderOpen aria-hidden size={15} /> {say("scenesPage.openAFile")}
              <input
                type="file"
                accept=".json"
                className="sr-only"
                onChange={(event) => void open(event.target.files?.[0])}
              />
            </label>
            {scene !== undefined && !recording && (
              <>
                <Button onClick={save}>
                  <Download aria-hidden size={15} /> {say("scenesPage.saveFile")}
                </Button>
                <Button look="main" onClick={() => store.play(scene, setCursor)}>
                  <Play aria-hidden size={15} /> {say("scenesPage.play")}
                </Button>
              </>
            )}
          </div>
          {problem !== "" && (
            <p role="alert" className="mt-2 text-grounded">
              {problem}
            </p>
          )}
          {recording && <p className="mt-2 font-medium">{say("scenesPage.movementsAsked")}</p>}
          {scene !== undefined && (
            <CompareWith
              scene={scene}
              number={other}
              onNumber={setOther}
              onCompare={before && (() => compare.mutate({ before, after: draft.present, scene }))}
            />
          )}
          {compare.isError && <Failure error={compare.error} />}
        </Card>
        {compare.data !== undefined && (
          <Differences compared={compare.data} number={other} cursor={cursor} />
        )}
        <AircraftViews />
      </div>
      <Card label={say("scenesPage.sticks")} className="self-start">
        <PhaseNote />
        <StickPads mode={draft.present.transmitter.stickMode} />
      </Card>
    </div>
  );
}

interface CompareProps {
  scene: Scene;
  /** The revision to compare with; empty for none chosen. */
  number: string;
  onNumber: (number: string) => void;
  /** Missing until that revision is here. */
  onCompare: (() => void) | undefined;
}

/** What a scene is, and which revision it is played on besides. */
function CompareWith({ scene, number, onNumber, onCompare }: CompareProps) {
  const revisions = useRevisions(useModel().standing.id);
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3" data-scene={scene.steps.length}>
      <p className="w-full text-sm text-soft">
        {say("scenesPage.described", {
          scene: scene.name,
          figure: figure(scene.seconds, 1),
          steps: scene.steps.length,
        })}
      </p>
      <Choice
        label={say("scenesPage.compareWith")}
        value={number}
        onValue={onNumber}
        options={[
          ["", say("scenesPage.chooseRevision")],
          ...(revisions.items ?? []).map(
            (one) =>
              [String(one.number), say("scenesPage.revision", { number: one.number })] as const,
          ),
        ]}
      />
      <Button disabled={onCompare === undefined} onClick={onCompare}>
        {say("scenesPage.compare")}
      </Button>
    </div>
  );
}

interface DifferencesProps {
  compared: Compared;
  number: string;
  cursor: number | undefined;
}

function Differences({ compared, number, cursor }: DifferencesProps) {
  const [chosen, setChosen] = useState(compared.differences[0]?.surface ?? "");
  const known = compared.differences.find((one) => one.surface === chosen);
  const surface = known?.surface ?? compared.differences[0]?.surface;
  const marked = known ?? compared.differences[0];
  const track = (of: "before" | "after") =>
    compared[of].tracks.find((one) => one.surface === surface)?.mm.map(inLength) ?? [];
  return (
    <Card title={say("scenesPage.againstRevision", { number })}>
      {[...compared.onlyBefore, ...compared.onlyAfter].length > 0 && (
        <p className="mb-2 text-sm">
          {say("scenesPage.inOneOnly", {
            list: [...compared.onlyBefore, ...compared.onlyAfter].join(", "),
          })}
        </p>
      )}
      {marked === undefined ? (
        <p className="font-medium text-done">{say("scenesPage.nothingDiffers")}</p>
      ) : (
        <>
          <ul className="mb-2 flex flex-wrap gap-1.5">
            {compared.differences.map((one) => (
              <li key={one.surface}>
                <Button
                  look={one.surface === surface ? "main" : "plain"}
                  className="!min-h-8 text-sm"
                  onClick={() => setChosen(one.surface)}
                >
                  {say("scenesPage.atS", {
                    name: one.name,
                    signedLength: signedLength(one.mostMm, 1),
                    lengthSign: lengthSign(),
                    figure: figure(one.atSeconds, 1),
                  })}
                </Button>
              </li>
            ))}
          </ul>
          <Chart
            label={say("scenesPage.comparedPicture", { marked: marked.name })}
            xLabel={say("scenesPage.comparedAxis")}
            yLabel={say("scenesPage.atThe", {
              lengthSign: lengthSign(),
              marked: within(marked.name),
            })}
            marks={marked.stretches.map((one) => ({ from: one.fromSeconds, to: one.toSeconds }))}
            at={cursor === undefined ? undefined : { x: cursor }}
            lines={[
              {
                name: say("scenesPage.revision", { number }),
                xs: compared.before.seconds,
                ys: track("before"),
              },
              { name: say("scenesPage.asNow"), xs: compared.after.seconds, ys: track("after") },
            ]}
          />
        </>
      )}
    </Card>
  );
}
