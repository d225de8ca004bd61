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
            <strong>Out of reach since {timeOfDay(away)}.</strong> What you see is from before.
            Flights, checks and steps of the work are kept here and sent, once and in order, when
            the program is back; until then do not close or reload this page.
          </p>
          {waiting.length > 0 && <Waits letters={waiting} />}
        </div>
      )}
      {away === undefined && waiting.some((one) => one.late) && (
        <p role="status" className="border-l-4 border-tag bg-sheet px-4 py-3" data-sending>
          Sending what waited: {waiting.length === 1 ? "one entry" : `${waiting.length} entries`}.
        </p>
      )}
      {refused.map((one) => (
        <Refused key={one.key} letter={one} />
      ))}
    </>
  );
}

function Waits({ letters }: { letters: Letter[] }) {
  const kept = useLettersKept();
  return (
    <>
      <p className="font-semibold">
        {letters.length === 1 ? "One entry waits" : `${letters.length} entries wait`}:{" "}
        {letters.map((one) => one.words).join("; ")}.
      </p>
      {kept !== "kept" && (
        <p role="alert" className="font-medium text-grounded">
          This browser’s storage is full or forbidden: they wait only as long as this tab is open.
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
        <strong>{letter.words} was not taken.</strong> {letter.refused}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {letter.forms.length > 0 && (
          <Link
            to={letter.page}
            reloadDocument={location.pathname === letter.page}
            className="inline-flex min-h-12 items-center underline"
            onClick={again}
          >
            Put it back into its form
          </Link>
        )}
        <Button className="min-h-12" onClick={() => drop(letter)}>
          Let it go
        </Button>
      </div>
    </div>
  );
}
