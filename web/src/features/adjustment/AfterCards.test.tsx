import { screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { answers, rowsOf, show, told } from "@/test/page";
import { AfterCards } from "./AfterCards";

const { plan } = answers.order;
const entry = (key: string, menu: string, place: string) => ({
  key,
  section: "ENDPOINT" as const,
  place,
  menu,
  what: `what of ${key}`,
  value: `new of ${key}`,
  before: `old of ${key}`,
  twin: "",
});
const entries = [entry("a", "Servo menu", "Channel 1"), entry("b", "", "Channel 2")];
const finding = (surface: string) => ({
  ...(answers.moment.findings[0] as (typeof plan.findings)[number]),
  rule: "LEAN",
  surface,
  title: `Title of ${surface}.`,
  why: `Why of ${surface}.`,
});

describe("what new pushrod lengths bring besides", () => {
  it("has each value to enter at its menu, or its place, in place of the old one", () => {
    show(<AfterCards plan={{ ...plan, findings: [], entries }} />);
    expect(rowsOf(screen.getByRole("table"))).toEqual(
      entries.map((one) => [one.menu || one.place, one.what, one.before, one.value]),
    );
    expect(document.querySelector("[data-new-findings]")).toBeNull();
  });

  it("has each new finding with its own reason", () => {
    show(
      <AfterCards plan={{ ...plan, findings: [finding("left"), finding("right")], entries: [] }} />,
    );
    const lines = [...document.querySelectorAll("[data-new-findings] li")].map(told);
    expect(lines).toEqual(["Title of left. Why of left.", "Title of right. Why of right."]);
    expect(screen.queryByRole("table")).not.toBeInTheDocument();
  });
});
