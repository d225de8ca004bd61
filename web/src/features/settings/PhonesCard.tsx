import { QRCodeSVG } from "qrcode.react";
import { useState } from "react";
import { useDoorway, useMakeCode, useSendAway, type Device, type Doorway } from "@/api/devices";
import type { Schemas } from "@/api/client";
import { day, timeOfDay } from "@/domain/words";
import { Button } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure, Waiting } from "@/ui/message";

/** Phones and tablets: let in and sent away from the desk; a device sees what it is. */
export function PhonesCard({ here }: { here: Schemas["Here"] }) {
  const doorway = useDoorway(here.desk);
  if (!here.desk) {
    return (
      <Card title="This device">
        <p>
          {here.device === ""
            ? "This device has no access."
            : `Has access as “${here.device}”. Remove it, or add others, under Settings on the computer High Tally runs on.`}
        </p>
        <p className="mt-2 text-soft">
          Over the local network a browser cannot keep pages for later: while offline, do not close
          or reload the page. What you enter is kept in it and sent once High Tally is online again.
        </p>
      </Card>
    );
  }
  if (doorway.data === undefined) {
    return doorway.isError ? <Failure error={doorway.error} /> : <Waiting what="the devices" />;
  }
  return doorway.data.open ? <Open doorway={doorway.data} /> : <Closed />;
}

function Closed() {
  return (
    <Card title="Phones and tablets">
      <p>To use a phone at the bench or the field, stop High Tally and start it with</p>
      <p className="my-2 rounded-card bg-inset px-3 py-2 font-mono">./high-tally start --lan</p>
      <p className="text-soft">
        It tells you what that means, then also answers on the local network. Nobody gets access
        without a code that you make here.
      </p>
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
    <Card title="Phones and tablets">
      <Caution>
        What goes over the network is not encrypted. Use a network you trust, and remove a device
        you have lost.
      </Caution>
      <div className="my-4 flex flex-wrap items-end gap-3">
        {doorway.pages.length > 1 && (
          <div className="min-w-72">
            <Choice
              label="Address of this computer"
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
          Add a device
        </Button>
      </div>
      {page === "" && (
        <p role="alert">This computer is not on a network: connect it, then restart High Tally.</p>
      )}
      {make.isError && <Failure error={make.error} />}
      {make.data !== undefined && !used && <CodeToScan page={page} code={make.data} />}
      {used && (
        <p role="status" className="font-medium text-done">
          It has access.
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
          title="Code to scan with the phone"
        />
      </div>
      <div className="max-w-80 space-y-2">
        <p>
          Scan it with the phone’s camera. Or open <strong>{page}let-in</strong> there and type
        </p>
        <p className="figures text-3xl font-semibold tracking-widest">{shown}</p>
        <p className="text-soft">Valid once, until {timeOfDay(new Date(code.goodUntil))}.</p>
      </div>
    </div>
  );
}

function LetInAlready({ devices }: { devices: Device[] }) {
  const send = useSendAway();
  return (
    <>
      <h3 className="mt-5 mb-1 font-semibold">Let in</h3>
      {devices.length === 0 && <p className="text-soft">Nobody yet.</p>}
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
                at {one.address}, since {day(one.letInAt)}, until {day(one.until)}
                {one.lastSeen == null
                  ? "; not seen since High Tally was started"
                  : `; last seen ${day(one.lastSeen)}`}
              </span>
            </span>
            <Button look="warn" disabled={send.isPending} onClick={() => send.mutate(one.id)}>
              Remove {one.name}
            </Button>
          </li>
        ))}
      </ul>
      {send.isError && <Failure error={send.error} />}
    </>
  );
}
