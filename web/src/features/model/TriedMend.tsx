import type { Schemas } from "@/api/client";
import { Fold } from "@/ui/fold";
import { say } from "@/words/generated/model";
import { MendButton } from "./edits";
import { MovementTable } from "./MovementTable";

/** What moves differently with a mend that was tried. */
export function MendMoves({ moves }: { moves: Schemas["MovementLine"][] }) {
  return moves.length === 0 ? (
    <p className="text-sm text-soft">{say("triedMend.nothingElse")}</p>
  ) : (
    <Fold
      className="text-soft"
      title={<span className="text-sm">{say("triedMend.movesDifferently")}</span>}
    >
      <MovementTable lines={moves} />
    </Fold>
  );
}

interface Shown {
  mend: Schemas["SeenMend"];
  label?: string;
}

/** A change that what was seen at the model asks for; one that makes something worse is held back. */
export function TriedMend({ mend, label = mend.words }: Shown) {
  const offered = mend.hand === "";
  const brings = mend.brings.map((one) => <li key={one}>{one}</li>);
  return (
    <div data-tried={offered ? "offered" : "held-back"} className="mt-2 space-y-1 text-base">
      {offered ? (
        <MendButton className="text-left" edits={mend.edits}>
          {label}
        </MendButton>
      ) : (
        <p>{say("triedMend.notOffered", { words: mend.words })}</p>
      )}
      {brings.length > 0 && (
        <div className="text-sm">
          <p>{say("triedMend.brings", { offered })}</p>
          <ul className="ml-5 list-disc">{brings}</ul>
        </div>
      )}
      {offered ? <MendMoves moves={mend.moves} /> : <p className="font-medium">{mend.hand}</p>}
    </div>
  );
}
