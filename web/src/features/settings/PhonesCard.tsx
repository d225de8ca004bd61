import { QRCodeSVG } from "qrcode.react";
import { useState } from "react";
import { useDoorway, useMakeCode, useSendAway, type Device, type Doorway } from "@/api/devices";
import type { Schemas } from "@/api/client";
import { day, timeOfDay } from "@/domain/words";
import { Button } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure, Waiting } from "@/ui/message";
import { Say, say } from "@/words/generated/settings";

/** Phones and tablets: let in and sent away from the movements; a device sees what it is. */
export function PhonesCard({ here }: { here: Schemas["Here"] }) {
  const doorway = useDoorway(here.host);
  if (!here.host) {
    return (
      <Card title={say("phonesCard.thisDevice")}>
        <p>
          {here.device === ""
            ? say("phonesCard.noAccess")
            : say("phonesCard.accessAs", { device: here.device })}
        </p>
        <p className="mt-2 text-soft">{say("phonesCard.offline")}</p>
      </Card>
    );
  }
  if (doorway.data === undefined) {
    return doorway.isError ? (
      <Failure error={doorway.error} />
    ) : (
      <Waiting what={say("phonesCard.theDevices")} />
    );
  }
  return doorway.data.open ? <Open doorway={doorway.data} /> : <Closed />;
}

function Closed() {
  return (
    <Card title={say("phonesCard.title")}>
      <p>{say("phonesCard.startFirst")}</p>
      <p className="my-2 rounded-card bg-inset px-3 py-2 font-mono">
        {say("phonesCard.startCommand")}
      </p>
      <p className="text-soft">{say("phonesCard.startHint")}</p>
    </Card>
  );
}

function Open({ doorway }: { doorway: Doorway }) {
  const make = useMakeCode();
  const [page, setPage] = useState(doorway.pages[0] ?? "");
  const known = doorway.devices.map((one) => one.id).join();
  const [before, setBefore] = useState(known);
  // A code is good once: when somebody came in by it, it is taken off the page.
  const used = make.data !== undefined && known !== before;
  return (
    <Card title={say("phonesCard.title")}>
      <Caution>{say("phonesCard.notEncrypted")}</Caution>
      <div className="my-4 flex flex-wrap items-end gap-3">
        {doorway.pages.length > 1 && (
          <div className="min-w-72">
            <Choice
              label={say("phonesCard.address")}
              value={page}
              onValue={setPage}
              options={doorway.pages.map((one) => [one, one] as const)}
            />
          </div>
        )}
        <Button
          look="main"
          className="!min-h-12"
          disabled={make.isPending || page === ""}
          onClick={() => {
            setBefore(known);
            make.mutate();
          }}
        >
          {say("phonesCard.add")}
        </Button>
      </div>
      {page === "" && <p role="alert">{say("phonesCard.noNetwork")}</p>}
      {make.isError && <Failure error={make.error} />}
      {make.data !== undefined && !used && <CodeToScan page={page} code={make.data} />}
      {used && (
        <p role="status" className="font-medium text-done">
          {say("phonesCard.hasAccess")}
        </p>
      )}
      <LetInAlready devices={doorway.devices} />
    </Card>
  );
}

function CodeToScan({ page, code }: { page: string; code: Schemas["Code"] }) {
  const shown = `${code.code.slice(0, 4)}-${code.code.slice(4)}`;
  return (
    <div className="flex flex-wrap items-center gap-6" data-code={code.code}>
      {/* 33 squares and a margin of four on each side, six pixels each: no edge is blurred. */}
      <div className="bg-white">
        <QRCodeSVG
          value={`${page}let-in#${code.code}`}
          level="M"
          minVersion={4}
          marginSize={4}
          size={246}
          role="img"
          title={say("phonesCard.codePicture")}
        />
      </div>
      <div className="max-w-80 space-y-2">
        <p>
          <Say id="phonesCard.scan" values={{ page, b: (words) => <strong>{words}</strong> }} />
        </p>
        <p className="figures text-3xl font-semibold tracking-widest">{shown}</p>
        <p className="text-soft">
          {say("phonesCard.validUntil", { timeOfDay: timeOfDay(new Date(code.goodUntil)) })}
        </p>
      </div>
    </div>
  );
}

function LetInAlready({ devices }: { devices: Device[] }) {
  const send = useSendAway();
  return (
    <>
      <h3 className="mt-5 mb-1 font-semibold">{say("phonesCard.letIn")}</h3>
      {devices.length === 0 && <p className="text-soft">{say("phonesCard.nobodyYet")}</p>}
      <ul className="divide-y divide-line">
        {devices.map((one) => (
          <li
            key={one.id}
            className="flex flex-wrap items-center justify-between gap-2 py-2"
            data-device={one.name}
          >
            <span>
              <strong>{one.name}</strong>{" "}
              <span className="text-soft">
                {say("phonesCard.deviceSince", {
                  address: one.address,
                  day: day(one.letInAt),
                  dayOther: day(one.until),
                  lastSeen: Boolean(one.lastSeen == null),
                  dayThird: day(one.lastSeen),
                })}
              </span>
            </span>
            <Button look="warn" disabled={send.isPending} onClick={() => send.mutate(one.id)}>
              {say("phonesCard.remove", { name: one.name })}
            </Button>
          </li>
        ))}
      </ul>
      {send.isError && <Failure error={send.error} />}
    </>
  );
}
