import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { answered, api, type Schemas } from "./client";
import type { Setup } from "./queries";

export type Hazard = Schemas["Hazard"];
export type RecipeCard = Schemas["RecipeCard"];
export type Entry = Schemas["Entry"];
export type Mix = Setup["mixes"][number];
export type Phase = Setup["phases"][number];
export type CurvePoint = Mix["curve"][number];

const while_ = { placeholderData: keepPreviousData, retry: false } as const;

export const useProgramSheet = (setup: Setup) =>
  useQuery({
    ...while_,
    queryKey: ["program", setup],
    queryFn: () => answered(api.POST("/api/program/sheet", { body: { setup } })),
  });

export const useHazards = (setup: Setup) =>
  useQuery({
    ...while_,
    queryKey: ["hazards", setup],
    queryFn: ({ signal }) =>
      answered(api.POST("/api/program/hazards", { body: { setup }, signal })),
  });

export const useEntries = (setup: Setup, entered: Setup | undefined) =>
  useQuery({
    ...while_,
    queryKey: ["entries", setup, entered],
    queryFn: () =>
      entered === undefined
        ? answered(api.POST("/api/program/entry-sheet", { body: { setup } }))
        : answered(api.POST("/api/program/entry-sheet/changes", { body: { setup, entered } })),
  });

export const useGallery = () =>
  useQuery({
    queryKey: ["gallery"],
    queryFn: () => answered(api.GET("/api/program/gallery")),
    staleTime: Infinity,
  });

export const useBuildMix = () =>
  useMutation({
    mutationFn: (body: Schemas["RecipeAsked"]) =>
      answered(api.POST("/api/program/gallery", { body })),
  });

export const useAddPhase = () =>
  useMutation({
    mutationFn: (body: Schemas["PhaseWish"]) => answered(api.POST("/api/program/phases", { body })),
  });

export const useFeelStart = () =>
  useMutation({
    mutationFn: (body: Schemas["FeelWish"]) => answered(api.POST("/api/program/feel", { body })),
  });
