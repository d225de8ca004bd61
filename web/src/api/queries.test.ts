import { renderHook } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { useOpened } from "./queries";

describe("a form that begins with what was asked", () => {
  it("waits while anything is asked again, and stays open from then on", () => {
    const asked = (first: boolean, second: boolean) => ({ first, second });
    const { result, rerender } = renderHook(
      ({ first, second }) => useOpened({ isFetching: first }, { isFetching: second }),
      { initialProps: asked(true, false) },
    );
    expect(result.current).toBe(false);
    rerender(asked(false, true));
    expect(result.current).toBe(false);
    rerender(asked(false, false));
    expect(result.current).toBe(true);
    rerender(asked(true, true));
    expect(result.current).toBe(true);
  });
});
