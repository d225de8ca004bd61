import { useState } from "react";
import { useSaySettled, useTakeBackWord, type TrimSeries } from "@/api/history";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";
import { say } from "@/words/generated/flightlog";

/** A pilot who disagrees says that it has settled, with a reason; and may take that back. */
export function MarkSettled({ series }: { series: TrimSeries }) {
  const { standing } = useModel();
  const saying = useSaySettled(standing.id);
  const back = useTakeBackWord(standing.id);
  const [asked, setAsked] = useState(false);
  const [because, setBecause] = useState("");
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
    <form
      className="mt-1 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        saying.mutate({ phase, control, because }, { onSuccess: () => setAsked(false) });
      }}
    >
      <TextLine
        label={say("markSettled.reason")}
        required
        value={because}
        onValue={setBecause}
        maxLength={300}
      />
      <Button type="submit" disabled={saying.isPending}>
        {say("markSettled.markAsSettled")}
      </Button>
      {saying.isError && <Failure error={saying.error} />}
    </form>
  );
}
