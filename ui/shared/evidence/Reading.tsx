'use client';
import dynamic from 'next/dynamic';
import { EDGE_HANDLINGS } from '@/core/marks/edges';
import type { MarkDistributions } from '@/core/marks/distributions';
import { Message, message } from '@/core/message';
import type { Telling } from '@/core/style/readings';
import { howMeasured, surerBy } from '@/core/style/surer';
import { spreadWithUnit } from '@/core/style/words';
import { Lit, litBy } from '../layers/layers';
import { useSay } from '../../words/Words';
import type { Rests } from './rests';
import { Shares } from './Shares';
import { Grounds, Told } from './Told';

const Rose = dynamic(() => import('./charts').then((c) => c.Rose), { ssr: false });
const AcrossChart = dynamic(() => import('./charts').then((c) => c.AcrossChart), { ssr: false });
const SizesChart = dynamic(() => import('./charts').then((c) => c.SizesChart), { ssr: false });
const LightnessChart = dynamic(() => import('./charts').then((c) => c.LightnessChart), { ssr: false });
const HuesChart = dynamic(() => import('./charts').then((c) => c.HuesChart), { ssr: false });

const sum = (counts: readonly number[] | undefined) => counts?.reduce((a, b) => a + b, 0) ?? 0;

/** How many strokes or crossings a reading rests on; null where it counts none. */
function countedFor(feature: string, marks: MarkDistributions | null): number | null {
  if (!marks) return null;
  if (/spacing/.test(feature)) return marks.gaps && sum(marks.gaps.counts);
  if (/strokeLength|straightness/.test(feature)) return marks.lengths && sum(marks.lengths.counts) + sum(marks.lengths.cut);
  return null;
}

/** One sentence of a reading, with its place and its evidence; of a reading window, or of the whole picture. */
export function Reading({ told: { feature, said }, rests, inWindow }: { told: Telling; rests: Rests; inWindow?: boolean }) {
  const { features, marks, known } = rests;
  const counted = countedFor(feature, marks);
  const spread = features?.[feature] ? spreadWithUnit(feature, features[feature]) : null;
  // What a window traced it shows itself.
  const lit: Lit | null = inWindow ? { layer: 'patches' } : litBy(feature);
  const across = /spacing/.test(feature) ? marks?.across : null;
  return (
    <Told said={said} lights={lit && across ? { ...lit, way: { from: across.from, to: across.to } } : lit}>
      <Picture feature={feature} rests={rests} />
      <Grounds spread={tellSpread(spread, counted)} how={howMeasured(feature)} surer={surerBy(feature, { ...known, counted })} />
    </Told>
  );
}

function tellSpread(spread: ReturnType<typeof spreadWithUnit>, counted: number | null): Message | null {
  if (spread && counted) return message('evidence.giveCounted', { spread, n: counted });
  if (spread) return message('evidence.give', { spread });
  return counted ? message('evidence.counted', { n: counted }) : null;
}

/** The picture of a reading's evidence; none where a number is all there is. */
function Picture({ feature, rests }: { feature: string; rests: Rests }) {
  const say = useSay();
  const { features, marks, sizes, mmPerPixel, lightness, steps, palette } = rests;
  const [group, name] = feature.split('.');
  if (group === 'value') return lightness && <LightnessChart lightness={lightness} steps={steps} />;
  if (group === 'colour') return palette.length > 0 && <HuesChart palette={palette} />;
  if (group === 'edges' && features)
    return <Shares of={EDGE_HANDLINGS.map((h) => [say(`evidence.handling.${h}`), features[`edges.${h}`]?.value ?? 0])} />;
  if (group !== 'marks' || !marks) return null;
  switch (name) {
    case 'direction':
    case 'crossing':
    case 'coherence':
      return marks.directions && <Rose directions={marks.directions} />;
    case 'spacing':
    case 'spacingVariation':
      return (
        <>
          {marks.across && <AcrossChart across={marks.across} mmPerPixel={mmPerPixel} />}
          {marks.gaps && <SizesChart sizes={marks.gaps} mmPerPixel={mmPerPixel} mark={sizes.spacing} of="gaps" />}
        </>
      );
    case 'lineWidth':
    case 'lineSwell':
      return marks.widths && <SizesChart sizes={marks.widths} mmPerPixel={mmPerPixel} mark={sizes.lineWidth} of="widths" />;
    case 'strokeLength':
    case 'straightness':
      return (
        marks.lengths && (
          <SizesChart sizes={marks.lengths} cut={marks.lengths.cut} mmPerPixel={mmPerPixel} mark={sizes.strokeLength} of="lengths" />
        )
      );
    default:
      return null;
  }
}
