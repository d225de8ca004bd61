import { readerHeaders } from "@/domain/reader";
import { useEffect, useRef, useState } from "react";
import { Link, useParams } from "react-router";
import type { Schemas, Violation } from "@/api/client";
import { usePractice, type FlightSample, type Outline } from "@/api/school";
import { wayWords } from "@/domain/words";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { Stepper } from "@/ui/stepper";
import { Watch } from "@/features/simulator/Watch";
import { say } from "@/words/generated/school";

type Trims = Schemas["Trims"];

interface Heard {
  flight: {
    samples: FlightSample[];
    path: number;
    bank: number;
    free: number;
    stays: boolean;
    ended: boolean;
  } | null;
  words: string | null;
  frame: Outline[];
  violations: Violation[];
}

const TICK_MS = 100;
const TICK_SECONDS = 0.1;
const KEPT = 240;
const RANGE = 60;
const SIDES = wayWords(true);
const CONTROLS = [
  ["pitch", say("handsOffPage.pitchTrim"), say("handsOffPage.up"), say("handsOffPage.down")],
  ["roll", say("handsOffPage.rollTrim"), ...SIDES],
  ["yaw", say("handsOffPage.yawTrim"), ...SIDES],
] as const;

/** Level flight, live: hold it level, let go, click the trims, until it stays. */
export function HandsOffPage() {
  const id = Number(useParams().practiceId);
  const practice = usePractice(id);
  if (practice.data === undefined) {
    return practice.isError ? (
      <Failure error={practice.error} />
    ) : (
      <Waiting what={say("handsOffPage.theModel")} />
    );
  }
  return <HandsOff key={id} id={id} name={practice.data.name} />;
}

function HandsOff({ id, name }: { id: number; name: string }) {
  const live = useLive(id);
  const { trims, held, now, path, frame } = live;
  const words = live.words === "" ? say("handsOffPage.waiting") : live.words;
  return (
    <div className="mx-auto max-w-6xl space-y-4 p-4">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-2xl">{say("handsOffPage.handsOff", { name })}</h1>
        <Link to={`/school/${id}`} className="underline">
          {say("handsOffPage.back")}
        </Link>
      </div>
      {live.wrong.map((one) => (
        <p key={one.field} role="alert" className="border-l-4 border-grounded bg-inset px-4 py-3">
          <strong>{one.field}</strong>: {one.requirement}.
        </p>
      ))}
      <div className="grid gap-4 lg:grid-cols-[1fr_20rem]">
        <Card>
          {path.length > 0 && frame.length > 0 && (
            <Watch path={path} frame={frame} words={words} live />
          )}
        </Card>
        <div className="space-y-3">
          <Card
            title={
              now?.stays
                ? say("handsOffPage.straight")
                : held
                  ? say("handsOffPage.held")
                  : say("handsOffPage.state")
            }
          >
            <p
              className="figures mb-3 text-lg"
              role="status"
              data-stays={now?.stays === true}
              data-free={now?.free ?? 0}
            >
              {words}
            </p>
            <Button look="main" large className="w-full" onClick={live.turn}>
              {held ? say("handsOffPage.release") : say("handsOffPage.again")}
            </Button>
            {now?.ended === true && <p className="mt-2">{say("handsOffPage.leftRange")}</p>}
          </Card>
          <Card title={say("handsOffPage.trims")}>
            <div className="space-y-3">
              {CONTROLS.map(([control, label, plus, minus]) => (
                <div key={control}>
                  <p className="text-sm text-soft">{label}</p>
                  <Stepper
                    label={label}
                    value={trims[control]}
                    min={-RANGE}
                    max={RANGE}
                    large
                    words={
                      trims[control] === 0
                        ? say("handsOffPage.clicksWord")
                        : say("handsOffPage.clicks", { trims: trims[control] > 0 ? plus : minus })
                    }
                    onValue={(value) => live.trim({ ...trims, [control]: value })}
                  />
                </div>
              ))}
            </div>
          </Card>
        </div>
      </div>
    </div>
  );
}

/** The page's end of the live flight: one message at a time, as fast as the clock. */
function useLive(id: number) {
  const [trims, setTrims] = useState<Trims>({ roll: 0, pitch: 0, yaw: 0 });
  const [held, setHeld] = useState(true);
  const [now, setNow] = useState<Heard["flight"]>();
  const [words, setWords] = useState("");
  const [path, setPath] = useState<FlightSample[]>([]);
  const [frame, setFrame] = useState<Outline[]>([]);
  const [wrong, setWrong] = useState<Violation[]>([]);
  const wish = useRef({ trims, held, again: false });
  useEffect(() => {
    wish.current = { ...wish.current, trims, held };
  }, [trims, held]);
  useEffect(() => {
    const scheme = location.protocol === "https:" ? "wss" : "ws";
    const socket = new WebSocket(
      `${scheme}://${location.host}/api/air/live?${new URLSearchParams(readerHeaders())}`,
    );
    let timer: ReturnType<typeof setTimeout> | undefined;
    let closed = false;
    const send = (begin: number, seconds: number) => {
      const { trims: clicked, held: holds } = wish.current;
      socket.send(
        JSON.stringify({ begin, phase: "", seconds, trims: clicked, held: begin > 0 || holds }),
      );
    };
    socket.onopen = () => send(id, 0);
    socket.onmessage = (event) => {
      const heard = JSON.parse(event.data as string) as Heard;
      setWrong(heard.violations);
      const { flight } = heard;
      if (heard.frame.length > 0) {
        setFrame(heard.frame);
        setPath([]);
      }
      if (flight !== null) {
        setNow(flight);
        setWords(heard.words ?? "");
        setPath((before) => [...before, ...flight.samples].slice(-KEPT));
      }
      timer = setTimeout(() => {
        if (!closed && heard.violations.length === 0) {
          const again = wish.current.again;
          wish.current.again = false;
          send(again ? id : 0, again ? 0 : TICK_SECONDS);
        }
      }, TICK_MS);
    };
    return () => {
      closed = true;
      clearTimeout(timer);
      socket.close();
    };
  }, [id]);
  const turn = () => {
    if (!held) {
      wish.current.again = true;
    }
    setHeld(!held);
  };
  return { trims, trim: setTrims, held, turn, now, words, path, frame, wrong };
}
