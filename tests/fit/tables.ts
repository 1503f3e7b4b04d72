/** Tables of how often kinds were right on renderers and hands that were left out of the fit. */
import { percent, table } from '../accuracy/tables';
import { HeldOut, isRight } from './kinds';

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
  return table(
    ['chance given', 'right, drawn', 'right, real'],
    bins.slice(0, -1).map((low, i) => {
      const own = judged.filter((j) => j.chance >= low && j.chance < bins[i + 1]);
      return [`${low} to ${Math.min(1, bins[i + 1])}`, cell(own.filter((j) => !j.example.real)), cell(own.filter((j) => j.example.real))];
    }),
  );
}

/** One row for each renderer and each hand left out, and all of both; and how much a given chance was worth. */
export const heldOutTables = (judged: readonly HeldOut[]): string => `${heldOutTable(judged)}\n\n${sureTable(judged)}`;

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
    ],
  );
}
