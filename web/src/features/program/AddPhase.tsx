import { PHASE_ROLES, type PhaseRole } from "@/features/model/roles";
import { useAddPhase } from "@/api/edits";
import { useProgramSheet } from "@/api/program";
import { emptied } from "@/domain/words";
import { useState } from "react";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";
import { say } from "@/words/generated/program";

/** Makes a phase separate; what stands today is copied into it. */
export function AddPhase() {
  const { draft } = useModel();
  const worked = useWorked();
  const add = useAddPhase();
  const setup = draft.present;
  const sheet = useProgramSheet(setup);
  const switches = setup.transmitter.inputs.filter((one) => one.kind === "SWITCH");
  const [name, setName] = useState("");
  const [from, setFrom] = useState(setup.phases.at(-1)?.id ?? "");
  const [input, setInput] = useState(switches[0]?.id ?? "");
  const [position, setPosition] = useState("2");
  const [role, setRole] = useState<PhaseRole>("OTHER");
  const chosen = switches.find((one) => one.id === input);
  return (
    <Card title={say("addPhase.addAFlightPhase")}>
      <form
        className="grid grid-cols-2 gap-3 sm:grid-cols-4"
        onSubmit={(event) => {
          event.preventDefault();
          const wish = { name: name.trim(), role, from, input, position: Number(position) };
          void worked(add.mutateAsync({ setup, ...wish })).then(
            (done) => done && setName(emptied(name)),
          );
        }}
      >
        <TextLine
          label={say("addPhase.nameOfThePhase")}
          required
          maxLength={40}
          value={name}
          onValue={setName}
        />
        <Choice
          label={say("addPhase.purpose")}
          value={role}
          onValue={setRole}
          options={PHASE_ROLES}
        />
        <Choice
          label={say("addPhase.beginsCopy")}
          value={from}
          onValue={setFrom}
          options={setup.phases.map((one) => [one.id, one.name] as const)}
        />
        <Choice
          label={say("addPhase.switch")}
          value={input}
          onValue={setInput}
          options={switches.map((one) => [one.id, one.name] as const)}
        />
        <Choice
          label={say("addPhase.position")}
          value={position}
          onValue={setPosition}
          options={Array.from({ length: chosen?.positions ?? 2 }, (_, i) => {
            const brings = sheet.data?.switches.find(
              (row) => row.input === input && row.position === i + 1,
            )?.brings;
            return [`${i + 1}`, brings ? `${i + 1}: ${brings}` : `${i + 1}`] as const;
          })}
        />
        <Button type="submit" look="main" disabled={add.isPending || switches.length === 0}>
          {say("addPhase.addThePhase")}
        </Button>
      </form>
      <p className="mt-2 text-xs text-soft">{say("addPhase.startsValuesTodaySo")}</p>
      {add.isError && <Failure error={add.error} />}
    </Card>
  );
}
