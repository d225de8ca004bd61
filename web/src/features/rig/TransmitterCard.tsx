import { capital } from "@/domain/words";
import { exchanged } from "@/domain/lists";
import { AddButton } from "@/features/model/edits";
import { ArrowLeft, ArrowRight, Plus, X } from "lucide-react";
import { DraftChoice, DraftNumber, DraftText } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { transmitterNumbers } from "./transmitter";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/rig";

const T = ["transmitter"] as const;

/** The transmitter's profile: its conventions, its channel order, its levers and switches. */
export function TransmitterCard() {
  const { draft, change } = useModel();
  const { channelOrder, inputs } = draft.present.transmitter;
  const set = (field: string, value: unknown) =>
    change({ type: "edit", path: [...T, field], value });
  const swap = (i: number) => set("channelOrder", exchanged(channelOrder, i));
  return (
    <Card title={say("transmitterCard.transmitter")}>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <DraftText path={[...T, "name"]} />
        <DraftNumber path={[...T, "stickMode"]} />
        <DraftChoice
          path={[...T, "subTrimMode"]}
          label={say("transmitterCard.subTrim")}
          options={[
            ["SHIFT", capital(told("SubTrimMode", "SHIFT"))],
            ["FIXED_ENDS", capital(told("SubTrimMode", "FIXED_ENDS"))],
          ]}
        />
        {transmitterNumbers.map((field) => (
          <DraftNumber key={field} path={[...T, field]} />
        ))}
      </div>
      <h3 className="mt-3 text-sm font-semibold">{say("transmitterCard.order")}</h3>
      <ol className="mt-1 flex flex-wrap items-center gap-1">
        {channelOrder.map((one, i) => (
          <li key={one} className="flex items-center gap-1">
            <span className="rounded-card border border-line-strong px-2 py-1 capitalize">
              {told("StickFunction", one)}
            </span>
            {i + 1 < channelOrder.length && (
              <Button
                look="quiet"
                className="!px-1"
                aria-label={say("transmitterCard.exchangeAnd", {
                  one: told("StickFunction", one),
                  other: told("StickFunction", channelOrder[i + 1] ?? one),
                })}
                onClick={() => swap(i)}
              >
                <ArrowLeft aria-hidden size={13} />
                <ArrowRight aria-hidden size={13} className="-ml-1.5" />
              </Button>
            )}
          </li>
        ))}
      </ol>
      <h3 className="mt-3 text-sm font-semibold">{say("transmitterCard.inputs")}</h3>
      <ul className="mt-1 grid gap-2 sm:grid-cols-2">
        {inputs.map((input, i) => (
          <li key={input.id} className="flex items-end gap-2">
            <div className="flex-1">
              <DraftText
                path={[...T, "inputs", i, "name"]}
                label={
                  input.kind === "LEVER"
                    ? say("transmitterCard.lever")
                    : say("transmitterCard.switch")
                }
              />
            </div>
            {input.kind === "SWITCH" && (
              <div className="w-24">
                <DraftChoice
                  path={[...T, "inputs", i, "positions"]}
                  label={say("transmitterCard.positions")}
                  options={[
                    [2, "2"],
                    [3, "3"],
                    [4, "4"],
                    [5, "5"],
                    [6, "6"],
                  ]}
                />
              </div>
            )}
            <Button
              look="quiet"
              className="!px-2"
              aria-label={say("transmitterCard.remove", { input: input.name })}
              onClick={() =>
                set(
                  "inputs",
                  inputs.filter((_, other) => other !== i),
                )
              }
            >
              <X aria-hidden size={15} />
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex gap-2">
        <AddButton part="LEVER">
          <Plus aria-hidden size={16} /> {say("transmitterCard.lever")}
        </AddButton>
        <AddButton part="SWITCH">
          <Plus aria-hidden size={16} /> {say("transmitterCard.switch")}
        </AddButton>
      </div>
    </Card>
  );
}
