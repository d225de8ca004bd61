import { useHere } from "@/api/devices";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import {
  backup,
  useBackups,
  useBringBack,
  useLookIntoArchive,
  type InArchive,
} from "@/api/archive";
import { day } from "@/domain/words";
import { Button, buttonClass } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";

type Wish = "bring" | "beside" | "leave";

/** Everything in one file: saved, and brought back next to what is here. */
export function ArchiveCard() {
  const [archive, setArchive] = useState<Blob>();
  const [name, setName] = useState("");
  const look = useLookIntoArchive();
  const here = useHere();
  const open = (file: Blob, called: string) => {
    setArchive(file);
    setName(called);
    look.mutate(file);
  };
  const fetched = useMutation({
    mutationFn: backup,
    onSuccess: (file, called) => open(file, called),
  });
  if (here.data?.desk === false) {
    return (
      <Card title="Everything in one file">
        Save and restore it on the computer High Tally runs on.
      </Card>
    );
  }
  return (
    <>
      <Card title="Everything in one file">
        <p className="mb-3">
          All models with their revisions, flights, work orders, checks, tests and ticked entries,
          as one ZIP file. Keep a copy on another computer: the backups below are next to the data
          and can be lost with it.
        </p>
        <a href="/api/archive" download className={buttonClass("main")}>
          Save everything as a file
        </a>
        <label className="mt-4 block">
          <span className="mb-2 block">
            Restore models from such a file. It is checked first; nothing in the hangar is ever
            overwritten.
          </span>
          <input
            type="file"
            accept=".zip,application/zip"
            className="w-full rounded-card border border-dashed border-line-strong bg-inset p-5"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) {
                open(file, file.name);
              }
            }}
          />
        </label>
      </Card>
      {look.isError && (
        <>
          <p className="font-medium">{name} was not imported.</p>
          <Failure error={look.error} />
        </>
      )}
      {archive !== undefined && look.data !== undefined && (
        <Held
          key={name}
          archive={archive}
          name={name}
          models={look.data.models}
          practice={look.data.practice}
        />
      )}
      <Backups onOpen={(called) => fetched.mutate(called)} />
      {fetched.isError && <Failure error={fetched.error} />}
    </>
  );
}

interface HeldProps {
  archive: Blob;
  name: string;
  models: InArchive[];
  /** How many practices of the flying school that belong to no model. */
  practice: number;
}

const IN_OR_OUT: [Wish, string][] = [
  ["bring", "import"],
  ["leave", "do not import"],
];

/** What an archive holds, and what is to become of each model. */
function Held({ archive, name, models, practice }: HeldProps) {
  const [wishes, setWishes] = useState<Record<number, Wish>>({});
  const [practised, setPractised] = useState<Wish>("bring");
  const bring = useBringBack();
  const withPractice = practice > 0 && practised === "bring";
  const wish = (one: InArchive) => wishes[one.number] ?? (one.here ? "leave" : "bring");
  const chosen = models.filter((one) => wish(one) !== "leave").map((one) => one.number);
  const beside = models.filter((one) => wish(one) === "beside").map((one) => one.number);
  return (
    <Card title={`In ${name}`}>
      <ul className="divide-y divide-line">
        {models.map((one) => (
          <li
            key={one.number}
            className="flex flex-wrap items-end justify-between gap-3 py-2"
            data-in-archive={one.name}
          >
            <p>
              <strong>{one.name}</strong>: {one.revisions}{" "}
              {one.revisions === 1 ? "revision" : "revisions"}, {one.flights}{" "}
              {one.flights === 1 ? "flight" : "flights"}.
              {one.here && <span className="text-soft"> Already in the hangar.</span>}
            </p>
            <div className="w-72">
              <Choice
                label={`What to do with ${one.name}`}
                value={wish(one)}
                onValue={(picked) => setWishes({ ...wishes, [one.number]: picked })}
                options={
                  one.here
                    ? [
                        ["leave", "keep the one here"],
                        ["beside", "import beside the one that is here"],
                      ]
                    : IN_OR_OUT
                }
              />
            </div>
          </li>
        ))}
        {practice > 0 && (
          <li className="flex flex-wrap items-end justify-between gap-3 py-2">
            <p>
              <strong>Trim school</strong>: {practice} {practice === 1 ? "practice" : "practices"}{" "}
              with a model of its own.
            </p>
            <div className="w-72">
              <Choice
                label="What to do with the practice"
                value={practised}
                onValue={setPractised}
                options={IN_OR_OUT}
              />
            </div>
          </li>
        )}
      </ul>
      {bring.isError && <Failure error={bring.error} />}
      {bring.data === undefined ? (
        <Button
          look="main"
          className="mt-3"
          disabled={bring.isPending || (chosen.length === 0 && !withPractice)}
          onClick={() => bring.mutate({ archive, chosen, beside, practice: withPractice })}
        >
          Bring {chosen.length === 1 ? "one model" : `${chosen.length} models`}
          {withPractice && " and the practice"} back
        </Button>
      ) : (
        <div role="status" className="mt-3">
          {withPractice && <p>The practice is in the trim school.</p>}
          {bring.data.length > 0 && <p className="font-medium">In the hangar now:</p>}
          <ul className="list-disc pl-5">
            {bring.data.map((one) => (
              <li key={one.id}>
                <Link to={`/models/${one.id}/rig`} className="underline underline-offset-2">
                  {one.name}
                </Link>
              </li>
            ))}
          </ul>
        </div>
      )}
    </Card>
  );
}

/** What the program keeps by itself. */
function Backups({ onOpen }: { onOpen: (name: string) => void }) {
  const backups = useBackups();
  return (
    <Card title="Automatic backups">
      <p className="mb-2 text-soft">
        Once a day, the last seven; and whenever a newer High Tally changes the data format. In the
        folder “backups” next to the data.
      </p>
      {backups.isError && <Failure error={backups.error} />}
      {backups.data?.length === 0 && <p>None yet.</p>}
      <ul className="divide-y divide-line">
        {backups.data?.map((one) => (
          <li
            key={one.name}
            className="flex flex-wrap items-center justify-between gap-2 py-1.5"
            data-backup={one.name}
          >
            <span className="figures">
              {one.name.startsWith("daily-") ? "Day of " : "Before an upgrade, "}
              {day(one.writtenAt)}
            </span>
            <span className="flex gap-2">
              <a
                href={`/api/archive/backups/${one.name}`}
                download
                className={`${buttonClass("plain")} !min-h-8 text-sm`}
              >
                Save it
              </a>
              <Button className="!min-h-8 text-sm" onClick={() => onOpen(one.name)}>
                Open it
              </Button>
            </span>
          </li>
        ))}
      </ul>
    </Card>
  );
}
