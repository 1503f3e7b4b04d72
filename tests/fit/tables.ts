/** Tables of how often kinds were right on renderers and hands that were left out of the fit. */
import { percent, table } from '../accuracy/tables';
import { MarkKind } from '../../core/marks/kinds';
import { amongPlaces, HeldOut, isRight } from './kinds';

/** Readings over this chance are sure. */
const SURE = 0.8;
const TOLD = 0.4;

function row(name: string, of: readonly HeldOut[]): string[] {
  const share = (list: readonly HeldOut[]) => (list.length ? percent(list.filter(isRight).length / list.length) : '–');
  const sure = of.filter((j) => j.chance >= SURE);
  const wrong = new Map<string, number>();
  for (const j of of)
    if (!isRight(j)) wrong.set(`${j.example.kinds[0]} as ${j.kind}`, (wrong.get(`${j.example.kinds[0]} as ${j.kind}`) ?? 0) + 1);
  const often = [...wrong]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 4)
    .map(([k, n]) => `${k} ${n}`)
    .join(', ');
  return [name, String(of.length), share(of), share(of.filter((j) => j.chance >= TOLD)), `${share(sure)} of ${sure.length}`, often];
}

/** How often readings given with about a chance were right, drawn and real. */
function sureTable(judged: readonly HeldOut[]): string {
  const bins = [0, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 1.0001];
  const cell = (of: readonly HeldOut[]) => (of.length ? `${percent(of.filter(isRight).length / of.length)} of ${of.length}` : '–');
  const placed = amongPlaces(judged);
  const within = (low: number, high: number) => placed.filter((j) => j.chance >= low && j.chance < high);
  return table(
    ['chance given', 'right, drawn', 'right, real', 'right, real, among the places of its picture'],
    bins.slice(0, -1).map((low, i) => {
      const own = judged.filter((j) => j.chance >= low && j.chance < bins[i + 1]);
      return [
        `${low} to ${Math.min(1, bins[i + 1])}`,
        cell(own.filter((j) => !j.example.real)),
        cell(own.filter((j) => j.example.real)),
        cell(within(low, bins[i + 1])),
      ];
    }),
  );
}

/** How well one answer to each real patch meets what was named at one time and at the other: read, and named by the person at the other time. */
function eyeTable(judged: readonly HeldOut[]): string {
  const real = judged.filter((j) => j.example.real);
  const meets = (of: readonly HeldOut[], answer: (j: HeldOut) => MarkKind, names: 'kinds' | 'again') =>
    percent(of.filter((j) => j.example[names].includes(answer(j))).length / Math.max(1, of.length));
  const read = (name: string, of: readonly HeldOut[]) => [name, meets(of, (j) => j.kind, 'kinds'), meets(of, (j) => j.kind, 'again')];
  return table(
    ['one answer to each real patch', 'among the names of the first time', 'of the second time'],
    [
      read('read alone', real),
      read('read among the places of its picture', amongPlaces(judged)),
      [
        'the first name the person gave at the other time',
        meets(real, (j) => j.example.again[0], 'kinds'),
        meets(real, (j) => j.example.kinds[0], 'again'),
      ],
    ],
  );
}

/** One row for each renderer and each hand left out, and all of both; how far a person agrees with themselves; how much a given chance was worth. */
export const heldOutTables = (judged: readonly HeldOut[]): string =>
  [heldOutTable(judged), eyeTable(judged), sureTable(judged)].join('\n\n');

function heldOutTable(judged: readonly HeldOut[]): string {
  const nameOf = ({ example: { source, real } }: HeldOut) => (!real || source.startsWith('hand-') ? source : 'pictures by others');
  const names = [...new Set(judged.map(nameOf))];
  return table(
    ['left out', 'patches', 'kind right', 'of those told', 'right where over 0.8', 'most often wrong'],
    [
      ...names.map((n) =>
        row(
          n,
          judged.filter((j) => nameOf(j) === n),
        ),
      ),
      row(
        'all renderers',
        judged.filter((j) => !j.example.real),
      ),
      row(
        'all real pictures',
        judged.filter((j) => j.example.real),
      ),
      row('the same, each among the places of its picture', amongPlaces(judged)),
    ],
  );
}
