import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { answered, api, type Schemas } from "./client";
import type { Setup } from "./queries";

export type Edit = Schemas["Edit"];
export type NewPart = Schemas["NewAsked"]["part"];
export type PartWish = Schemas["PartWish"];

/** The setup an edit made; what goes with it is the removal's to show. */
const made = async (asked: Promise<Schemas["Edited"]>): Promise<Setup> => (await asked).setup;

export const useAddPart = () =>
  useMutation({
    mutationFn: (body: Schemas["PartAsked"]) =>
      made(answered(api.POST("/api/edits/parts", { body }))),
  });

export type NewPartChoice = Schemas["NewPartChoice"];

/** Every sort of part that can be added to a setup, and what is asked for it. */
export const usePartChoices = (setup: Setup) =>
  useQuery({
    queryKey: ["part-choices", setup],
    placeholderData: keepPreviousData,
    queryFn: () => answered(api.POST("/api/edits/parts/choices", { body: { setup } })),
  });

export const useRemovePart = () =>
  useMutation({
    mutationFn: (body: Schemas["PartGone"]) =>
      made(answered(api.POST("/api/edits/parts/remove", { body }))),
  });

export const useMend = () =>
  useMutation({
    mutationFn: (body: Schemas["MendAsked"]) =>
      made(answered(api.POST("/api/edits/mend", { body }))),
  });

export const useAddNew = () =>
  useMutation({
    mutationFn: (body: Schemas["NewAsked"]) => made(answered(api.POST("/api/edits/new", { body }))),
  });

export type WantedMovement = Schemas["WantedMovement"];

/** A preset, rate, differential or mix set by what it moves. */
export const useMovement = () =>
  useMutation({
    mutationFn: (body: Schemas["MovementAsked"]) =>
      made(answered(api.POST("/api/edits/movements", { body }))),
  });

/** An endpoint, limit of travel or sub-trim, by the side the surface goes to. */
export const useOutput = () =>
  useMutation({
    mutationFn: (body: Schemas["OutputWish"]) =>
      made(answered(api.POST("/api/edits/outputs", { body }))),
  });

/** The condition that a switch is at a position, made if there is none. */
export const useSwitchedOn = () =>
  useMutation({
    mutationFn: (body: Schemas["SwitchWish"]) =>
      answered(api.POST("/api/edits/conditions/switch", { body })),
  });

export const useStartPhases = () =>
  useMutation({
    mutationFn: (body: Schemas["PhasesWish"]) =>
      made(answered(api.POST("/api/edits/phases/start", { body }))),
  });

export const useCopy = () =>
  useMutation({
    mutationFn: (body: Schemas["CopyWish"]) =>
      made(answered(api.POST("/api/edits/copies", { body }))),
  });

export const useAddPhase = () =>
  useMutation({
    mutationFn: (body: Schemas["PhaseWish"]) =>
      made(answered(api.POST("/api/edits/phases", { body }))),
  });

export const useBuildMix = () =>
  useMutation({
    mutationFn: (body: Schemas["RecipeAsked"]) =>
      made(answered(api.POST("/api/edits/mixes", { body }))),
  });

export const useMixSource = () =>
  useMutation({
    mutationFn: (body: Schemas["SourceAsked"]) =>
      made(answered(api.POST("/api/edits/mixes/source", { body }))),
  });

export const useConditionLook = () =>
  useMutation({
    mutationFn: (body: Schemas["LookAsked"]) =>
      made(answered(api.POST("/api/edits/conditions/look", { body }))),
  });

export const useCurvePoint = () =>
  useMutation({
    mutationFn: (points: Schemas["CurvePoint"][]) =>
      answered(api.POST("/api/edits/curves/point", { body: { points } })),
  });

export const useFeelStart = () =>
  useMutation({
    mutationFn: (body: Schemas["FeelWish"]) =>
      made(answered(api.POST("/api/edits/feel", { body }))),
  });

export const useRemoval = () =>
  useMutation({
    mutationFn: (body: Schemas["RemovalAsked"]) =>
      answered(api.POST("/api/edits/removal", { body })),
  });

export const usePair = () =>
  useMutation({
    mutationFn: (body: Schemas["PairAsked"]) =>
      made(answered(api.POST("/api/edits/pair", { body }))),
  });

/** A surface or motor renamed, and what was called after it with it. */
export const useRename = () =>
  useMutation({
    mutationFn: (body: Schemas["NameWish"]) =>
      made(answered(api.POST("/api/edits/name", { body }))),
  });
