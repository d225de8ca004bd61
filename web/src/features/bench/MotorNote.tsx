import { figure } from "@/domain/reader";
import { percent } from "@/domain/words";
import { useBench } from "./store";
import { Say, say } from "@/words/generated/bench";

/** What the throttle channel is told; a word with the number, since it is the one that hurts. */
export function MotorNote({ mode }: { mode: number }) {
  const setup = useBench((state) => state.setup);
  const positions = useBench((state) => state.frame?.positions);
  const i = setup?.channels.findIndex((channel) => channel.carries === "throttle") ?? -1;
  const told = useBench((state) => state.frame?.bench.motorPower);
  const backwards = useBench((state) => state.frame?.bench.motorBackwards);
  const pulse = positions?.pulseMicroseconds[i];
  if (told === undefined || pulse === undefined || setup?.airframe.motors.length === 0) {
    return null;
  }
  const power = percent(told);
  return (
    <p className="mt-1 text-xs text-soft">
      <Say
        id="motorNote.simulated"
        values={{
          span: (
            <span className={power > 0 ? "font-semibold text-grounded" : ""}>
              {power > 0
                ? say("motorNote.commanded", { backwards: backwards === true, power })
                : say("motorNote.motorStopped")}
            </span>
          ),
          figure: figure(pulse, 0),
          mode,
        }}
      />
    </p>
  );
}
