'use client';
import type { Template } from '@/core/proportion/template';

interface Props {
  template: Template;
  /** The point that is asked for: it stands out. */
  next?: string | null;
  /** Points that have been placed: they are filled. Without them the figure alone is drawn. */
  placed?: ReadonlySet<string>;
  className?: string;
}

/** Room round a figure, in hundredths of its own box: paths reach a little beyond their points. */
const MARGIN = 14;

/** A template drawn small, its points where they usually stand. */
export function TemplateDiagram({ template, next = null, placed, className }: Props) {
  const { points, drawing } = template;
  const ends = (axis: 0 | 1) => [
    Math.min(0, ...points.map((p) => 100 * p.at[axis])),
    Math.max(100, ...points.map((p) => 100 * p.at[axis])),
  ];
  const [[left, right], [top, bottom]] = [ends(0), ends(1)];
  const asked = points.find((p) => p.name === next);
  return (
    <svg
      aria-hidden
      viewBox={`${left - MARGIN} ${top - MARGIN} ${right - left + 2 * MARGIN} ${bottom - top + 2 * MARGIN}`}
      className={className}
    >
      <g fill="none" stroke="currentColor" strokeWidth={1.6} strokeLinejoin="round" strokeLinecap="round" opacity={placed ? 0.55 : 0.85}>
        {drawing.map((d) => (
          <path key={d} d={d} />
        ))}
      </g>
      {placed &&
        points.map((p) => (
          <circle
            key={p.name}
            cx={100 * p.at[0]}
            cy={100 * p.at[1]}
            r={1.8}
            fill={placed.has(p.name) ? 'currentColor' : 'var(--color-base-100)'}
            stroke="currentColor"
            strokeWidth={0.8}
          />
        ))}
      {asked && (
        <g className="text-primary" fill="none" stroke="currentColor">
          <circle cx={100 * asked.at[0]} cy={100 * asked.at[1]} r={6} strokeWidth={2.4} />
          <circle cx={100 * asked.at[0]} cy={100 * asked.at[1]} r={2.2} fill="currentColor" />
        </g>
      )}
    </svg>
  );
}
