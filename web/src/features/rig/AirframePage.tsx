import { Fold } from "@/ui/fold";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { useAddPart, useRemovePart, type PartWish } from "@/api/rig";
import { AircraftViews } from "@/features/bench/AircraftViews";
import { useBench, useBenchStore } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { DraftNumber, DraftText } from "@/features/model/fields";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";
import { SurfaceEditor } from "./SurfaceEditor";

type PartKind = PartWish["kind"];

const KINDS: readonly (readonly [PartKind, string])[] = [
  ["SURFACE", "Surface with its own servo"],
  ["SLAVE_SURFACE", "Surface on a slave rod"],
  ["PANEL", "Wing or tail panel"],
  ["MOTOR", "Motor"],
  ["SIMPLE_CHANNEL", "Simple channel (retracts, wheel brake)"],
];

/** What the model is made of, drawn from its numbers, and everything about it changeable. */
export function AirframePage() {
  const { draft } = useModel();
  const store = useBenchStore();
  const selected = useBench((state) => state.selected);
  const setup = draft.present;
  const index = setup.surfaces.findIndex((surface) => surface.id === selected);
  return (
    <div className="grid gap-4 lg:grid-cols-[270px_minmax(0,1fr)_400px]">
      <div className="space-y-3">
        <Card title="Surfaces" className="!p-3">
          <ul className="space-y-0.5">
            {setup.surfaces.map((surface) => (
              <PartRow
                key={surface.id}
                id={surface.id}
                name={surface.name}
                chosen={surface.id === selected}
                onChoose={() => store.select(surface.id)}
              />
            ))}
          </ul>
        </Card>
        <AddPart />
      </div>
      <div className="min-w-0 space-y-3">
        {index >= 0 && <SurfaceEditor key={selected} index={index} />}
        <Panels />
        <Motors />
      </div>
      <div className="space-y-3 self-start lg:sticky lg:top-3">
        <AircraftViews />
        <Card>
          <DraftText path={["name"]} label="Model" />
          <div className="mt-2">
            <DraftText path={["airframe", "kind"]} />
          </div>
        </Card>
      </div>
    </div>
  );
}

interface PartRowProps {
  id: string;
  name: string;
  chosen?: boolean;
  onChoose?: () => void;
}

function PartRow({ id, name, chosen = false, onChoose }: PartRowProps) {
  const { draft, change } = useModel();
  const remove = useRemovePart();
  const gone = () =>
    remove.mutate(
      { setup: draft.present, id },
      { onSuccess: (setup) => change({ type: "replace", setup }) },
    );
  return (
    <li>
      <div className="flex items-center gap-1">
        <button
          type="button"
          aria-pressed={chosen}
          onClick={onChoose}
          className={`flex-1 rounded-card border px-2 py-1 text-left text-sm ${chosen ? "border-brand bg-brand text-on-brand" : "border-line hover:bg-inset"}`}
        >
          {name}
        </button>
        <Button look="quiet" className="!px-2" aria-label={`Remove ${name}`} onClick={gone}>
          <Trash2 aria-hidden size={15} />
        </Button>
      </div>
      {remove.isError && <Failure error={remove.error} />}
    </li>
  );
}

