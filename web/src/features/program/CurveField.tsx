import { useCurvePoint } from "@/api/edits";
import { useFields } from "@/api/queries";
import type { CurvePoint } from "@/api/program";
import type { Scale } from "@/domain/scales";
import { Failure } from "@/ui/message";
import { CurveEditor } from "./CurveEditor";

interface Props {
  points: CurvePoint[];
  label: string;
  scales?: { x: Scale; y: Scale };
  onPoints: (points: CurvePoint[], gesture?: string) => void;
}

/** A curve of the draft: its ranges are the catalogue's, a new point is the core's. */
export function CurveField({ points, label, scales, onPoints }: Props) {
  const fields = useFields();
  const add = useCurvePoint();
  const across = fields.data?.find((one) => one.path === "setup.mixes[].curve[].x");
  const up = fields.data?.find((one) => one.path === "setup.mixes[].curve[].y");
  if (across === undefined || up === undefined) {
    return null;
  }
  return (
    <>
      <CurveEditor
        points={points}
        label={label}
        scales={scales}
        limits={{ x: across, y: up }}
        onPoints={onPoints}
        onAdd={() => add.mutate(points, { onSuccess: (more) => onPoints(more) })}
      />
      {add.isError && <Failure error={add.error} />}
    </>
  );
}
