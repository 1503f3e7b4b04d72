'use client';

interface Props {
  value: number | null;
  low: number;
  high: number;
  /** How finely it counts; whole numbers where nothing is said. */
  step?: number;
  /** Whether it may be left empty. */
  optional?: boolean;
  placeholder?: string;
  label?: string;
  /** In a row of small things, so wide; else it fills its place. */
  small?: string;
  onSet: (value: number | null) => void;
}

/** A number that counts once it has been typed to its end and lies between its bounds; otherwise the one before stands again. */
export function NumberInput({ value, low, high, step = 1, optional, placeholder, label, small, onSet }: Props) {
  return (
    <input
      // A number from elsewhere takes the place of what stands there.
      key={value ?? ''}
      type="number"
      className={`input ${small ? `input-xs ${small}` : 'input-sm w-full'}`}
      aria-label={label}
      min={low}
      max={high}
      step={step}
      placeholder={placeholder}
      defaultValue={value ?? ''}
      onBlur={(e) => {
        const empty = e.target.value === '';
        const typed = step === 1 ? Math.round(e.target.valueAsNumber) : e.target.valueAsNumber;
        if (empty && optional) {
          if (value !== null) onSet(null);
        } else if (typed >= low && typed <= high) {
          if (typed !== value) onSet(typed);
        } else e.target.value = value === null ? '' : String(value);
      }}
    />
  );
}
