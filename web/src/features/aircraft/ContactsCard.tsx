import { AddButton } from "@/features/model/edits";
import { Plus, X } from "lucide-react";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { DraftChoice, DraftNumber } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { say } from "@/words/generated/aircraft";

/** Surfaces that were seen to touch, and where. */
export function ContactsCard() {
  const { draft, change } = useModel();
  const { contacts, surfaces } = draft.present;
  const options = surfaces.map((one) => [one.id, one.name] as const);
  const set = (value: unknown) => change({ type: "edit", path: ["contacts"], value });
  return (
    <Card title={say("contactsCard.title")}>
      <p className="mb-2 text-sm text-soft">{say("contactsCard.instruction")}</p>
      {contacts.map((_, i) => (
        <div key={i} className="flex items-end gap-2 border-t border-line py-2 first:border-0">
          <div className="grid flex-1 grid-cols-2 gap-2 sm:grid-cols-4">
            <DraftChoice
              path={["contacts", i, "first"]}
              label={say("contactsCard.surface")}
              options={options}
            />
            <DraftNumber path={["contacts", i, "firstMm"]} />
            <DraftChoice
              path={["contacts", i, "second"]}
              label={say("contactsCard.otherSurface")}
              options={options}
            />
            <DraftNumber path={["contacts", i, "secondMm"]} />
          </div>
          <Button
            look="quiet"
            className="!px-2"
            aria-label={say("contactsCard.remove")}
            onClick={() => set(contacts.filter((__, other) => other !== i))}
          >
            <X aria-hidden size={15} />
          </Button>
        </div>
      ))}
      {surfaces.length > 1 && (
        <AddButton part="CONTACT">
          <Plus aria-hidden size={16} /> {say("contactsCard.twoSurfaces")}
        </AddButton>
      )}
    </Card>
  );
}
