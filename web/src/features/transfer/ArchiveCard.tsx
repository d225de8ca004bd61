import { useHere } from "@/api/devices";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { Square } from "lucide-react";
import { Link } from "react-router";
import {
  backup,
  useBackups,
  useBringBack,
  useLookIntoArchive,
  useSaveArchive,
  type ArchiveWork,
  type Contents,
  type InArchive,
} from "@/api/archive";
import { day } from "@/domain/words";
import { Button, buttonClass } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure, Violations } from "@/ui/message";
import { PartDone } from "@/ui/part-done";
import { Say, say } from "@/words/generated/transfer";

type Wish = "bring" | "beside" | "leave";

/** Everything in one file: saved, and brought back next to what is here. */
export function ArchiveCard() {
  const [archive, setArchive] = useState<Blob>();
  const [name, setName] = useState("");
  const look = useLookIntoArchive();
  const save = useSaveArchive(fetchFile);
  const here = useHere();
  const open = (file: Blob, called: string) => {
    setArchive(file);
    setName(called);
    look.begin(file);
  };
  const fetched = useMutation({
    mutationFn: backup,
    onSuccess: (file, called) => open(file, called),
  });
  const held = look.state?.contents ?? undefined;
  if (here.data?.host === false) {
    return <Card title={say("archiveCard.title")}>{say("archiveCard.onHost")}</Card>;
  }
  return (
    <>
      <Card title={say("archiveCard.title")}>
        <p className="mb-3">{say("archiveCard.described")}</p>
        <Button look="main" disabled={save.underWay} onClick={() => save.begin(undefined)}>
          {say("archiveCard.save")}
        </Button>
        <UnderWay work={save} label={say("archiveCard.saving")} />
        <label className="mt-4 block">
          <span className="mb-2 block">{say("archiveCard.restoreHint")}</span>
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
      {look.error !== null && <p className="font-medium">{say("archiveCard.leftOut", { name })}</p>}
      <UnderWay work={look} label={say("archiveCard.looking", { name })} />
      {archive !== undefined && held !== undefined && (
        <Held
          key={name}
          archive={archive}
          name={name}
          models={held.models}
          practice={held.practice}
          practiceFaults={held.practiceFaults}
        />
      )}
      <Backups onOpen={(called) => fetched.mutate(called)} />
      {fetched.isError && <Failure error={fetched.error} />}
    </>
  );
}

/** As if a link to the file had been clicked: the browser saves it where it saves files. */
function fetchFile(address: string) {
  const link = document.createElement("a");
  link.href = address;
  link.download = "";
  link.click();
}

/** How far it is, with the way to stop it; what came in the way. */
function UnderWay({ work, label }: { work: ArchiveWork; label: string }) {
  if (work.error !== null) {
    return (
      <div className="mt-3">
        <Failure error={work.error} />
      </div>
    );
  }
  if (work.state?.end === "STOPPED") {
    return (
      <p role="status" className="mt-3">
        {say("archiveCard.stopped")}
      </p>
    );
  }
  return (
    work.underWay && (
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <PartDone label={label} done={work.part} />
        <Button onClick={work.stop}>
          <Square aria-hidden size={14} /> {say("archiveCard.stop")}
        </Button>
      </div>
    )
  );
}

interface HeldProps {
  archive: Blob;
  name: string;
  models: InArchive[];
  /** How many practices of the flying school that belong to no model. */
  practice: number;
  /** What is wrong with any of it. */
  practiceFaults: Contents["practiceFaults"];
}

const IN_OR_OUT: [Wish, string][] = [
  ["bring", say("archiveCard.import")],
  ["leave", say("archiveCard.leaveOut")],
];

