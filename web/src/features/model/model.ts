import { createContext, useContext, type Dispatch } from "react";
import type { Standing } from "@/api/queries";
import type { Draft, DraftAction } from "@/domain/draft";

/** The model on the page: what is stored, and the draft being edited. */
export interface Model {
  standing: Standing;
  draft: Draft;
  change: Dispatch<DraftAction>;
}

export const ModelContext = createContext<Model | undefined>(undefined);

/** The model of this page. */
export function useModel(): Model {
  const model = useContext(ModelContext);
  if (model === undefined) {
    throw new Error("There is only a model below /models/…");
  }
  return model;
}

/** Whether the model has a motor: what has none is never asked about one. */
export const useHasMotor = () => useModel().draft.present.airframe.motors.length > 0;
