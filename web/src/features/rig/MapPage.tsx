import { all, length } from "@/domain/reader";
import { useState } from "react";
import { Link } from "react-router";
import { useProposeMap, useShare, useWiringSheet, type Proposed } from "@/api/rig";
import { FindingsCard } from "@/features/bench/FindingsCard";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button, buttonClass } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure, Outdated } from "@/ui/message";
import { MoveCard } from "./MoveCard";
import { ReceiverCard } from "./ReceiverCard";
import { TransmitterCard } from "./TransmitterCard";
import { WiringPicture } from "./WiringPicture";
import { Say, say } from "@/words/generated/rig";

/** From the transmitter's functions over channels and sockets to the last lead. */
export function MapPage() {
  const { draft } = useModel();
  const sheet = useWiringSheet(draft.present);
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_370px]">
      <div className="min-w-0 space-y-3">
        <Card
          title={say("mapPage.channelMap")}
          aside={
            <Link to="wiring" className={buttonClass("main")}>
              {say("mapPage.wiringSheet")}
            </Link>
          }
        >
          {sheet.data !== undefined && <WiringPicture sheet={sheet.data} />}
          {sheet.isError && <Failure error={sheet.error} />}
        </Card>
        <TransmitterCard />
        <ReceiverCard />
      </div>
      <div className="min-w-0 space-y-3">
        <ProposalCard />
        <FindingsCard />
        <MoveCard />
      </div>
    </div>
  );
}

function ProposalCard() {
  const { draft, change } = useModel();
  const propose = useProposeMap();
  const [shown, setShown] = useState<Proposed>();
  const [from, setFrom] = useState(draft.present);
  const taken = shown?.setup === draft.present;
  const holds = taken || from === draft.present;
  const draw = () =>
    propose.mutate(draft.present, {
      onSuccess: (found, asked) => {
        setShown(found);
        setFrom(asked);
      },
    });
  const take = (setup: Proposed["setup"]) => {
    change({ type: "replace", from: draft.present, setup });
    setShown((old) => (old === undefined ? old : { ...old, setup }));
  };
  return (
    <Card title={say("mapPage.suggestTitle")} className="!p-3">
      <p className="mb-2 text-sm text-soft">{say("mapPage.suggestHint")}</p>
      <Button look="main" onClick={draw} disabled={propose.isPending}>
        {say("mapPage.suggest")}
      </Button>
      {propose.isError && <Failure error={propose.error} />}
      {shown !== undefined && !holds && <Outdated />}
      {shown !== undefined && holds && (
        <div className="mt-3 text-sm" data-proposal>
          <ol className="space-y-1">
            {shown.lines.map((line) => (
              <li key={line.channel}>
                <span className="font-semibold">
                  {say("mapPage.channel", { channel: line.channel, line: line.name })}
                </span>{" "}
                {line.socket < 0 ? (
                  <span className="font-medium text-grounded">{say("mapPage.noSocket")}</span>
                ) : (
                  <>{say("mapPage.onSocket", { socket: line.socket })}</>
                )}
                : <span className="text-soft">{line.why}.</span>
              </li>
            ))}
          </ol>
          <Button className="mt-2" onClick={() => take(shown.setup)} disabled={taken}>
            {say("mapPage.use")}
          </Button>
          {shown.sharing.length > 0 && (
            <SharingList shown={shown} onTaken={() => setShown(undefined)} />
          )}
        </div>
      )}
    </Card>
  );
}

function SharingList({ shown, onTaken }: { shown: Proposed; onTaken: () => void }) {
  const worked = useWorked();
  const share = useShare();
  return (
    <section className="mt-3 border-t border-line pt-2">
      <h3 className="font-semibold">{say("mapPage.tooFew")}</h3>
      <ul className="mt-1 space-y-2">
        {shown.sharing.slice(0, 4).map((one) => (
          <li key={`${one.keep}-${one.drop}`}>
            <Say
              id="mapPage.sharing"
              values={{
                span: <span className="font-medium">{all(one.names)}</span>,
                reverser: Boolean(one.reverser),
              }}
            />
            <ul className="list-disc pl-5 text-soft">
              {one.costs.map((cost) => (
                <li key={cost}>{cost}</li>
              ))}
              <li className="figures">
                {say("mapPage.apart", { length: length(one.apartMm, 1) })}
              </li>
            </ul>{" "}
            <Button
              className="mt-1"
              onClick={() =>
                void worked(
                  share.mutateAsync({ setup: shown.setup, keep: one.keep, drop: one.drop }),
                ).then((done) => done && onTaken())
              }
            >
              {say("mapPage.share")}
            </Button>
          </li>
        ))}
      </ul>
      {share.isError && <Failure error={share.error} />}
    </section>
  );
}
