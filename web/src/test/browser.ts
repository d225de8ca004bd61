import "@testing-library/jest-dom/vitest";
import { cleanup, configure } from "@testing-library/react";
import { afterEach, beforeEach, vi } from "vitest";

/** What a real browser has and this stand-in lacks. */
class Observer {
  observe() {}
  unobserve() {}
  disconnect() {}
}

globalThis.ResizeObserver ??= Observer;
Element.prototype.hasPointerCapture ??= () => false;
Element.prototype.setPointerCapture ??= () => {};
Element.prototype.releasePointerCapture ??= () => {};
Element.prototype.scrollIntoView ??= () => {};
window.matchMedia ??= (query: string) =>
  ({ matches: false, media: query, addEventListener() {}, removeEventListener() {} }) as never;

/** In a browser an address without a host is the page's own. */
const Plain = globalThis.Request;
globalThis.Request = class extends Plain {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === "string" ? new URL(input, location.href) : input, init);
  }
};

// What comes late is still waited for: a shared machine may be slow, nothing here is a measurement.
configure({ asyncUtilTimeout: 45_000 });

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
});

afterEach(() => {
  vi.useRealTimers();
  cleanup();
});
