import { RotateCcw } from "lucide-react";
import { useState } from "react";
import { useGoBack, useWayBack } from "@/api/history";
import { useHasMotor, useModel } from "./model";
import { Button } from "@/ui/button";
import { Failure, Waiting } from "@/ui/message";
import { Modal } from "@/ui/modal";
import { say } from "@/words/generated/model";

interface Props {
  revision: number;
  /** The flight whose trims are wanted; the newest on that revision where none is named. */
  flight?: number;
}

/** Back to a state that flew well: description and trims in one step, the rods turned by hand. */
export function GoBack({ revision, flight = 0 }: Props) {
  const { standing, change } = useModel();
  const motor = useHasMotor();
  const [open, setOpen] = useState(false);
  const way = useWayBack(standing.id, revision, flight, open);
  const go = useGoBack(standing.id);
  const back = () =>
    go.mutate(
      { basedOn: standing.newest.number, revision, flight },
      {
        onSuccess: (made) => {
          change({ type: "restart", basedOn: made.number, setup: made.setup });
          setOpen(false);
        },
      },
    );
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        <RotateCcw aria-hidden size={15} /> {say("goBack.goBack")}
      </Button>
      <Modal
        open={open}
        onOpen={setOpen}
        title={say("goBack.asked", { revision })}
        description={say("goBack.explained")}
      >
        {way.isError && <Failure error={way.error} />}
        {way.data === undefined && !way.isError && <Waiting what={say("goBack.wayBack")} />}
        {way.data !== undefined && (
          <div className="space-y-3" data-way-back>
            {way.data.rods.length === 0 && way.data.parts.length === 0 && (
              <p>{say("goBack.nothingToTurn")}</p>
            )}
            {way.data.rods.length > 0 && (
              <>
                <p>{say("goBack.motor", { motor })}</p>
                <ul className="list-disc space-y-1 pl-5 text-lg font-medium" data-rods-back>
                  {way.data.rods.map((one) => (
                    <li key={one.surface}>
                      {one.name}: {one.turn}.{" "}
                      <span className="text-base font-normal">{one.rotation}</span>
                    </li>
                  ))}
                </ul>
              </>
            )}
            {way.data.parts.length > 0 && (
              <p role="note" className="border-l-4 border-grounded bg-inset px-3 py-2">
                {say("goBack.linkageSince", { parts: way.data.parts.join(", ") })}
              </p>
            )}
            {way.data.entries.length > 0 && (
              <>
                <p>{say("goBack.onTransmitter")}</p>
                <table className="figures w-full text-sm">
                  <tbody>
                    {way.data.entries.map((one) => (
                      <tr key={one.key} className="border-b border-line">
                        <td className="py-1 first-letter:uppercase">{one.what}</td>
                        <td className="py-1 text-soft line-through">{one.before}</td>
                        <td className="py-1 font-semibold">{one.value}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </>
            )}
          </div>
        )}
        {go.isError && <Failure error={go.error} />}
        <div className="mt-4 flex gap-2">
          <Button look="main" disabled={go.isPending || way.data === undefined} onClick={back}>
            {say("goBack.do", { revision })}
          </Button>
          <Button onClick={() => setOpen(false)}>{say("goBack.cancel")}</Button>
        </div>
      </Modal>
    </>
  );
}
