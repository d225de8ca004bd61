import type { Channel, Setup, Surface } from "@/api/queries";
import { inOrder } from "@/domain/lists";
import { travel } from "@/domain/words";
import { useBench, useBenchStore } from "@/features/bench/store";
import { Card } from "@/ui/card";
import { useModel } from "@/features/model/model";
import { say } from "@/words/generated/aircraft";

/** Channel by channel: what it carries, the servo behind it, and every surface that moves with it. */
export function ChannelMap() {
  const { draft } = useModel();
  const channels = inOrder(draft.present.channels, (one) => one.number);
  return (
    <Card title={say("channelMap.channelMap")} className="!p-3">
      <ol className="space-y-2">
        {channels.map((channel) => (
          <li key={channel.number} className="border-t border-line pt-2 first:border-0 first:pt-0">
            <div className="flex items-baseline gap-2 text-sm">
              <span className="figures grid size-6 shrink-0 place-items-center rounded-full bg-ink text-xs font-bold text-sheet">
                {channel.number}
              </span>
              <span className="font-semibold">{channel.name}</span>
              {channel.reversed && (
                <span className="text-xs text-soft">{say("channelMap.reversed")}</span>
              )}
            </div>
            <Behind channel={channel} setup={draft.present} />
          </li>
        ))}
      </ol>
    </Card>
  );
}

function Behind({ channel, setup }: { channel: Channel; setup: Setup }) {
  if (channel.carries === "throttle") {
    return <p className="pl-8 text-sm text-soft">{say("channelMap.motorController")}</p>;
  }
  const servos = setup.servos.filter((servo) => servo.channel === channel.number);
  return (
    <ul className="pl-8">
      {servos.map((servo) => (
        <li key={servo.id}>
          <span className="text-xs text-soft">{servo.name}</span>
          <Driven driver={servo.id} setup={setup} />
        </li>
      ))}
    </ul>
  );
}

/** Surfaces behind a servo, and behind them those on slave rods. */
function Driven({ driver, setup }: { driver: string; setup: Setup }) {
  const surfaces = setup.surfaces.filter((surface) => surface.rod.driverId === driver);
  return surfaces.length === 0 ? null : (
    <ul>
      {surfaces.map((surface) => (
        <li key={surface.id}>
          <SurfaceButton surface={surface} index={setup.surfaces.indexOf(surface)} />
          <div className="ml-2 border-l border-line-strong pl-2">
            <Driven driver={surface.id} setup={setup} />
          </div>
        </li>
      ))}
    </ul>
  );
}

function SurfaceButton({ surface, index }: { surface: Surface; index: number }) {
  const store = useBenchStore();
  const chosen = useBench((state) => state.selected === surface.id);
  const mm = useBench((state) => state.frame?.positions.travelMm[index]);
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={() => store.select(surface.id)}
      className={`my-0.5 flex w-full items-baseline justify-between gap-2 rounded-card border px-2 py-1 text-left text-sm ${chosen ? "border-brand bg-brand text-on-brand" : "border-line hover:bg-inset"}`}
    >
      <span>{surface.name}</span>
      <span className="figures text-xs whitespace-nowrap">
        {mm === undefined ? "" : travel(mm, surface)}
      </span>
    </button>
  );
}
