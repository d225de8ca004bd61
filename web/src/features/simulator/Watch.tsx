import { figure } from "@/domain/reader";
import { Pause, Play } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { FlightSample, Outline } from "@/api/school";
import { Button } from "@/ui/button";
import { Check } from "@/ui/check";
import { Slide } from "@/ui/slide";
import { mirrored, placed, shot, type View } from "./air";
import { say } from "@/words/generated/simulator";

const VIEWS: readonly (readonly [View, string])[] = [
  ["pilot", say("watch.pilot")],
  ["side", say("watch.side")],
  ["behind", say("watch.fromBehind")],
];
const WIDTH = 760;
const HEIGHT = 400;
const EVERY = 20;
const RATE = 30;

interface Props {
  /** The path, and what is drawn beside it. */
  path: FlightSample[];
  beside?: FlightSample[] | undefined;
  besideLabel?: string;
  frame: Outline[];
  /** What happens, in words. */
  words: string;
  /** Whether the mirrored flight may be shown beside it. */
  mirror?: boolean;
  /** Whether both are shown from the beginning. */
  together?: boolean;
  /** Live: always at its end, no slider. */
  live?: boolean;
}

/** Pixels a model takes at least from wing tip to wing tip. */
const DRAWN = 84;

const extent = (frame: Outline[]) =>
  Math.max(0.2, ...frame.flatMap((one) => one.corners.map((c) => 2 * Math.abs(c.y))));

const stillWanted = () =>
  typeof matchMedia === "function" && matchMedia("(prefers-reduced-motion: reduce)").matches;

/** A flight to watch: the model along its path, with smoke, horizon and the sticks beside it. */
export function Watch({
  path,
  beside,
  besideLabel = say("watch.otherWay"),
  frame,
  words,
  mirror = false,
  together = false,
  live = false,
}: Props) {
  const [view, setView] = useState<View>("pilot");
  const last = path.length - 1;
  const [moment, setMoment] = useState(stillWanted() ? last : 0);
  const [playing, setPlaying] = useState(!live && !stillWanted());
  const [half, setHalf] = useState(false);
  const [both, setBoth] = useState(together);
  const at = live ? last : Math.min(moment, last);
  useEffect(() => {
    if (!playing || live) {
      return undefined;
    }
    const timer = setInterval(
      () =>
        setMoment((now) => {
          if (now >= last) {
            setPlaying(false);
            return last;
          }
          return now + 1;
        }),
      1000 / (half ? RATE / 2 : RATE),
    );
    return () => clearInterval(timer);
  }, [playing, half, last, live]);
  const other = both ? (beside ?? (mirror ? mirrored(path) : undefined)) : undefined;
  const now = path[at];
  if (now === undefined) {
    return null;
  }
  return (
    <figure data-watch className="space-y-2">
      <div role="group" aria-label={say("watch.viewpoint")} className="flex flex-wrap gap-2">
        {VIEWS.map(([one, label]) => (
          <Button
            key={one}
            look={view === one ? "main" : "plain"}
            aria-pressed={view === one}
            onClick={() => setView(one)}
          >
            {label}
          </Button>
        ))}
        {(mirror || beside !== undefined) && (
          <Check label={besideLabel} checked={both} onChecked={setBoth} />
        )}
      </div>
      <div className="grid gap-3 sm:grid-cols-[1fr_auto]">
        <Picture view={view} path={path} other={other} at={at} frame={frame} words={words} />
        <Sticks s={now} />
      </div>
      {!live && (
        <div className="flex items-end gap-3">
          <Button
            aria-label={playing ? say("watch.stop") : say("watch.play")}
            className="min-h-11"
            onClick={() => {
              setMoment(at >= last ? 0 : at);
              setPlaying(!playing);
            }}
          >
            {playing ? <Pause aria-hidden size={18} /> : <Play aria-hidden size={18} />}
          </Button>
          <Slide
            className="flex-1"
            label={say("watch.time")}
            value={at}
            min={0}
            max={last}
            words={say("watch.played", {
              figure: figure(now.seconds, 1),
              figureOther: figure(path[last]?.seconds ?? 0, 1),
            })}
            onValue={(value) => {
              setPlaying(false);
              setMoment(value);
            }}
          />
          <Check label={say("watch.halfSpeed")} checked={half} onChecked={setHalf} />
        </div>
      )}
      <figcaption className="text-sm text-soft">{say("watch.simulated", { words })}</figcaption>
    </figure>
  );
}

interface PictureProps {
  view: View;
  path: FlightSample[];
  other: FlightSample[] | undefined;
  at: number;
  frame: Outline[];
  words: string;
}

