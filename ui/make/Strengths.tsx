'use client';
import { amount } from '@/core/message';
import { partName, TEMPLATES, TemplateName } from '@/core/proportion/templates';
import { useSay } from '../words/Words';

interface Props {
  template: TemplateName;
  strength: number;
  parts: Record<string, number>;
  onChange: (strength: number, parts: Record<string, number>) => void;
}

/** One slider for all, and one for each part that goes its own way. */
export function Strengths({ template, strength, parts, onChange }: Props) {
  const say = useSay();
  const slider = (value: number, label: string, change: (v: number) => void) => (
    <input
      type="range"
      aria-label={label}
      className="range range-sm w-full"
      min={0}
      max={100}
      value={Math.round(100 * value)}
      onChange={(e) => change(Number(e.target.value) / 100)}
    />
  );
  return (
    <section className="mt-3">
      <h2 className="text-lg font-semibold">{say('make.strength')}</h2>
      {slider(strength, say('make.strength'), (v) => onChange(v, parts))}
      <p className="flex justify-between text-sm">
        <span>{say('make.reference')}</span>
        <span>{say.amount(strength, 'share')}</span>
        <span>{say('make.manner')}</span>
      </p>
      <details className="mt-1" open={Object.keys(parts).some((p) => TEMPLATES[template].parts.includes(p))}>
        <summary>{say('make.partByPart')}</summary>
        <ul className="mt-1 grid gap-1">
          {TEMPLATES[template].parts.map((part) => {
            const name = partName(template, part);
            const own = parts[part];
            return (
              <li key={part} className="grid grid-cols-[8.5rem_1fr_4.5rem] items-center gap-2 text-sm">
                <span>{say(name)}</span>
                {slider(own ?? strength, say(name), (v) => onChange(strength, { ...parts, [part]: v }))}
                {own === undefined ? (
                  <span>{say('make.asRest')}</span>
                ) : (
                  <button
                    type="button"
                    className="link text-start"
                    aria-label={say('make.partAsRest', { part: name })}
                    onClick={() => {
                      const { [part]: _own, ...others } = parts;
                      onChange(strength, others);
                    }}
                  >
                    {say('make.partOwn', { share: amount(own, 'share') })}
                  </button>
                )}
              </li>
            );
          })}
        </ul>
      </details>
    </section>
  );
}
