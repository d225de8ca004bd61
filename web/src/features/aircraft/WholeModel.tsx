import { useState } from "react";
import { useForm, useWatch } from "react-hook-form";
import { useNavigate } from "react-router";
import { useCopyModel, usePut } from "@/api/places";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Form, LineField } from "@/ui/form";
import { Failure } from "@/ui/message";
import { Modal } from "@/ui/modal";
import { say } from "@/words/generated/aircraft";

/** Longest name of a model. */
const LONGEST = 60;

/** What is done with a model as a whole: copied, set aside, deleted. */
export function WholeModel() {
  const { standing } = useModel();
  const { name } = standing.newest.setup;
  const form = useForm({
    defaultValues: { called: say("wholeModel.ii", { name }).slice(0, LONGEST) },
  });
  const called = useWatch({ control: form.control, name: "called" });
  const [asked, setAsked] = useState(false);
  const copy = useCopyModel(standing.id);
  const put = usePut();
  const navigate = useNavigate();
  const away = (place: "SET_ASIDE" | "DELETED") =>
    put.mutate({ id: standing.id, place }, { onSuccess: () => void navigate("/") });
  return (
    <Card title={say("wholeModel.title")}>
      <Form
        form={form}
        className="flex flex-wrap items-end gap-3"
        by={copy}
        send={(filled) =>
          copy.mutate(filled.called.trim(), {
            onSuccess: ({ id }) => void navigate(`/models/${id}/rig`),
          })
        }
      >
        <LineField
          control={form.control}
          name="called"
          label={say("wholeModel.copyName")}
          maxLength={LONGEST}
          width="w-60"
        />
        <Button type="submit" disabled={copy.isPending || called.trim() === ""}>
          {say("wholeModel.copy")}
        </Button>
      </Form>
      <p className="mt-1 text-sm text-soft">{say("wholeModel.copyHint")}</p>
      <div className="mt-4 flex flex-wrap gap-3">
        <Button disabled={put.isPending} onClick={() => away("SET_ASIDE")}>
          {say("wholeModel.archiveIt")}
        </Button>
        <Button look="warn" disabled={put.isPending} onClick={() => setAsked(true)}>
          {say("wholeModel.deleteIt")}
        </Button>
      </div>
      {put.isError && <Failure error={put.error} />}
      <Modal
        open={asked}
        onOpen={setAsked}
        title={say("wholeModel.delete", { name })}
        description={say("wholeModel.deleteHint")}
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
