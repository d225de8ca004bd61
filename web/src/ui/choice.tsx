interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [value: T, words: string])[];
  onValue: (value: T) => void;
}

/** One of a few values. */
export function Choice<T extends string>({ label, value, options, onValue }: Props<T>) {
  return (
    <label className="block min-w-0">
      <span className="mb-0.5 block text-sm text-soft">{label}</span>
      <select
        className="h-9 w-full rounded-card border border-line-strong bg-sheet px-2 font-medium"
        value={value}
        onChange={(event) => onValue(event.target.value as T)}
      >
        {options.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
