'use client';
import type { Histogram, MarkDistributions } from '@/core/marks/distributions';
import type { PaletteEntry } from '@/core/colour/palette';
import type { ValueStep } from '@/core/colour/values';
import { useSay } from '../../words/Words';
import Chart, { useInk } from './Chart';

/** Sizes in px of the picture, in mm where its width is known. */
export interface Scale {
  mmPerPixel: number | null;
}

const inUnit = ({ mmPerPixel }: Scale) => ({ unit: mmPerPixel === null ? ('px' as const) : ('mm' as const), per: mmPerPixel ?? 1 });

const axis = (title: string, ink: string, line: string, more = {}) => ({
  title: { display: true, text: title, color: ink },
  ticks: { color: ink, maxTicksLimit: 6 },
  grid: { color: line },
  ...more,
});

/** Which way marks run, as they lie on the sheet: a rose of both ends of every way. */
export function Rose({ directions }: { directions: readonly number[] }) {
  const say = useSay();
  const { ink, line } = useInk();
  // From the top clockwise, as the rose is drawn; angles run anticlockwise from level.
  const around = Array.from({ length: 72 }, (_, k) => directions[((((90 - 5 * (k + 1)) % 180) + 180) % 180) / 5]);
  return (
    <Chart
      type="polarArea"
      height={190}
      label={say('evidence.charts.rose')}
      data={{ datasets: [{ data: around, backgroundColor: ink, borderWidth: 0 }] }}
      scales={{ r: { ticks: { display: false }, grid: { color: line }, angleLines: { display: false } } }}
    />
  );
}

/** How dark it is along one way across the strokes, and where that crosses one. */
export function AcrossChart({ across, mmPerPixel }: Scale & { across: NonNullable<MarkDistributions['across']> }) {
  const say = useSay();
  const { ink, pale, line } = useInk();
  const { unit, per } = inUnit({ mmPerPixel });
  const n = across.values.length;
  const length = Math.hypot(across.to[0] - across.from[0], across.to[1] - across.from[1]) * per;
  const at = (i: number) => (i / (n - 1)) * length;
  return (
    <Chart
      type="line"
      label={say('evidence.charts.across', { n: across.crests.length })}
      data={{
        datasets: [
          { data: across.values.map((y, i) => ({ x: at(i), y })), borderColor: ink, borderWidth: 1.5, pointRadius: 0 },
          {
            data: across.crests.map((c) => ({ x: at(c), y: across.values[Math.round(c)] })),
            borderColor: ink,
            backgroundColor: pale,
            pointRadius: 4,
            showLine: false,
          },
        ],
      }}
      scales={{
        x: { type: 'linear', max: length, ...axis(say(`evidence.axes.${unit}`), ink, line) },
        y: axis(say('evidence.axes.dark'), ink, line, { ticks: { display: false } }),
      }}
    />
  );
}

/** How many there are of each size; those that are only known to be at least so long stand on top, hollow. */
export function SizesChart({
  sizes,
  cut,
  mmPerPixel,
  mark,
  of,
}: Scale & { sizes: Histogram; cut?: readonly number[]; mark: number | null; of: 'lengths' | 'widths' | 'gaps' }) {
  const say = useSay();
  const { ink, pale, line } = useInk();
  const { unit, per } = inUnit({ mmPerPixel });
  const from = (i: number) => i * sizes.step * per;
  const bars = (counts: readonly number[]) => counts.map((y, i) => ({ x: from(i + 0.5), y }));
  const look = { barPercentage: 1, categoryPercentage: 1, grouped: false, stack: 'all' };
  return (
    <Chart
      type="bar"
      label={say(`evidence.charts.${of}`, { n: [...sizes.counts, ...(cut ?? [])].reduce((a, b) => a + b, 0) })}
      data={{
        datasets: [
          { ...look, data: bars(sizes.counts) as unknown as number[], backgroundColor: ink },
          ...(cut
            ? [{ ...look, data: bars(cut) as unknown as number[], backgroundColor: 'transparent', borderColor: pale, borderWidth: 1 }]
            : []),
        ],
      }}
      scales={{
        x: { type: 'linear', offset: false, min: 0, max: from(sizes.counts.length), ...axis(say(`evidence.axes.${unit}`), ink, line) },
        y: { stacked: true, ...axis(say(`evidence.axes.${of}`), ink, line) },
      }}
      borders={mark === null ? [] : [mark * per]}
    />
  );
}

/** How much of the picture has each lightness, with the borders of its value steps. */
export function LightnessChart({ lightness, steps }: { lightness: readonly number[]; steps: readonly ValueStep[] }) {
  const say = useSay();
  const { ink, line } = useInk();
  const each = 100 / lightness.length;
  return (
    <Chart
      type="bar"
      label={say('evidence.charts.lightness', { n: steps.length })}
      data={{
        datasets: [
          {
            data: lightness.map((v, i) => ({ x: (i + 0.5) * each, y: 100 * v })) as unknown as number[],
            backgroundColor: ink,
            barPercentage: 1,
            categoryPercentage: 1,
            grouped: false,
          },
        ],
      }}
      scales={{
        x: { type: 'linear', offset: false, min: 0, max: 100, ...axis(say('evidence.axes.lightness'), ink, line) },
        y: axis(say('evidence.axes.share'), ink, line),
      }}
      borders={steps.slice(1).map((s) => s.from)}
    />
  );
}

/** Hue against strength of the palette's colours, each as large as its share. */
export function HuesChart({ palette }: { palette: readonly PaletteEntry[] }) {
  const say = useSay();
  const { ink, line } = useInk();
  return (
    <Chart
      type="bubble"
      label={say('evidence.charts.hues', { n: palette.length })}
      data={{
        datasets: [
          {
            data: palette.map((c) => ({ x: c.lch[2], y: c.lch[1], r: 4 + 22 * Math.sqrt(c.share) })),
            backgroundColor: palette.map((c) => c.hex),
            borderColor: ink,
            borderWidth: 1,
          },
        ],
      }}
      scales={{
        x: { min: 0, max: 360, ...axis(say('evidence.axes.hue'), ink, line, { ticks: { color: ink, stepSize: 90 } }) },
        y: { min: 0, suggestedMax: 60, ...axis(say('evidence.axes.chroma'), ink, line) },
      }}
    />
  );
}
