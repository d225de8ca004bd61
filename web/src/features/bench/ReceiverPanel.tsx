import { figure } from "@/domain/reader";
import { clock, signed } from "@/domain/words";
import { Check } from "@/ui/check";
import { Button } from "@/ui/button";
import { Slide } from "@/ui/slide";
import { useBench, useBenchStore } from "./store";
import { say } from "@/words/generated/bench";

/** The simulated receiver and what watches over it: link, voltage, timers, alarms. */
export function ReceiverPanel() {
  const store = useBenchStore();
  const setup = useBench((state) => state.setup);
  const bench = useBench((state) => state.frame?.bench);
  const readings = useBench((state) => state.moment.readings);
  const lost = useBench((state) => state.linkLost);
  const spoken = useBench((state) => state.spoken);
  if (setup === undefined || bench === undefined) {
    return null;
  }
  const set = (part: Partial<typeof readings>) =>
    store.move({ readings: { ...readings, ...part } });
  return (
    <div className="space-y-2 text-sm">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Check
          className="font-medium"
          checked={lost}
          onChecked={(checked) => store.loseLink(checked)}
          label={<>{say("receiverPanel.linkLost", { lost: Boolean(lost) })}</>}
        />
        <Slide
          className="w-40"
          label={say("receiverPanel.link")}
          min={0}
          max={100}
          value={readings.linkPercent}
          words={`${readings.linkPercent} %`}
          onValue={(linkPercent) => set({ linkPercent })}
        />
        <Slide
          className="w-40"
          label={say("receiverPanel.pack")}
          min={8}
          max={13}
          step={0.1}
          value={readings.voltage}
          words={`${figure(readings.voltage, 1)} V`}
          onValue={(voltage) => set({ voltage })}
        />
      </div>
      <SimpleChannels />
      {setup.power.timers.length > 0 && (
        <ul className="figures flex flex-wrap gap-x-5">
          {setup.power.timers.map((timer, i) => (
            <li key={timer.id} data-timer={timer.id}>
              {timer.name}: <strong>{clock(bench.timerSeconds[i] ?? 0)}</strong>
            </li>
          ))}
        </ul>
      )}
      <Button className="!min-h-8 text-sm" onClick={() => store.switchOn()}>
        {say("receiverPanel.offAndOn")}
      </Button>
      <p role="status" className="min-h-5">
        {bench.alarms.length > 0 ? (
          <strong className="text-grounded">
            {say("receiverPanel.alarm", { alarms: bench.alarms.join(", ") })}
          </strong>
        ) : (
          spoken !== "" && (
            <span className="text-soft">{say("receiverPanel.calledOut", { spoken })}</span>
          )
        )}
      </p>
    </div>
  );
}

/** Channels that follow a switch or lever by themselves: brakes, retracts, lights. */
function SimpleChannels() {
  const channels = useBench((state) => state.setup?.channels) ?? [];
  const inputs = useBench((state) => state.setup?.transmitter.inputs) ?? [];
  const positions = useBench((state) => state.frame?.positions);
  const simple = channels
    .map((channel, i) => ({ channel, i }))
    .filter(({ channel }) => inputs.some((one) => one.id === channel.carries));
  return simple.length === 0 ? null : (
    <ul className="figures flex flex-wrap gap-x-5" aria-label={say("receiverPanel.simpleChannels")}>
      {simple.map(({ channel, i }) => (
        <li key={channel.number} data-simple={channel.carries}>
          {channel.name}: <strong>{signed(positions?.commandPercent[i] ?? 0, 0)} %</strong>
          <span className="text-soft">, {positions?.pulseMicroseconds[i]?.toFixed(0)} µs</span>
        </li>
      ))}
    </ul>
  );
}
