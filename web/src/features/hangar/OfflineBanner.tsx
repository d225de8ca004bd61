import { Link } from "react-router";
import { drop, stillWaits, useLetters, useLettersKept, type Letter } from "@/api/outbox";
import { useAway } from "@/api/reach";
import { keep } from "@/domain/storage";
import { timeOfDay } from "@/domain/words";
import { Button } from "@/ui/button";
import { Say, say } from "@/words/generated/hangar";

/** That the program does not answer, what waits for it, and what it did not take. */
export function OfflineBanner() {
  const away = useAway();
  const letters = useLetters();
  const waiting = letters.filter(stillWaits);
  const refused = letters.filter((one) => one.refused !== "");
  return (
    <>
      {away !== undefined && (
        <div
          role="status"
          className="border-l-4 border-tag bg-sheet px-4 py-3"
          data-away={waiting.length}
        >
          <p>
            <Say
              id="offlineBanner.offline"
              values={{ timeOfDay: timeOfDay(away), b: (words) => <strong>{words}</strong> }}
            />
          </p>
          {waiting.length > 0 && <Waits letters={waiting} />}
        </div>
      )}
      {away === undefined && waiting.some((one) => one.late) && (
        <p role="status" className="border-l-4 border-tag bg-sheet px-4 py-3" data-sending>
          {say("offlineBanner.sending", { waiting: waiting.length })}
        </p>
      )}
      {refused.map((one) => (
        <Refused key={one.key} letter={one} />
      ))}
    </>
  );
}

/** Each kind of entry once, with how many of it there are. */
function counted(words: string[]) {
  return [...new Set(words)].map((one) => {
    const many = words.filter((each) => each === one).length;
    return many === 1 ? one : `${one} (${many})`;
  });
}

function Waits({ letters }: { letters: Letter[] }) {
  const kept = useLettersKept();
  return (
    <>
      <p className="font-semibold">
        {say("offlineBanner.waiting", {
          counted: counted(letters.map((one) => one.words)).join(", "),
        })}
      </p>
      {kept !== "kept" && (
        <p role="alert" className="font-medium text-grounded">
          {say("offlineBanner.storageNone")}
        </p>
      )}
    </>
  );
}

/** What was typed is not lost: it goes back into its form, or is let go. */
function Refused({ letter }: { letter: Letter }) {
  const again = () => {
    letter.forms.forEach((one) => keep(one.name, one.value));
    drop(letter);
  };
  return (
    <div role="alert" className="border-l-4 border-grounded bg-sheet px-4 py-3" data-refused>
      <p>
        <strong>{say("offlineBanner.refused", { letter: letter.words })}</strong> {letter.refused}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {letter.forms.length > 0 && (
          <Link
            to={letter.page}
            reloadDocument={location.pathname === letter.page}
            className="inline-flex min-h-12 items-center underline"
            onClick={again}
          >
            {say("offlineBanner.editAgain")}
          </Link>
        )}
        <Button className="min-h-12" onClick={() => drop(letter)}>
          {say("offlineBanner.discard")}
        </Button>
      </div>
    </div>
  );
}
