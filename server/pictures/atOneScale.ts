/** Knows how pictures are read beside each other: all at one scale, one that is known too poorly without its marks. */
import { Measured, withoutMarks } from '../../core/style/compare';
import type { ProfileWithMaps } from '../../core/style/profile';
import { withProportions } from '../../core/style/proportionFeatures';
import { ownRung, Resolution, Rung } from '../../core/style/scale';
import { OwnKinds, Proportion, proportionsOf } from '../../core/proportion/measures';
import type { Frame } from '../schema/studies';
import type { AtScale } from './readings';

/** How finely a picture is known, and where it lies in its file. */
export interface AsKnown extends Resolution {
  frame: Frame;
}

interface Placed {
  template: string;
  /** Which figure, where there are several. */
  name: string;
  points: Record<string, [number, number]>;
}

interface Sized {
  widthMm: number | null;
  partOf?: string | null;
}

export const asKnown = ({ widthMm }: Sized, { frame, sharpness }: ProfileWithMaps): AsKnown => ({
  frame: [...frame],
  width: frame[2],
  height: frame[3],
  widthMm,
  sharpness,
});

/** The scale a picture is read at beside others: theirs, or where it is known too poorly for that its own. */
export const atScale = (known: AsKnown, rung: Rung, tooPoor: boolean): AtScale => ({ ...known, rung: tooPoor ? ownRung(known) : rung });

/** The measures of whatever landmarks have been placed. */
const measuresOf = (sets: readonly Placed[], frame: Frame, own: OwnKinds): Proportion[] =>
  proportionsOf(
    sets.map(({ template, name, points }) => ({ template, name: name || null, points })),
    frame,
    own,
  );

/** A picture's readings and landmarks as comparison takes them. */
export function measured(
  { profile, layout, frame }: ProfileWithMaps,
  sets: readonly Placed[],
  { widthMm, partOf }: Sized,
  own: OwnKinds,
  marks = true,
): Measured {
  const features = marks ? profile.features : withoutMarks(profile.features);
  const proportions = measuresOf(sets, [...frame], own);
  const part = partOf !== null && partOf !== undefined;
  return { features: withProportions(features, proportions), proportions, palette: profile.palette, layout, widthMm, part };
}
