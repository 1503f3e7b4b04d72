'use client';
import { biasOf, Drill } from '@/core/proportion/drills';
import Chart, { useInk } from '../shared/evidence/Chart';
import { useSay } from '../words/Words';
import type { Round } from './rounds';

/** How the eye's error goes from round to round: its size, and its bias with its sign. */
export default function DrillCourse({ drill, rounds }: { drill: Drill; rounds: readonly Round[] }) {
  const say = useSay();
  const { ink, pale, line } = useInk();
  const k = drill === 'angle' ? 1 : 100;
  const read = rounds.map((r) => biasOf(r.answers.map((a) => a.error))!);
  const unit = drill === 'angle' ? '°' : '%';
  return (
    <Chart
      type="line"
      height={180}
      label={say('eye.chart', { n: rounds.length })}
      data={{
        labels: rounds.map((r) => say.day(r.at.slice(0, 10))),
        datasets: [
          { data: read.map((b) => k * b.size), borderColor: ink, backgroundColor: ink, borderWidth: 2, pointRadius: 3 },
          {
            data: read.map((b) => k * b.mean),
            borderColor: pale,
            backgroundColor: pale,
            borderWidth: 2,
            borderDash: [4, 3],
            pointRadius: 3,
          },
        ],
      }}
      scales={{
        x: { ticks: { color: ink, maxTicksLimit: 5 }, grid: { color: line } },
        y: {
          title: { display: true, text: say('eye.axis', { unit }), color: ink },
          ticks: { color: ink, maxTicksLimit: 6 },
          grid: { color: line },
        },
      }}
    />
  );
}
