import { useState } from "react";
import { useForm } from "react-hook-form";
import { useSaySettled, useTakeBackWord, type TrimSeries } from "@/api/history";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Form, LineField } from "@/ui/form";
import { say } from "@/words/generated/flightlog";

/** A pilot who disagrees says that it has settled, with a reason; and may take that back. */
export function MarkSettled({ series }: { series: TrimSeries }) {
  const { standing } = useModel();
  const saying = useSaySettled(standing.id);
  const back = useTakeBackWord(standing.id);
  const [asked, setAsked] = useState(false);
  const form = useForm({ defaultValues: { because: "" } });
  const { phase, control } = series;
  if (series.because !== "") {
    return (
      <Button look="quiet" onClick={() => back.mutate({ phase, control })}>
        {say("markSettled.undoSettled")}
      </Button>
    );
  }
  if (series.state === "SETTLED" || series.agreeing === 0) {
    return null;
  }
  if (!asked) {
    return (
      <Button look="quiet" onClick={() => setAsked(true)}>
        {say("markSettled.markAsSettled")}
      </Button>
    );
  }
  return (
    <Form
      form={form}
      className="mt-1 flex flex-wrap items-end gap-2"
      by={saying}
      send={({ because }) =>
        saying.mutate({ phase, control, because }, { onSuccess: () => setAsked(false) })
      }
    >
      <LineField
        control={form.control}
        name="because"
        label={say("markSettled.reason")}
        required
        maxLength={300}
      />
      <Button type="submit" disabled={saying.isPending}>
        {say("markSettled.markAsSettled")}
      </Button>
    </Form>
  );
}
