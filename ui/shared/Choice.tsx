/** One of several, by its label. */
export function Choice({
  label,
  value,
  options,
  onValue,
}: {
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
  onValue: (v: string) => void;
}) {
  return (
    <label className="flex items-center justify-between gap-2 text-sm">
      <span>{label}</span>
      <select className="select select-sm w-60 flex-none truncate pe-8" value={value} onChange={(e) => onValue(e.target.value)}>
        {options.map(([v, said]) => (
          <option key={v} value={v}>
            {said}
          </option>
        ))}
      </select>
    </label>
  );
}