/** What an archive holds, and what is to become of each model. */
function Held({ archive, name, models, practice, practiceFaults }: HeldProps) {
  const [wishes, setWishes] = useState<Record<number, Wish>>({});
  const [practised, setPractised] = useState<Wish>("bring");
  const bring = useBringBack();
  const brought = bring.state?.end === "DONE" ? bring.state.brought : undefined;
  const withPractice = practice > 0 && practiceFaults.length === 0 && practised === "bring";
  const wish = (one: InArchive) =>
    one.faults.length > 0 ? "leave" : (wishes[one.number] ?? (one.here ? "leave" : "bring"));
  const chosen = models.filter((one) => wish(one) !== "leave").map((one) => one.number);
  const beside = models.filter((one) => wish(one) === "beside").map((one) => one.number);
  return (
    <Card title={say("archiveCard.in", { name })}>
      <ul className="divide-y divide-line">
        {models.map((one) =>
          one.faults.length > 0 ? (
            <Broken key={one.number} model={one} />
          ) : (
            <Whole
              key={one.number}
              model={one}
              wish={wish(one)}
              onWish={(picked) => setWishes({ ...wishes, [one.number]: picked })}
            />
          ),
        )}
        {practice > 0 && (
          <li className="flex flex-wrap items-end justify-between gap-3 py-2">
            <p>
              <Say
                id="archiveCard.trimSchool"
                values={{ b: (words) => <strong>{words}</strong>, practice }}
              />
            </p>
            {practiceFaults.length > 0 ? (
              <Faults of={practiceFaults} />
            ) : (
              <div className="w-72">
                <Choice
                  label={say("archiveCard.doPractice")}
                  value={practised}
                  onValue={setPractised}
                  options={IN_OR_OUT}
                />
              </div>
            )}
          </li>
        )}
      </ul>
      <UnderWay work={bring} label={say("archiveCard.bringing")} />
      {brought === undefined ? (
        <Button
          look="main"
          className="mt-3"
          disabled={bring.underWay || (chosen.length === 0 && !withPractice)}
          onClick={() => bring.begin({ archive, chosen, beside, practice: withPractice })}
        >
          {say("archiveCard.bring", { chosen: chosen.length, withPractice: Boolean(withPractice) })}
        </Button>
      ) : (
        <div role="status" className="mt-3">
          {withPractice && <p>{say("archiveCard.practiceThere")}</p>}
          {brought.length > 0 && <p className="font-medium">{say("archiveCard.inHangar")}</p>}
          <ul className="list-disc pl-5">
            {brought.map((one) => (
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

interface WholeProps {
  model: InArchive;
  wish: Wish;
  onWish: (picked: Wish) => void;
}

/** A model that can come in, and whether it shall. */
function Whole({ model, wish, onWish }: WholeProps) {
  return (
    <li
      className="flex flex-wrap items-end justify-between gap-3 py-2"
      data-in-archive={model.name}
    >
      <p>
        <strong>{model.name}</strong>:{" "}
        {say("archiveCard.contents", { revisions: model.revisions, flights: model.flights })}
        {model.here && <span className="text-soft"> {say("archiveCard.alreadyThere")}</span>}
      </p>
      <div className="w-72">
        <Choice
          label={say("archiveCard.asked", { name: model.name })}
          value={wish}
          onValue={onWish}
          options={
            model.here
              ? [
                  ["leave", say("archiveCard.keepHere")],
                  ["beside", say("archiveCard.importBeside")],
                ]
              : IN_OR_OUT
          }
        />
      </div>
    </li>
  );
}

/** A model that is not as it was written: it stays out, the others can come. */
function Broken({ model }: { model: InArchive }) {
  return (
    <li className="py-2" data-in-archive={model.name}>
      <p>
        <strong>{model.name}</strong>
      </p>
      <Faults of={model.faults} />
    </li>
  );
}

function Faults({ of }: { of: InArchive["faults"] }) {
  return (
    <div className="border-l-4 border-grounded pl-3">
      <p>{say("archiveCard.notWhole")}</p>
      <Violations of={of} />
    </div>
  );
}

/** What the program keeps by itself. */
function Backups({ onOpen }: { onOpen: (name: string) => void }) {
  const backups = useBackups();
  return (
    <Card title={say("archiveCard.automaticBackups")}>
      <p className="mb-2 text-soft">{say("archiveCard.daily")}</p>
      {backups.isError && <Failure error={backups.error} />}
      {backups.data?.length === 0 && <p>{say("archiveCard.noneYet")}</p>}
      <ul className="divide-y divide-line">
        {backups.data?.map((one) => (
          <li
            key={one.name}
            className="flex flex-wrap items-center justify-between gap-2 py-1.5"
            data-backup={one.name}
          >
            <span className="figures">
              {one.name.startsWith("daily-")
                ? `${say("archiveCard.dayOf")} `
                : `${say("archiveCard.beforeUpgrade")} `}
              {day(one.writtenAt)}
            </span>
            <span className="flex gap-2">
              <a
                href={`/api/archive/backups/${one.name}`}
                download
                className={`${buttonClass("plain")} !min-h-8 text-sm`}
              >
                {say("archiveCard.saveIt")}
              </a>
              <Button className="!min-h-8 text-sm" onClick={() => onOpen(one.name)}>
                {say("archiveCard.openIt")}
              </Button>
            </span>
          </li>
        ))}
      </ul>
    </Card>
  );
}
