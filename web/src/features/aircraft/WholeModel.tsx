import { useState } from "react";
import { useNavigate } from "react-router";
import { useCopyModel, usePut } from "@/api/places";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { Modal } from "@/ui/modal";
import { TextLine } from "@/ui/text-line";
import { say } from "@/words/generated/aircraft";

/** Longest name of a model. */
const LONGEST = 60;

/** What is done with a model as a whole: copied, set aside, deleted. */
export function WholeModel() {
  const { standing } = useModel();
  const { name } = standing.newest.setup;
  const [called, setCalled] = useState(say("wholeModel.ii", { name }).slice(0, LONGEST));
  const [asked, setAsked] = useState(false);
  const copy = useCopyModel(standing.id);
  const put = usePut();
  const navigate = useNavigate();
  const away = (place: "SET_ASIDE" | "DELETED") =>
    put.mutate({ id: standing.id, place }, { onSuccess: () => void navigate("/") });
  return (
    <Card title={say("wholeModel.theWholeModel")}>
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
          label={say("wholeModel.copySecondModelName")}
          value={called}
          maxLength={LONGEST}
          width="w-60"
          onValue={setCalled}
        />
        <Button type="submit" disabled={copy.isPending || called.trim() === ""}>
          {say("wholeModel.copy")}
        </Button>
      </form>
      <p className="mt-1 text-sm text-soft">{say("wholeModel.copyGetsSetupTrims")}</p>
      <div className="mt-4 flex flex-wrap gap-3">
        <Button disabled={put.isPending} onClick={() => away("SET_ASIDE")}>
          {say("wholeModel.archiveIt")}
        </Button>
        <Button look="warn" disabled={put.isPending} onClick={() => setAsked(true)}>
          {say("wholeModel.deleteIt")}
        </Button>
      </div>
      {copy.isError && <Failure error={copy.error} />}
      {put.isError && <Failure error={put.error} />}
      <Modal
        open={asked}
        onOpen={setAsked}
        title={say("wholeModel.delete", { name })}
        description={say("wholeModel.leavesHangarAllRevisions")}
      >
        <div className="flex flex-wrap gap-3">
          <Button look="warn" disabled={put.isPending} onClick={() => away("DELETED")}>
            {say("wholeModel.deleteIt")}
          </Button>
          <Button onClick={() => setAsked(false)}>{say("wholeModel.keepIt")}</Button>
        </div>
      </Modal>
    </Card>
  );
}
