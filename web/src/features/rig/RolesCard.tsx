import { Check } from "lucide-react";
import { DraftChoice } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { PANEL_ROLES, PHASE_ROLES, SURFACE_ROLES } from "@/features/model/roles";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { say } from "@/words/generated/rig";

/** What was taken from the names of an older document, to be looked at once. */
export function RolesCard() {
  const { draft, change } = useModel();
  const { airframe, surfaces, phases, notebook } = draft.present;
  if (!notebook.rolesFromNames) {
    return null;
  }
  const named = (id: string) =>
    [...surfaces, ...airframe.panels].find((one) => one.id === id)?.name ?? "";
  return (
    <Card title={say("rolesCard.title")} data-roles>
      <p className="mb-2">{say("rolesCard.guessed")}</p>
      <div className="grid gap-x-4 gap-y-2 sm:grid-cols-2 xl:grid-cols-3">
        {surfaces.map((one, i) => (
          <div key={one.id}>
            <DraftChoice path={["surfaces", i, "role"]} label={one.name} options={SURFACE_ROLES} />
            {one.pair !== "" && (
              <p className="text-xs text-soft">
                {say("rolesCard.pairOf", { named: named(one.pair) })}
              </p>
            )}
          </div>
        ))}
        {airframe.panels.map((one, i) => (
          <div key={one.id}>
            <DraftChoice
              path={["airframe", "panels", i, "role"]}
              label={one.name}
              options={PANEL_ROLES}
            />
            {one.pair !== "" && (
              <p className="text-xs text-soft">
                {say("rolesCard.pairOf", { named: named(one.pair) })}
              </p>
            )}
          </div>
        ))}
        {phases.map((one, i) => (
          <DraftChoice
            key={one.id}
            path={["phases", i, "role"]}
            label={say("rolesCard.phase", { name: one.name })}
            options={PHASE_ROLES}
          />
        ))}
      </div>
      <Button
        look="main"
        className="mt-3"
        onClick={() => change({ type: "edit", path: ["notebook", "rolesFromNames"], value: false })}
      >
        <Check aria-hidden size={16} /> {say("rolesCard.confirm")}
      </Button>
    </Card>
  );
}
