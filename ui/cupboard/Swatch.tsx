/** A material as it looks: paint laid thick and let down, a colour drawn with, a sheet, or the lines a tool draws. */
import { isLaid } from '@/core/colour/materials';
import type { KeptMaterial } from './kit';

export function Swatch({
  material: { kind, masstone, tint, properties },
}: {
  material: Pick<KeptMaterial, 'kind' | 'masstone' | 'tint' | 'properties'>;
}) {
  if (kind === 'tool') {
    const { leastMm = 1, mostMm = leastMm, taper } = properties;
    const [thin, thick] = [leastMm, mostMm].map((mm) => Math.max(0.6, Math.min(14, 2 * mm)));
    return (
      <svg aria-hidden viewBox="0 0 100 56" className="h-14 w-full bg-white">
        {taper ? (
          <path d={`M8 28Q50 ${28 - thick} 92 ${28 - thin / 2}L92 ${28 + thin / 2}Q50 ${28 + thick} 8 28Z`} fill="#111" />
        ) : (
          <g stroke="#111" strokeLinecap="round">
            <path d="M8 20H92" strokeWidth={thin} />
            <path d="M8 40H92" strokeWidth={thick} />
          </g>
        )}
      </svg>
    );
  }
  const colour = masstone ?? '#ffffff';
  if (kind === 'paper')
    return (
      <span aria-hidden className="bench flex h-14 items-center justify-center p-2">
        <span
          className="h-full"
          style={{ background: colour, aspectRatio: `${properties.widthMm ?? 297} / ${properties.heightMm ?? 210}` }}
        />
      </span>
    );
  if (isLaid(kind))
    return (
      <svg aria-hidden viewBox="0 0 100 56" className="h-14 w-full bg-white">
        {Array.from({ length: 9 }, (_, i) => (
          <path
            key={i}
            d={`M${6 + 10 * i} ${48 - (i % 2) * 3}L${14 + 10 * i} ${8 + (i % 3) * 2}`}
            stroke={colour}
            strokeWidth="9"
            strokeLinecap="round"
          />
        ))}
      </svg>
    );
  return (
    <span aria-hidden className="bench flex h-14 p-2">
      <span className="flex-[3]" style={{ background: colour }} />
      {tint && <span className="flex-[2]" style={{ background: tint.hex }} />}
    </span>
  );
}
