'use client';
import type { RulePicture } from '@/core/lesson/rulePicture';
import { screenPicture, wholePicture } from '../shared/reading/client';
import type { PlanPage } from './lesson';

/** Side of the place that is shown of a work, as a share of the picture's width. */
const PLACE = 0.24;

interface Props {
  picture: RulePicture;
  source: PlanPage['source'];
  /** What it shows, for those who do not see it. */
  alt: string;
  /** Side, in the units of a style. */
  side: string;
  /** Every px of it, for the wall. */
  fine?: boolean;
}

/** What shows a rule: a place of the work close to, the colours it speaks of, or nothing where the whole work does. */
export function RuleShown({ picture, source, alt, side, fine }: Props) {
  if ('colours' in picture)
    return (
      <span role="img" aria-label={alt} className="flex flex-none">
        {picture.colours.map((c) => (
          <span
            key={c}
            className="border border-base-content/40"
            style={{ background: c, width: `calc(${side} / 3)`, height: `calc(${side} / 3)` }}
          />
        ))}
      </span>
    );
  if (!('place' in picture) || !source) return null;
  const [left, top, width, height] = source.frame;
  const [x, y] = [left + picture.place[0] * width, top + picture.place[1] * height];
  const part = PLACE * width;
  const url = (fine ? wholePicture : screenPicture)(source.pictureId);
  // As large as the whole work would be at this scale, and moved until the place lies in the middle.
  return (
    <span
      role="img"
      aria-label={alt}
      className="relative block flex-none overflow-hidden border border-base-content/40"
      style={{ width: side, height: side }}
    >
      <img
        src={url}
        alt=""
        className="absolute max-w-none"
        style={{ width: `calc(${side} / ${part})`, left: '50%', top: '50%', transform: `translate(${-100 * x}%, ${-100 * y}%)` }}
      />
    </span>
  );
}
