'use client';
import { Chart as ChartJs, ChartData, ChartOptions, ChartType, registerables } from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { useSyncExternalStore } from 'react';
import { Chart as Drawn } from 'react-chartjs-2';

ChartJs.register(...registerables, annotation);
// The page's own type; charts are drawn in the browser only.
ChartJs.defaults.font.family = getComputedStyle(document.body).fontFamily;

const dark = '(prefers-color-scheme: dark)';
const subscribe = (tell: () => void) => {
  const query = matchMedia(dark);
  query.addEventListener('change', tell);
  return () => query.removeEventListener('change', tell);
};

/** Greys of a chart on light or dark ground: a chart stands beside pictures, and colour in it would be judged with theirs. */
export function useInk(): { ink: string; pale: string; line: string } {
  const night = useSyncExternalStore(
    subscribe,
    () => matchMedia(dark).matches,
    () => false,
  );
  return night ? { ink: '#e6e6e6', pale: '#8a8a8a', line: '#5c5c5c' } : { ink: '#262626', pale: '#9a9a9a', line: '#d0d0d0' };
}

interface Props<T extends ChartType> {
  type: T;
  data: ChartData<T>;
  scales: Record<string, object>;
  /** What it shows, in a sentence for those who do not see it. */
  label: string;
  height?: number;
  /** Where dashed lines stand across it, in the numbers of its lower axis. */
  borders?: readonly number[];
}

/** A chart in greys, as wide as its place, told in one sentence instead of by what is pointed at. */
export default function Chart<T extends ChartType>({ type, data, scales, label, height = 150, borders = [] }: Props<T>) {
  const { pale } = useInk();
  const annotations = borders.map((x) => ({
    type: 'line' as const,
    xMin: x,
    xMax: x,
    borderColor: pale,
    borderWidth: 1.5,
    borderDash: [5, 4],
  }));
  const plugins = { legend: { display: false }, tooltip: { enabled: false }, annotation: { annotations } };
  return (
    <div style={{ height }}>
      <Drawn
        type={type}
        data={data}
        options={{ animation: false, responsive: true, maintainAspectRatio: false, scales, plugins } as unknown as ChartOptions<T>}
        role="img"
        aria-label={label}
      />
    </div>
  );
}
