import { useState } from "react";
import { useNavigate } from "react-router";
import { useCopyModel, usePut } from "@/api/places";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { Modal } from "@/ui/modal";
import { TextLine } from "@/ui/text-line";

/** Longest name of a model. */
const LONGEST = 60;

/** What is done with a model as a whole: copied, set aside, deleted. */
export function WholeModel() {
  const { standing } = useModel();
  const { name } = standing.newest.setup;
  const [called, setCalled] = useState(`${name} II`.slice(0, LONGEST));
  const [asked, setAsked] = useState(false);
  const copy = useCopyModel(standing.id);
  const put = usePut();
  const navigate = useNavigate();
  const away = (place: "SET_ASIDE" | "DELETED") =>
    put.mutate({ id: standing.id, place }, { onSuccess: () => void navigate("/") });
  return (
    <Card title="The whole model">
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          copy.mutate(called.trim(), {
            onSuccess: ({ id }) => void navigate(`/models/${id}/rig`),
          });
        }}
      >
        <TextLine
          label="Copy to a second model, name"
          value={called}
          maxLength={LONGEST}
          width="w-60"
          onValue={setCalled}
        />
        <Button type="submit" disabled={copy.isPending || called.trim() === ""}>
          Copy
        </Button>
      </form>
      <p className="mt-1 text-sm text-soft">
        The copy gets the setup. Trims, flights, checks, measurements, accepted findings and ticked
        entries stay with this model.
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        <Button disabled={put.isPending} onClick={() => away("SET_ASIDE")}>
          Archive it
        </Button>
        <Button look="warn" disabled={put.isPending} onClick={() => setAsked(true)}>
          Delete it
        </Button>
      </div>
      {copy.isError && <Failure error={copy.error} />}
      {put.isError && <Failure error={put.error} />}
      <Modal
        open={asked}
        onOpen={setAsked}
        title={`Delete ${name}?`}
        description="It leaves the hangar with all its revisions and flights. You can restore it for 30 days from the end of the hangar page; after that it is gone."
      >
        <div className="flex flex-wrap gap-3">
          <Button look="warn" disabled={put.isPending} onClick={() => away("DELETED")}>
            Delete it
          </Button>
          <Button onClick={() => setAsked(false)}>Keep it</Button>
        </div>
      </Modal>
    </Card>
  );
}
