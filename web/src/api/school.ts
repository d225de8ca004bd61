import { useQuery } from "@tanstack/react-query";
import { answered, api, type Schemas } from "./client";
import { useChange, useOnce } from "./queries";

export type Hall = Schemas["Hall"];
export type SchoolSheet = Schemas["SchoolSheet"];
export type SchoolTest = SchoolSheet["tests"][number];
export type FlownSheet = Schemas["FlownSheet"];
export type FlightSample = FlownSheet["parts"][number][number];
export type Outline = FlownSheet["frame"][number];
export type BothFlown = Schemas["BothFlown"];
export type Manoeuvre = BothFlown["manoeuvre"];

const one = (id: number) => ({ params: { path: { id } } });

/** What is pressed in one practice waits for what was pressed before it. */
const usePressed = <V, T>(id: number, change: (value: V) => Promise<T>) =>
  useChange(change, undefined, `school ${id}`);

/** Lessons, how far they have come, and every practice. */
export const useHall = () =>
  useQuery({ queryKey: ["school"], queryFn: () => answered(api.GET("/api/school")) });

export const usePractice = (id: number) =>
  useQuery({
    queryKey: ["school", id],
    queryFn: () => answered(api.GET("/api/school/{id}", one(id))),
  });

export const useBeginLesson = () =>
  useOnce((body: Schemas["LessonBegun"], header) =>
    answered(api.POST("/api/school/lessons", { params: { header }, body })),
  );

export const useBeginPractice = () =>
  useOnce((body: Schemas["ModelBegun"], header) =>
    answered(api.POST("/api/school/models", { params: { header }, body })),
  );

export const useFlyTest = (id: number) =>
  usePressed(id, (body: Schemas["TestToFly"]) =>
    answered(api.POST("/api/school/{id}/flights", { ...one(id), body })),
  );

export const useSaySeen = (id: number) =>
  usePressed(id, (body: Schemas["TestResult"]) =>
    answered(api.POST("/api/school/{id}/seen", { ...one(id), body })),
  );

export const useMoveOne = (id: number) =>
  usePressed(id, (body: Schemas["LeverChange"]) =>
    answered(api.POST("/api/school/{id}/changes", { ...one(id), body })),
  );

export const useLeaveOut = (id: number) =>
  usePressed(id, (body: Schemas["TestToFly"]) =>
    answered(api.POST("/api/school/{id}/left-out", { ...one(id), body })),
  );

export const useEndPractice = (id: number) =>
  usePressed(id, () =>
    answered(api.PUT("/api/school/{id}/end", { ...one(id), body: { ended: true } })),
  );

/** A draft and what is saved, flown together; stored nowhere. */
export const useFlyThis = (body: Schemas["FlyThis"]) =>
  useQuery({
    queryKey: ["fly-this", body],
    queryFn: () => answered(api.POST("/api/air/fly-this", { body })),
  });
