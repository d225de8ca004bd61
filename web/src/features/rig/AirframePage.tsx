import { useAddPart, usePartChoices, type PartWish } from "@/api/edits";
import { emptied } from "@/domain/words";
import { useState } from "react";
import { AircraftViews } from "@/features/bench/AircraftViews";
import { useBench, useBenchStore } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { DraftText } from "@/features/model/fields";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";
import { Motors, Panels } from "./PanelsCard";
import { PartRow } from "./PartRow";
import { RolesCard } from "./RolesCard";
import { SurfaceEditor } from "./SurfaceEditor";
import {
  PANEL_ROLES,
  SURFACE_ROLES,
  type PanelRole,
  type SurfaceRole,
} from "@/features/model/roles";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/rig";

type PartKind = PartWish["kind"];

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
        <Card title={say("airframePage.surfaces")} className="!p-3">
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
        <RolesCard />
        {index >= 0 && <SurfaceEditor key={selected} index={index} />}
        <Panels />
        <Motors />
      </div>
      <div className="space-y-3 self-start lg:sticky lg:top-3">
        <AircraftViews />
        <Card>
          <DraftText path={["name"]} label={say("airframePage.model")} />
          <div className="mt-2">
            <DraftText path={["airframe", "kind"]} />
          </div>
        </Card>
      </div>
    </div>
  );
}

function AddPart() {
  const { draft } = useModel();
  const worked = useWorked();
  const add = useAddPart();
  const store = useBenchStore();
  const setup = draft.present;
  const [kind, setKind] = useState<PartKind>("SURFACE");
  const [name, setName] = useState("");
  const [side, setSide] = useState("BOTH");
  const [role, setRole] = useState<SurfaceRole>("AILERON");
  const [panel, setPanel] = useState<PanelRole>("WING");
  const [right, setRight] = useState("");
  const [at, setAt] = useState("");
  const choices = usePartChoices(setup).data ?? [];
  const choice = choices.find((one) => one.kind === kind);
  const places = choice?.places ?? [];
  const place = places.some(({ id }) => id === at) ? at : (places[0]?.id ?? "");
  const pair = side === "BOTH" && choice?.sided === true;
  const submit = () => {
    const mirrored = pair;
    const wish = {
      kind,
      name: name.trim(),
      rightName: mirrored ? right.trim() : "",
      role,
      panel,
      side: (side === "BOTH" ? "CENTRE" : side) as PartWish["side"],
      mirrored,
      at: place,
    };
    void worked(add.mutateAsync({ setup, wish })).then((changed) => {
      if (changed === undefined) {
        return;
      }
      const added = changed.surfaces.at(-1);
      if (choice?.surface === true && added !== undefined) {
        store.select(added.id);
      }
      setName(emptied(name));
      setRight(emptied(right));
    });
  };
  return (
    <Card title={say("airframePage.addAPart")} className="!p-3">
      <form
        className="space-y-2"
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <Choice
          label={say("airframePage.what")}
          value={kind}
          options={choices.map((one) => [one.kind, one.words] as const)}
          onValue={(one) => setKind(one as PartKind)}
        />
        <TextLine
          label={pair ? say("airframePage.nameLeftOne") : say("airframePage.name")}
          required
          maxLength={60}
          value={name}
          onValue={setName}
        />
        {pair && (
          <TextLine
            label={say("airframePage.nameRightOne")}
            required
            maxLength={60}
            value={right}
            onValue={setRight}
          />
        )}
        {choice?.sided === true && (
          <Choice
            label={say("airframePage.side")}
            value={side}
            onValue={setSide}
            options={[
              ["BOTH", say("airframePage.leftAndRight")],
              ["LEFT", told("Side", "LEFT")],
              ["CENTRE", told("Side", "CENTRE")],
              ["RIGHT", told("Side", "RIGHT")],
            ]}
          />
        )}
        {choice?.surface === true && (
          <Choice
            label={say("airframePage.purpose")}
            value={role}
            onValue={(one) => setRole(one as SurfaceRole)}
            options={SURFACE_ROLES}
          />
        )}
        {choice?.panel === true && (
          <Choice
            label={say("airframePage.whatItIs")}
            value={panel}
            onValue={(one) => setPanel(one as PanelRole)}
            options={PANEL_ROLES}
          />
        )}
        {places.length > 0 && (
          <Choice
            label={choice?.fitted ?? ""}
            value={place}
            options={places.map(({ id, name }) => [id, name] as const)}
            onValue={setAt}
          />
        )}
        <Button type="submit" look="main" className="w-full" disabled={add.isPending}>
          {say("airframePage.addIt")}
        </Button>
        {add.isError && <Failure error={add.error} />}
      </form>
    </Card>
  );
}
