import { useState } from "react";
import { useSaySettled, useTakeBackWord, type TrimSeries } from "@/api/story";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";

/** A pilot who disagrees says that it has settled, with a reason; and may take that back. */
export function SaySettled({ series }: { series: TrimSeries }) {
  const { standing } = useModel();
  const say = useSaySettled(standing.id);
  const back = useTakeBackWord(standing.id);
  const [asked, setAsked] = useState(false);
  const [because, setBecause] = useState("");
  const { phase, control } = series;
  if (series.because !== "") {
    return (
      <Button look="quiet" onClick={() => back.mutate({ phase, control })}>
        Undo “settled”
      </Button>
    );
  }
  if (series.state === "SETTLED" || series.agreeing === 0) {
    return null;
  }
  if (!asked) {
    return (
      <Button look="quiet" onClick={() => setAsked(true)}>
        Mark as settled
      </Button>
    );
  }
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        say.mutate({ phase, control, because }, { onSuccess: () => setAsked(false) });
      }}
    >
      <TextLine label="Reason" required value={because} onValue={setBecause} maxLength={300} />
      <Button type="submit" disabled={say.isPending}>
        Mark as settled
      </Button>
      {say.isError && <Failure error={say.error} />}
    </form>
  );
}
