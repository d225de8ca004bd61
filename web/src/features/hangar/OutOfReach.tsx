import { Link } from "react-router";
import { drop, stillWaits, useLetters, useLettersKept, type Letter } from "@/api/outbox";
import { useAway } from "@/api/reach";
import { keep } from "@/domain/storage";
import { timeOfDay } from "@/domain/words";
import { Button } from "@/ui/button";

/** That the program does not answer, what waits for it, and what it did not take. */
export function OutOfReach() {
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
            <strong>Offline since {timeOfDay(away)}.</strong> Entries are saved here and sent later.
            Do not close or reload this page. What you see may be out of date.
          </p>
          {waiting.length > 0 && <Waits letters={waiting} />}
        </div>
      )}
      {away === undefined && waiting.some((one) => one.late) && (
        <p role="status" className="border-l-4 border-tag bg-sheet px-4 py-3" data-sending>
          Sending what was saved here:{" "}
          {waiting.length === 1 ? "one entry" : `${waiting.length} entries`}.
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
        Waiting to be sent: {counted(letters.map((one) => one.words)).join(", ")}.
      </p>
      {kept !== "kept" && (
        <p role="alert" className="font-medium text-grounded">
          This browser’s storage is full or forbidden: they are kept only while this tab is open.
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
        <strong>{letter.words} was not accepted.</strong> {letter.refused}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {letter.forms.length > 0 && (
          <Link
            to={letter.page}
            reloadDocument={location.pathname === letter.page}
            className="inline-flex min-h-12 items-center underline"
            onClick={again}
          >
            Edit and send again
          </Link>
        )}
        <Button className="min-h-12" onClick={() => drop(letter)}>
          Discard this entry
        </Button>
      </div>
    </div>
  );
}
