import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Setup } from "@/api/queries";
import { BenchStore } from "./store";

interface Sent {
  type: string;
  number: number;
  moment?: { roll: number };
}

/** A socket whose other end is the test. */
class FakeSocket {
  static OPEN = 1;
  static last: FakeSocket;
  readyState = 0;
  sent: Sent[] = [];
  onopen?: () => void;
  onmessage?: (event: { data: string }) => void;
  onclose?: () => void;
  constructor() {
    FakeSocket.last = this;
  }
  send(text: string) {
    this.sent.push(JSON.parse(text) as Sent);
  }
  close() {
    this.onclose?.();
  }
  accept() {
    this.readyState = 1;
    this.onopen?.();
  }
  answer(message: object) {
    this.onmessage?.({ data: JSON.stringify(message) });
  }
}

const setup = { surfaces: [{ id: "elevator" }] } as unknown as Setup;
const still = { busy: false, fadedIn: 1, spoken: [] as string[] };
const frame = (number: number, bench = still) => ({
  type: "frame",
  number,
  tally: {},
  positions: {},
  bench,
});

/** A store with its setup on the bench and its first moment answered. */
function ready(): [BenchStore, FakeSocket] {
  const store = new BenchStore();
  store.open();
  store.load(setup);
  const socket = FakeSocket.last;
  socket.accept();
  socket.answer({ type: "loaded", number: 1, sheets: [] });
  socket.answer(frame(2));
  return [store, socket];
}

describe("the bench's end in the page", () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal("WebSocket", FakeSocket);
    vi.stubGlobal("location", { protocol: "http:", host: "here" });
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it("sends the setup first, then asks for the moment", () => {
    const [store, socket] = ready();
    expect(socket.sent.map((one) => one.type)).toEqual(["load", "move"]);
    expect(store.read().setup).toBe(setup);
    expect(store.read().selected).toBe("elevator");
  });

  it("shows a hazard moment by moment, loses the link in the end, and lets go when the pilot moves", () => {
    const [store] = ready();
    const { moment } = store.read();
    const told = (roll: number) => ({
      ...moment,
      roll,
      readings: { ...moment.readings, timerSeconds: [60], truths: [true] },
    });
    store.showThrough([told(0.2), told(0.4)], 2, true);
    expect(store.read().moment.roll).toBe(0.2);
    vi.advanceTimersByTime(2000);
    expect(store.read().moment.roll).toBe(0.4);
    expect(store.read().moment.readings.truths).toEqual([true]);
    expect(store.read().linkLost).toBe(false);
    vi.advanceTimersByTime(2000);
    expect(store.read().linkLost).toBe(true);
    store.move({ pitch: 0.1 });
    expect(store.read().moment.readings.truths).toEqual([]);
    expect(store.read().moment.roll).toBe(0.4);
  });

  it("asks again while a phase fades, and keeps what a timer said", () => {
    const [store, socket] = ready();
    store.move({ roll: 0.1 });
    socket.answer(frame(3, { busy: true, fadedIn: 0.5, spoken: ["Pack: 30 s"] }));
    expect(store.read().spoken).toBe("Pack: 30 s");
    const before = socket.sent.length;
    vi.advanceTimersByTime(20);
    expect(socket.sent.length).toBe(before + 1);
    socket.answer(frame(4));
    vi.advanceTimersByTime(1000);
    expect(socket.sent.length).toBe(before + 1);
  });

  it("keeps one moment under way and sends only the newest of those that wait", () => {
    const [store, socket] = ready();
    [0.1, 0.2, 0.3, 0.4].forEach((roll) => store.move({ roll }));
    expect(socket.sent.filter((one) => one.type === "move").at(-1)?.moment?.roll).toBe(0.1);
    socket.answer(frame(3));
    expect(socket.sent.filter((one) => one.type === "move").at(-1)?.moment?.roll).toBe(0.4);
    socket.answer(frame(4));
    expect(socket.sent.filter((one) => one.type === "move")).toHaveLength(3);
  });

  it("shows a refusal and goes on after it", () => {
    const [store, socket] = ready();
    store.move({ roll: 0.5 });
    socket.answer({ type: "refused", number: 3, violations: [{ field: "a" }] });
    expect(store.read().refused).toHaveLength(1);
    store.move({ roll: 0.6 });
    socket.answer(frame(4));
    expect(store.read().refused).toEqual([]);
  });

  it("ignores the sheets of a setup that has been replaced meanwhile", () => {
    const [store, socket] = ready();
    const newer = { surfaces: [{ id: "rudder" }] } as unknown as Setup;
    store.load({ ...setup });
    store.load(newer);
    const numbers = socket.sent.filter((one) => one.type === "load").map((one) => one.number);
    socket.answer({ type: "loaded", number: numbers.at(-2), sheets: [{}] });
    expect(store.read().sheets).toEqual([]);
    socket.answer({ type: "loaded", number: numbers.at(-1), sheets: [{}, {}] });
    expect(store.read().setup).toBe(newer);
    expect(store.read().selected).toBe("rudder");
  });

  it("says when the connection is lost, and puts the setup back on the bench", () => {
    const [store, first] = ready();
    first.close();
    expect(store.read().connected).toBe(false);
    vi.advanceTimersByTime(1000);
    expect(FakeSocket.last).not.toBe(first);
    FakeSocket.last.accept();
    expect(store.read().connected).toBe(true);
    expect(FakeSocket.last.sent.map((one) => one.type)).toEqual(["load"]);
    store.close();
    vi.advanceTimersByTime(5000);
    expect(FakeSocket.last.readyState).toBe(1);
  });
});
