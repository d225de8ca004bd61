import { readerHeaders } from "@/domain/reader";
import { createContext, useContext, useSyncExternalStore } from "react";
import type { Schemas, Violation } from "@/api/client";
import type { Setup } from "@/api/queries";
import { say } from "@/words/generated/bench";

export type Moment = Schemas["Moment"];
export type Frame = Schemas["Frame"];
export type Sheet = Schemas["SurfaceSheet"];
export type Finding = Schemas["Finding"];
export type Scene = Schemas["Scene"];

/** What the bench shows now. */
export interface BenchState {
  connected: boolean;
  moment: Moment;
  selected: string;
  /** The setup the sheets and the frame belong to; a frame never meets another setup's drawing. */
  setup: Setup | undefined;
  sheets: Sheet[];
  findings: Finding[];
  frame: Frame | undefined;
  refused: Violation[];
  /** Whether the simulated receiver hears nothing. */
  linkLost: boolean;
  /** What the timers said last. */
  spoken: string;
  /** Whether movements are being kept for a scene. */
  recording: boolean;
}

type Answer =
  | { type: "loaded"; number: number; sheets: Sheet[]; findings: Finding[] }
  | ({ type: "frame" } & Frame)
  | { type: "switched-on"; number: number }
  | { type: "refused"; number: number; violations: Violation[] };

const RETRY_MS = 1000;
const FADE_MS = 16;
const TIMER_MS = 200;
const MOST_STEPS = 20_000;
const REST: Moment = {
  roll: 0,
  pitch: 0,
  yaw: 0,
  throttle: 0,
  throttleCut: true,
  trims: { roll: 0, pitch: 0, yaw: 0 },
  inputs: [],
  readings: { linkPercent: 100, voltage: 12.6, timerSeconds: [], truths: [] },
};

/**
 * The page's end of the bench. At most one moment is under way; while it is, only the newest one
 * waits, so a slow answer never makes a queue.
 */
