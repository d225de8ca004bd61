import { Slider } from "radix-ui";
import { useId, type ReactNode } from "react";

interface Props {
  label: ReactNode;
  value: number;
  min: number;
  max: number;
  step?: number;
  /** The value as it is read out and shown. */
  words: string;
  onValue: (value: number) => void;
  className?: string;
}

/** A value on a scale, by dragging or with the arrow keys. */
export function Slide({ label, value, min, max, step = 1, words, onValue, className }: Props) {
  const id = useId();
  return (
    <div className={className}>
      <div className="flex justify-between gap-2 text-sm">
        <span id={id}>{label}</span>
        <span className="figures">{words}</span>
      </div>
      <Slider.Root
        value={[value]}
        min={min}
        max={max}
        step={step}
        onValueChange={([moved]) => moved !== undefined && onValue(moved)}
        className="relative flex h-6 w-full touch-none items-center select-none"
      >
        <Slider.Track className="relative h-1.5 flex-1 rounded-full bg-line-strong">
          <Slider.Range className="absolute h-full rounded-full bg-brand" />
        </Slider.Track>
        <Slider.Thumb
          aria-labelledby={id}
          aria-valuetext={words}
          className="block size-5 rounded-full border-2 border-brand bg-sheet"
        />
      </Slider.Root>
    </div>
  );
}
