import { useAddPart, usePartChoices, type PartWish } from "@/api/edits";
import { useForm, useWatch } from "react-hook-form";
import { AircraftViews } from "@/features/bench/AircraftViews";
import { useBench, useBenchStore } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { DraftText } from "@/features/model/fields";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { emptySent, Form, LineField, PickField } from "@/ui/form";
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

/** A part before anything is said of it. */
const NEW_PART = {
  kind: "SURFACE" as PartWish["kind"],
  name: "",
  right: "",
  side: "BOTH",
  role: "AILERON" as SurfaceRole,
  panel: "WING" as PanelRole,
  at: "",
};

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
  const form = useForm({ defaultValues: NEW_PART });
  const { control } = form;
  const { kind, side, at } = useWatch({ control });
  const choices = usePartChoices(setup).data ?? [];
  const choice = choices.find((one) => one.kind === kind);
  const places = choice?.places ?? [];
  const place = places.find(({ id }) => id === at)?.id ?? places[0]?.id ?? "";
  const mirrored = side === "BOTH" && choice?.sided === true;
  const submit = (filled: typeof NEW_PART) => {
    const wish = {
      kind: filled.kind,
      name: filled.name.trim(),
      rightName: mirrored ? filled.right.trim() : "",
      role: filled.role,
      panel: filled.panel,
      side: (filled.side === "BOTH" ? "CENTRE" : filled.side) as PartWish["side"],
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
      emptySent(form, filled, "name", "right");
    });
  };
  return (
    <Card title={say("airframePage.title")} className="!p-3">
      <Form form={form} className="space-y-2" send={submit} by={add}>
        <PickField
          control={control}
          name="kind"
          label={say("airframePage.what")}
          options={choices.map((one) => [one.kind, one.words] as const)}
        />
        <LineField
          control={control}
          name="name"
          label={mirrored ? say("airframePage.nameLeft") : say("airframePage.name")}
          required
          maxLength={60}
        />
        {mirrored && (
          <LineField
            control={control}
            name="right"
            label={say("airframePage.nameRight")}
            required
            maxLength={60}
          />
        )}
        {choice?.sided === true && (
          <PickField
            control={control}
            name="side"
            label={say("airframePage.side")}
            options={[
              ["BOTH", say("airframePage.bothSides")],
              ["LEFT", told("Side", "LEFT")],
              ["CENTRE", told("Side", "CENTRE")],
              ["RIGHT", told("Side", "RIGHT")],
            ]}
          />
        )}
        {choice?.surface === true && (
          <PickField
            control={control}
            name="role"
            label={say("airframePage.purpose")}
            options={SURFACE_ROLES}
          />
        )}
        {choice?.panel === true && (
          <PickField
            control={control}
            name="panel"
            label={say("airframePage.panelRole")}
            options={PANEL_ROLES}
          />
        )}
        {places.length > 0 && (
          <Choice
            label={choice?.fitted ?? ""}
            value={place}
            options={places.map(({ id, name }) => [id, name] as const)}
            onValue={(id) => form.setValue("at", id)}
          />
        )}
        <Button type="submit" look="main" className="w-full" disabled={add.isPending}>
          {say("airframePage.addIt")}
        </Button>
      </Form>
    </Card>
  );
}