function AddPart() {
  const { draft, change } = useModel();
  const add = useAddPart();
  const store = useBenchStore();
  const setup = draft.present;
  const [kind, setKind] = useState<PartKind>("SURFACE");
  const [name, setName] = useState("");
  const [side, setSide] = useState("BOTH");
  const [part, setPart] = useState<PartWish["part"]>("HINGED");
  const [at, setAt] = useState("");
  const places = placesFor(setup, kind);
  const place = places.some(([id]) => id === at) ? at : (places[0]?.[0] ?? "");
  const surface = kind === "SURFACE" || kind === "SLAVE_SURFACE";
  const submit = () => {
    const mirrored = side === "BOTH" && kind !== "SIMPLE_CHANNEL";
    const wish = {
      kind,
      name: name.trim(),
      part,
      side: (side === "BOTH" ? "CENTRE" : side) as PartWish["side"],
      mirrored,
      at: place,
    };
    add.mutate(
      { setup, wish },
      {
        onSuccess: (changed) => {
          change({ type: "replace", setup: changed });
          const added = changed.surfaces.at(-1);
          if (surface && added !== undefined) {
            store.select(added.id);
          }
          setName("");
        },
      },
    );
  };
  return (
    <Card title="Add a part" className="!p-3">
      <form
        className="space-y-2"
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <Choice
          label="What"
          value={kind}
          options={KINDS}
          onValue={(one) => setKind(one as PartKind)}
        />
        <TextLine label="Name" required maxLength={60} value={name} onValue={setName} />
        {kind !== "SIMPLE_CHANNEL" && (
          <Choice
            label="Side"
            value={side}
            onValue={setSide}
            options={[
              ["BOTH", "left and right"],
              ["LEFT", "left"],
              ["CENTRE", "middle"],
              ["RIGHT", "right"],
            ]}
          />
        )}
        {surface && (
          <Choice
            label="Kind of surface"
            value={part}
            onValue={(one) => setPart(one as PartWish["part"])}
            options={[
              ["HINGED", "on a hinge line"],
              ["SPOILER", "spoiler plate"],
              ["WHEEL", "steered wheel"],
              ["SWINGING_WING", "swinging wing"],
              ["NOZZLE", "thrust-vectoring nozzle"],
            ]}
          />
        )}
        {places.length > 0 && (
          <Choice
            label={
              kind === "SLAVE_SURFACE" ? "Driven by" : kind === "SURFACE" ? "On panel" : "Follows"
            }
            value={place}
            options={places}
            onValue={setAt}
          />
        )}
        <Button type="submit" look="main" className="w-full" disabled={add.isPending}>
          Add it
        </Button>
        {add.isError && <Failure error={add.error} />}
      </form>
    </Card>
  );
}

type Setup = ReturnType<typeof useModel>["draft"]["present"];

function placesFor(setup: Setup, kind: PartKind): (readonly [string, string])[] {
  switch (kind) {
    case "SURFACE":
      return setup.airframe.panels.map((one) => [one.id, one.name]);
    case "SLAVE_SURFACE":
      return setup.surfaces.map((one) => [one.id, one.name]);
    case "SIMPLE_CHANNEL":
      return setup.transmitter.inputs.map((one) => [one.id, one.name]);
    default:
      return [];
  }
}

function Panels() {
  const { draft } = useModel();
  return (
    <Card title="Panels">
      {draft.present.airframe.panels.map((panel, i) => (
        <Fold
          key={panel.id}
          className="border-t border-line py-1 first:border-0"
          title={<span className="font-medium">{panel.name}</span>}
        >
          <div className="space-y-2 py-2">
            <DraftText path={["airframe", "panels", i, "name"]} />
            {(["root", "tip"] as const).map((end) => (
              <div key={end}>
                <h3 className="text-sm capitalize">{end}</h3>
                <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
                  {(["aftMm", "rightMm", "upMm", "chordMm"] as const).map((field) => (
                    <DraftNumber key={field} path={["airframe", "panels", i, end, field]} />
                  ))}
                </div>
              </div>
            ))}
            <ul>
              <PartRow id={panel.id} name={`Remove ${panel.name}`} />
            </ul>
          </div>
        </Fold>
      ))}
    </Card>
  );
}

function Motors() {
  const { draft } = useModel();
  const motors = draft.present.airframe.motors;
  return motors.length === 0 ? null : (
    <Card title="Motors">
      {motors.map((motor, i) => (
        <div key={motor.id} className="border-t border-line py-2 first:border-0">
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
            <DraftText path={["airframe", "motors", i, "name"]} label="Name" />
            <DraftNumber path={["airframe", "motors", i, "channel"]} />
            <DraftNumber path={["airframe", "motors", i, "propellerDiameterMm"]} />
            <DraftNumber path={["airframe", "motors", i, "aftMm"]} />
            <DraftNumber path={["airframe", "motors", i, "rightMm"]} />
          </div>
          <ul className="mt-1">
            <PartRow id={motor.id} name={motor.name} />
          </ul>
        </div>
      ))}
    </Card>
  );
}
