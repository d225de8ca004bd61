import { AddButton } from "@/features/model/edits";
import { Check } from "@/ui/check";
import { Plus, X } from "lucide-react";
import { DraftCheck, DraftChoice, DraftNumber, DraftText } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/rig";

const R = ["wiring", "receiver"] as const;

/** The receiver's profile, its sockets, the leads, and what sits in between. */
export function ReceiverCard() {
  return (
    <>
      <Profile />
      <Leads />
      <Between />
    </>
  );
}

function useSetting() {
  const { change } = useModel();
  return (path: readonly (string | number)[], value: unknown) =>
    change({ type: "edit", path, value });
}

function Profile() {
  const { receiver } = useModel().draft.present.wiring;
  const set = useSetting();
  const sockets = receiver.sockets;
  return (
    <Card title={say("receiverCard.receiver")}>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <DraftText path={[...R, "name"]} />
        <DraftChoice
          path={[...R, "failsafe"]}
          label={say("receiverCard.failsafeHolds")}
          options={[
            ["EVERY_CHANNEL", told("Failsafe", "EVERY_CHANNEL")],
            ["ONE_CHANNEL", told("Failsafe", "ONE_CHANNEL")],
            ["NONE", told("Failsafe", "NONE")],
          ]}
        />
        {receiver.failsafe === "ONE_CHANNEL" && <DraftNumber path={[...R, "failsafeChannel"]} />}
        <div className="self-center">
          <DraftCheck path={[...R, "anyChannel"]} label={say("receiverCard.anyChannel")} />
        </div>
      </div>
      <ul className="mt-3 grid grid-cols-1 gap-2 sm:grid-cols-2">
        {sockets.map((socket, i) => (
          <li key={i} className="flex items-end gap-2 rounded-card border border-line p-2">
            <div className="w-20">
              <DraftNumber path={[...R, "sockets", i, "number"]} />
            </div>
            <div className="w-20">
              <DraftNumber path={[...R, "sockets", i, "channel"]} />
            </div>
            <div className="flex-1 pb-[1.05rem]">
              <DraftChoice
                path={[...R, "sockets", i, "output"]}
                label={say("receiverCard.putsOut")}
                options={[
                  ["SERVO", told("SocketOutput", "SERVO")],
                  ["BUS", told("SocketOutput", "BUS")],
                  ["TELEMETRY", told("SocketOutput", "TELEMETRY")],
                ]}
              />
            </div>
            <Button
              look="quiet"
              className="mb-[1.05rem] !px-2"
              aria-label={say("receiverCard.removeSocket", { number: socket.number })}
              onClick={() =>
                set(
                  [...R, "sockets"],
                  sockets.filter((_, other) => other !== i),
                )
              }
            >
              <X aria-hidden size={15} />
            </Button>
          </li>
        ))}
      </ul>
      <AddButton part="SOCKET" className="mt-2">
        <Plus aria-hidden size={16} /> {say("receiverCard.socket")}
      </AddButton>
    </Card>
  );
}

function Leads() {
  const { draft } = useModel();
  return (
    <Card title={say("receiverCard.leads")}>
      <ul className="space-y-2">
        {draft.present.wiring.leads.map((lead, i) => (
          <li key={lead.device} className="border-t border-line pt-2 first:border-0 first:pt-0">
            <p className="mb-1 text-sm font-semibold">{deviceName(draft.present, lead.device)}</p>
            <div className="grid grid-cols-2 gap-2 sm:grid-cols-[4.5rem_7rem_7rem_1fr_auto]">
              <DraftNumber path={["wiring", "leads", i, "socket"]} />
              <DraftText
                path={["wiring", "leads", i, "splitter"]}
                label={say("receiverCard.yLead")}
              />
              <DraftNumber path={["wiring", "leads", i, "extensionMm"]} />
              <DraftText path={["wiring", "leads", i, "label"]} label={say("receiverCard.label")} />
              <div className="self-center">
                <DraftCheck
                  path={["wiring", "leads", i, "reverser"]}
                  label={say("receiverCard.reverser")}
                />
              </div>
            </div>
          </li>
        ))}
      </ul>
    </Card>
  );
}

/** Stabilisers and boards between the receiver and the servos. */
function Between() {
  const { draft } = useModel();
  const { between } = draft.present.wiring;
  const set = useSetting();
  return (
    <Card title={say("receiverCard.between")}>
      {between.length === 0 && <p className="text-sm text-soft">{say("receiverCard.none")}</p>}
      {between.map((one, i) => (
        <div
          key={i}
          className="grid grid-cols-2 gap-2 border-t border-line py-2 first:border-0 sm:grid-cols-4"
        >
          <DraftText path={["wiring", "between", i, "name"]} label={say("receiverCard.name")} />
          <DraftChoice
            path={["wiring", "between", i, "kind"]}
            label={say("receiverCard.what")}
            options={[
              ["STABILISER", told("BetweenKind", "STABILISER")],
              ["CONTROLLER", told("BetweenKind", "CONTROLLER")],
            ]}
          />
          <DraftNumber path={["wiring", "between", i, "travelLimitPercent"]} />
          <div className="space-y-1">
            <DraftCheck
              path={["wiring", "between", i, "allowsTrim"]}
              label={say("receiverCard.trimsPass")}
            />
            <DraftCheck
              path={["wiring", "between", i, "bypassed"]}
              label={say("receiverCard.bypassed")}
            />
          </div>
          <fieldset className="col-span-full flex flex-wrap gap-3 text-sm">
            <legend className="text-soft">{say("receiverCard.through")}</legend>
            {draft.present.channels.map((channel) => (
              <Check
                key={channel.number}
                checked={one.channels.includes(channel.number)}
                onChecked={(checked) =>
                  set(
                    ["wiring", "between", i, "channels"],
                    checked
                      ? [...one.channels, channel.number]
                      : one.channels.filter((number) => number !== channel.number),
                  )
                }
                label={
                  <>
                    {channel.number} {channel.name}
                  </>
                }
              />
            ))}
          </fieldset>
          <Button
            look="quiet"
            onClick={() =>
              set(
                ["wiring", "between"],
                between.filter((_, other) => other !== i),
              )
            }
          >
            {say("receiverCard.removeIt")}
          </Button>
        </div>
      ))}
      <AddButton className="mt-2" part="BETWEEN">
        <Plus aria-hidden size={16} /> {say("receiverCard.device")}
      </AddButton>
    </Card>
  );
}

type Setup = ReturnType<typeof useModel>["draft"]["present"];

/** The pilot's name for what a lead runs to. */
export const deviceName = (setup: Setup, id: string): string =>
  setup.servos.find((one) => one.id === id)?.name ??
  setup.airframe.motors.find((one) => one.id === id)?.name ??
  setup.channels.find((one) => one.carries === id)?.name ??
  id;
