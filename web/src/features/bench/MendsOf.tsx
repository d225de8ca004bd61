import { useMends } from "@/api/program";
import { MendButton } from "@/features/model/edits";
import { useModel } from "@/features/model/model";
import { MendMoves } from "@/features/model/TriedMend";
import { say } from "@/words/generated/bench";

/** What mends a finding or hazard, tried; or what to do at the model where no change of figures does. */
export function MendsOf({ id, subject }: { id: string; subject: string }) {
  const { draft } = useModel();
  const mends = useMends(draft.present);
  if (mends.data === undefined) {
    return (
      <p className="mt-1 text-sm text-soft" role="status">
        {mends.isError ? say("mendsOf.notTried") : say("mendsOf.trying")}
      </p>
    );
  }
  const offer = mends.data.find((one) => one.id === id && one.subject === subject);
  if (offer === undefined) {
    return null;
  }
  return (
    <div data-mends={offer.mends.length} className="mt-1 space-y-1">
      {offer.mends.map((mend) => (
        <div key={mend.words.join()}>
          <MendButton className="py-1 text-left text-sm" edits={mend.edits}>
            {mend.words.join(" · ")}
          </MendButton>
          <MendMoves moves={mend.moves} />
        </div>
      ))}
      {offer.hand !== "" && <p className="text-sm">{offer.hand}</p>}
    </div>
  );
}
