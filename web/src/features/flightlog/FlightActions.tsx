import { useState } from "react";
import { useForm, useWatch } from "react-hook-form";
import { Link } from "react-router";
import type { Flight } from "@/api/queries";
import { useDeleteFlight, useFollowed, useMarkFlight } from "@/api/history";
import { GoBack } from "@/features/model/GoBack";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Form, LineField } from "@/ui/form";
import { Failure } from "@/ui/message";
import { Modal } from "@/ui/modal";
import { say } from "@/words/generated/flightlog";

interface Props {
  flight: Flight;
  onDeleted: (flight: Flight) => void;
}

/** Corrected, left out, marked or deleted in place; what followed from it is said. */
export function FlightActions({ flight, onDeleted }: Props) {
  const { standing } = useModel();
  const mark = useMarkFlight(standing.id);
  const [asked, setAsked] = useState<"" | "leave" | "delete">("");
  const { marks } = flight;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-1">
      <Link to={String(flight.id)} className="mr-2 text-sm underline underline-offset-2">
        {say("flightActions.correct")}
      </Link>
      <Button
        look="quiet"
        aria-pressed={marks.flewWell}
        onClick={() => mark.mutate({ flight, marks: { flewWell: !marks.flewWell } })}
      >
        {marks.flewWell ? say("flightActions.flewWell") : say("flightActions.mark")}
      </Button>
      {marks.flewWell && flight.revisionNumber < standing.newest.number && (
        <GoBack revision={flight.revisionNumber} flight={flight.id} />
      )}
      {marks.leftOut === "" ? (
        <Button look="quiet" onClick={() => setAsked("leave")}>
          {say("flightActions.leaveItOut")}
        </Button>
      ) : (
        <Button look="quiet" onClick={() => mark.mutate({ flight, marks: { leftOut: "" } })}>
          {say("flightActions.countAgain")}
        </Button>
      )}
      <Button look="quiet" onClick={() => setAsked("delete")}>
        {say("flightActions.delete")}
      </Button>
      {mark.isError && <Failure error={mark.error} />}
      <Leave flight={flight} open={asked === "leave"} onClose={() => setAsked("")} />
      <Delete
        flight={flight}
        open={asked === "delete"}
        onClose={() => setAsked("")}
        onDeleted={onDeleted}
      />
    </div>
  );
}

interface Asked {
  flight: Flight;
  open: boolean;
  onClose: () => void;
}

function Leave({ flight, open, onClose }: Asked) {
  const { standing } = useModel();
  const mark = useMarkFlight(standing.id);
  const form = useForm({ defaultValues: { because: "" } });
  const { control } = form;
  const because = useWatch({ control, name: "because" });
  return (
    <Modal
      open={open}
      onOpen={onClose}
      title={say("flightActions.leaveOutAsked")}
      description={say("flightActions.leaveOutHint")}
    >
      <Form
        form={form}
        className="space-y-3"
        by={mark}
        send={(filled) =>
          mark.mutate({ flight, marks: { leftOut: filled.because.trim() } }, { onSuccess: onClose })
        }
      >
        <LineField
          control={control}
          name="because"
          label={say("flightActions.reason")}
          required
          maxLength={300}
        />
        <Followed flight={flight} asked={open} />
        <Button type="submit" look="main" disabled={mark.isPending || because.trim() === ""}>
          {say("flightActions.leaveItOut")}
        </Button>
      </Form>
    </Modal>
  );
}

function Delete({ flight, open, onClose, onDeleted }: Asked & Pick<Props, "onDeleted">) {
  const { standing } = useModel();
  const remove = useDeleteFlight(standing.id);
  return (
    <Modal
      open={open}
      onOpen={onClose}
      title={say("flightActions.deleteAsked")}
      description={say("flightActions.deleteHint")}
    >
      <Followed flight={flight} asked={open} />
      {remove.isError && <Failure error={remove.error} />}
      <Button
        look="warn"
        disabled={remove.isPending}
        onClick={() =>
          remove.mutate(flight, {
            onSuccess: () => {
              onDeleted(flight);
              onClose();
            },
          })
        }
      >
        {say("flightActions.deleteIt")}
      </Button>
    </Modal>
  );
}

/** What was made of a flight stays made: said before it is touched. */
export function Followed({ flight, asked }: { flight: Flight; asked: boolean }) {
  const { standing } = useModel();
  const followed = useFollowed(standing.id, flight.id, asked).data ?? [];
  return followed.length === 0 ? null : (
    <p role="note" className="border-l-4 border-tag bg-inset px-3 py-2" data-followed>
      {say("flightActions.followed", { followed: followed.join(", ") })}
    </p>
  );
}
