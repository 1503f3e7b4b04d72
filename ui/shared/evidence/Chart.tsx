'use client';
import {
  ArcElement,
  BarController,
  BarElement,
  BubbleController,
  CategoryScale,
  Chart as ChartJs,
  ChartData,
  ChartOptions,
  ChartType,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  PolarAreaController,
  RadialLinearScale,
} from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { useSyncExternalStore } from 'react';
import { Chart as Drawn } from 'react-chartjs-2';

ChartJs.register(
  ArcElement,
  BarController,
  BarElement,
  BubbleController,
  CategoryScale,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  PolarAreaController,
  RadialLinearScale,
  annotation,
);
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
  options: ChartOptions<T>;
  /** What it shows, in a sentence for those who do not see it. */
  label: string;
  height?: number;
}

/** A chart in greys, as wide as its place. */
export default function Chart<T extends ChartType>({ type, data, options, label, height = 150 }: Props<T>) {
  return (
    <div style={{ height }}>
      <Drawn
        type={type}
        data={data}
        options={{ animation: false, responsive: true, maintainAspectRatio: false, ...options } as ChartOptions<T>}
        role="img"
        aria-label={label}
      />
    </div>
  );
}