function Picture({ view, path, other, at, frame, words }: PictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const paper = canvas.current?.getContext("2d");
    if (canvas.current === null || paper === null || paper === undefined) {
      return;
    }
    const style = getComputedStyle(canvas.current);
    const colour = (name: string, fallback: string) =>
      style.getPropertyValue(name).trim() || fallback;
    const { at: place, horizon } = shot(
      view,
      other === undefined ? [path] : [path, other],
      WIDTH,
      HEIGHT,
    );
    paper.clearRect(0, 0, WIDTH, HEIGHT);
    if (horizon !== undefined && horizon < HEIGHT) {
      paper.fillStyle = colour("--inset", "#eee");
      paper.fillRect(0, Math.max(0, horizon), WIDTH, HEIGHT - Math.max(0, horizon));
      paper.strokeStyle = colour("--line-strong", "#999");
      paper.lineWidth = 1;
      paper.beginPath();
      paper.moveTo(0, horizon);
      paper.lineTo(WIDTH, horizon);
      paper.stroke();
    }
    const smoke = (line: FlightSample[], until: number, ink: string, dash: number[]) => {
      paper.strokeStyle = ink;
      paper.lineWidth = 2;
      paper.setLineDash(dash);
      paper.beginPath();
      let drawn = false;
      for (const s of line.slice(0, until + 1)) {
        const spot = place([s.northM, s.eastM, s.upM]);
        if (spot !== undefined) {
          paper[drawn ? "lineTo" : "moveTo"](spot[0], spot[1]);
          drawn = true;
        }
      }
      paper.stroke();
      paper.setLineDash([]);
    };
    // A model is drawn large enough to read its attitude, never smaller than it is.
    const size = extent(frame);
    const larger = (s: FlightSample) => {
      const here = place([s.northM, s.eastM, s.upM]);
      const there = place([s.northM, s.eastM, s.upM + 1]);
      const metre =
        here === undefined || there === undefined
          ? 1
          : Math.hypot(there[0] - here[0], there[1] - here[1]);
      return Math.max(1, DRAWN / Math.max(1, metre * size));
    };
    const model = (s: FlightSample, ink: string, wide: number) => {
      paper.strokeStyle = ink;
      paper.fillStyle = colour("--sheet", "#fff");
      paper.lineWidth = wide;
      for (const { corners, part } of placed(frame, s, larger(s))) {
        paper.beginPath();
        corners.forEach((corner, i) => {
          const spot = place(corner);
          if (spot !== undefined) {
            paper[i === 0 ? "moveTo" : "lineTo"](spot[0], spot[1]);
          }
        });
        paper.closePath();
        if (part !== "BODY") {
          paper.fill();
        }
        paper.stroke();
      }
    };
    const faint = colour("--line-strong", "#999");
    const soft = colour("--soft", "#555");
    if (other !== undefined) {
      smoke(other, Math.min(at, other.length - 1), soft, [6, 5]);
      const there = other[Math.min(at, other.length - 1)];
      if (there !== undefined) {
        model(there, soft, 1);
      }
    }
    smoke(path, at, colour("--brand", "#14453d"), []);
    for (let i = 0; i < at; i += EVERY) {
      const s = path[i];
      if (s !== undefined) {
        model(s, faint, 1);
      }
    }
    const now = path[at];
    if (now !== undefined) {
      model(now, colour("--ink", "#111"), 1.6);
    }
  }, [view, path, other, at, frame]);
  return (
    <canvas
      ref={canvas}
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={words}
      className="h-auto w-full rounded-card border border-line bg-sheet"
    />
  );
}

/** What the pilot's hands do at that moment. */
function Sticks({ s }: { s: FlightSample }) {
  return (
    <div className="flex gap-3 sm:flex-col" aria-hidden>
      <Pad label={say("watch.rudderThrottle")} x={s.yaw} y={1 - 2 * s.throttle} />
      <Pad label={say("watch.aileronElevator")} x={s.roll} y={s.pitch} />
    </div>
  );
}

function Pad({ label, x, y }: { label: string; x: number; y: number }) {
  return (
    <svg viewBox="-50 -50 100 112" className="w-28">
      <rect
        x="-44"
        y="-44"
        width="88"
        height="88"
        rx="8"
        className="fill-inset stroke-line-strong"
      />
      <path d="M-44 0H44M0-44V44" className="stroke-line" />
      <circle cx={x * 36} cy={y * 36} r="8" className="fill-brand" />
      <text y="60" textAnchor="middle" className="fill-soft text-[12px]">
        {label}
      </text>
    </svg>
  );
}