export class BenchStore {
  private state: BenchState = {
    connected: false,
    moment: REST,
    selected: "",
    setup: undefined,
    sheets: [],
    findings: [],
    frame: undefined,
    refused: [],
    linkLost: false,
    spoken: "",
    recording: false,
  };
  private listeners = new Set<() => void>();
  private socket: WebSocket | undefined;
  private number = 0;
  private loading: { number: number; setup: Setup } | undefined;
  private wanted: Setup | undefined;
  private underWay = false;
  private waiting = false;
  private closed = false;
  private begun: number | undefined;
  private recorded: Scene["steps"] = [];
  private playing: ReturnType<typeof setTimeout> | undefined;
  private losing: ReturnType<typeof setTimeout> | undefined;
  private later: ReturnType<typeof setTimeout> | undefined;

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };
  readonly read = () => this.state;

  /**
   * @param chosen id of the surface whose tally is shown first
   * @param onChosen told of every other one that is chosen
   */
  constructor(
    chosen = "",
    private readonly onChosen: (surface: string) => void = () => {},
  ) {
    this.state = { ...this.state, selected: chosen };
  }

  /** Opens the connection, and again whenever it breaks. */
  open(): void {
    this.closed = false;
    const scheme = location.protocol === "https:" ? "wss" : "ws";
    const socket = new WebSocket(
      `${scheme}://${location.host}/api/bench?${new URLSearchParams(readerHeaders())}`,
    );
    this.socket = socket;
    socket.onopen = () => {
      this.underWay = false;
      this.change({ connected: true });
      this.sendSetup();
    };
    socket.onmessage = (event) => this.answer(JSON.parse(event.data as string) as Answer);
    socket.onclose = () => {
      this.change({ connected: false });
      if (!this.closed) {
        setTimeout(() => this.open(), RETRY_MS);
      }
    };
  }

  /** Closes it for good. */
  close(): void {
    this.closed = true;
    clearTimeout(this.later);
    clearTimeout(this.playing);
    clearTimeout(this.losing);
    this.socket?.close();
  }

  /** Puts a setup on the bench. */
  load(setup: Setup): void {
    this.wanted = setup;
    if (!setup.surfaces.some((surface) => surface.id === this.state.selected)) {
      this.change({ selected: setup.surfaces[0]?.id ?? "" });
    }
    this.sendSetup();
  }

  /** Moves sticks, trims or the cut. */
  move(part: Partial<Moment>): void {
    const { moment } = this.state;
    // What a hazard said to be so no longer is once the pilot takes over.
    const readings = { ...moment.readings, truths: [] };
    this.change({ moment: { ...moment, readings, ...part } });
    this.note();
    this.ask();
  }

  /** Moves through some moments, one after the other, as long apart as said. */
  moveThrough(moments: readonly Partial<Moment>[], seconds: number): void {
    clearTimeout(this.playing);
    clearTimeout(this.losing);
    const next = (index: number) => {
      const moment = moments[index];
      if (moment !== undefined) {
        this.move(moment);
        this.playing = setTimeout(() => next(index + 1), 1000 * seconds);
      }
    };
    next(0);
  }

  /** Shows moments one after the other, the link lost after the last of them where that is asked. */
  showThrough(moments: readonly Moment[], seconds: number, linkLost: boolean): void {
    this.change({ linkLost: false });
    this.moveThrough(moments, seconds);
    if (linkLost) {
      this.losing = setTimeout(
        () => {
          this.change({ linkLost: true });
          this.note();
          this.ask();
        },
        1000 * seconds * moments.length,
      );
    }
  }

  /** Switches the simulated transmitter off and on again. */
  switchOn(): void {
    if (this.socket?.readyState === WebSocket.OPEN) {
      this.send({ type: "switch-on", number: ++this.number });
      this.ask();
    }
  }

  /** Begins to keep every movement with its time. */
  record(): void {
    clearTimeout(this.playing);
    this.begun = performance.now();
    this.recorded = [];
    this.change({ recording: true });
    this.note();
  }

  /** Ends the recording; undefined if none was begun. */
  stopRecording(): Scene | undefined {
    if (this.begun === undefined) {
      return undefined;
    }
    const seconds = Math.max(0.5, (performance.now() - this.begun) / 1000);
    this.begun = undefined;
    this.change({ recording: false });
    return { formatVersion: 1, name: say("store.recorded"), steps: this.recorded, seconds };
  }

  /** Plays a scene on the bench in real time; the aircraft and the pads follow. */
  play(scene: Scene, at: (seconds: number) => void): void {
    clearTimeout(this.playing);
    const start = performance.now();
    const next = (index: number) => {
      const step = scene.steps[index];
      if (step === undefined) {
        return;
      }
      this.playing = setTimeout(
        () => {
          this.change({ moment: step.moment, linkLost: step.linkLost });
          at(step.atSeconds);
          this.ask();
          next(index + 1);
        },
        Math.max(0, start + 1000 * step.atSeconds - performance.now()),
      );
    };
    next(0);
  }

  private note(): void {
    if (this.begun !== undefined && this.recorded.length < MOST_STEPS) {
      const atSeconds = (performance.now() - this.begun) / 1000;
      const { moment, linkLost } = this.state;
      this.recorded.push({ atSeconds, moment, linkLost });
    }
  }

  /** Takes the link away from the simulated receiver, or gives it back. */
  loseLink(linkLost: boolean): void {
    this.change({ linkLost });
    this.note();
    this.ask();
  }

  /** Chooses the surface whose tally is shown. */
  select(selected: string): void {
    this.onChosen(selected);
    this.change({ selected });
    this.ask();
  }

  private sendSetup(): void {
    if (this.wanted !== undefined && this.socket?.readyState === WebSocket.OPEN) {
      this.loading = { number: ++this.number, setup: this.wanted };
      this.send({ type: "load", ...this.loading });
    }
  }

  private ask(): void {
    if (this.underWay) {
      this.waiting = true;
      return;
    }
    const ready = this.state.setup !== undefined && this.state.selected !== "";
    if (ready && this.socket?.readyState === WebSocket.OPEN) {
      this.underWay = true;
      const { moment, selected, linkLost } = this.state;
      const atMilliseconds = performance.now();
      this.send({
        type: "move",
        number: ++this.number,
        moment,
        selected,
        atMilliseconds,
        linkLost,
      });
    }
  }

  private answer(answer: Answer): void {
    switch (answer.type) {
      case "loaded":
        if (answer.number === this.loading?.number) {
          const { sheets, findings } = answer;
          this.change({ setup: this.loading.setup, sheets, findings, refused: [] });
          this.ask();
        }
        return;
      case "frame":
        this.underWay = false;
        this.change({
          frame: answer,
          refused: [],
          ...(answer.bench.spoken.length > 0 ? { spoken: answer.bench.spoken.join(", ") } : {}),
        });
        this.goOn(answer);
        break;
      case "switched-on":
        return;
      case "refused":
        this.underWay = false;
        this.change({ refused: answer.violations });
    }
    if (this.waiting) {
      this.waiting = false;
      this.ask();
    }
  }

  /** While something moves by itself the bench is asked again: often for a fade, less for a timer. */
  private goOn(frame: Frame): void {
    clearTimeout(this.later);
    if (frame.bench.busy) {
      this.later = setTimeout(() => this.ask(), frame.bench.fadedIn < 1 ? FADE_MS : TIMER_MS);
    }
  }

  private send(message: unknown): void {
    this.socket?.send(JSON.stringify(message));
  }

  private change(part: Partial<BenchState>): void {
    this.state = { ...this.state, ...part };
    this.listeners.forEach((listener) => listener());
  }
}

export const BenchContext = createContext<BenchStore | undefined>(undefined);

/** The bench of the model on the page. */
export function useBenchStore(): BenchStore {
  const store = useContext(BenchContext);
  if (store === undefined) {
    throw new Error("The bench is only there on a model's pages");
  }
  return store;
}

/** A part of what the bench shows; the component redraws only when that part changes. */
export function useBench<T>(select: (state: BenchState) => T): T {
  const store = useBenchStore();
  return useSyncExternalStore(store.subscribe, () => select(store.read()));
}
