'use client';
import { createColumnHelper, getCoreRowModel, getSortedRowModel, SortingState, useReactTable } from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { Fragment, useId, useMemo, useState } from 'react';
import { Message, message, several, typed } from '@/core/message';
import { measureOf, readAll, ReadMeasure } from '@/core/proportion/measures';
import { asRatio, placingSpread, placingVariances } from '@/core/proportion/placingSpread';
import { howMeasured, surerBy } from '@/core/style/surer';
import { Rule } from '../rules/RuleList';
import { TickRule } from '../rules/TickRule';
import { Grounds, Opened, Opener } from '../shared/evidence/Told';
import type { Kind } from '../shared/kinds';
import { Place } from '../shared/layers/Layers';
import { useSettled } from '../shared/useSettled';
import { useSay } from '../words/Words';
import type { Layered } from '../shared/layers/LayerCanvas';
import type { LandmarkSet } from './useLandmarks';

type Frame = readonly [number, number, number, number];

interface MeasuredWork {
  id: string;
  pictureWidth: number;
  pictureHeight: number;
  layered: Layered;
  title: string;
  foil: boolean;
  groupId: string | null;
  group: string | null;
  sets: readonly LandmarkSet[];
}

interface Props {
  studyId: string;
  works: readonly MeasuredWork[];
  work: MeasuredWork;
  kind: Kind;
  /** Which figure of the work it is. */
  set: string;
  points: LandmarkSet['points'];
  /** Those placed a second time. */
  again: LandmarkSet['points'];
  /** What a view or a still life is a share of, px of the picture. */
  frame: Frame;
  /** Null where the points are no rule of the hand's: those of a model. */
  rules: Rule[] | null;
}

/** Where a measure comes from, and what nature has in its place. */
function evidenceOf({ title, group }: MeasuredWork, works: number, { canon, factor, name, unit }: ReadMeasure, kind: Kind): Message {
  const evidence =
    works > 1
      ? message('readings.evidence.mean', { n: works, group: group === null ? 'none' : typed(group) })
      : message('readings.evidence.one', { title: typed(title) });
  return canon === null || factor === null
    ? evidence
    : message('readings.evidence.nature', { evidence, canon: kind.value({ name, unit, value: canon }) });
}

/** What decides how sure a measure is: its points alone. */
const UNKNOWN = { widthMm: null, pxPerMm: null, counted: null, sheet: true };

type Row = ReadMeasure & { value: number };

/** How far a measure departs from nature, whichever way. */
const departure = ({ factor }: ReadMeasure): number => Math.abs(Math.log(factor ?? 1));

const column = createColumnHelper<Row>();
/** In their order on the screen; what they are called stands in `words/`. */
const COLUMNS = ['measure', 'here', 'nature', 'times'] as const;

/** Every measure of the points placed, sorted by any of its columns; each opens to where it is read and how it is on other works. */
export function MeasureTable({ studyId, works, work, kind, set, points, again, frame, rules }: Props) {
  const say = useSay();
  const id = useId();
  const [opened, setOpened] = useState<string | null>(null);
  const [sorting, setSorting] = useState<SortingState>([{ id: 'times', desc: true }]);
  const data = useMemo(() => readAll(kind.template, points, frame).filter((r): r is Row => r.value !== null), [kind, points, frame]);
  // Reckoned for the one that is opened, and not while a point is on its way.
  const calm = useSettled(points);
  const unsure = useMemo(
    () => (opened === null ? null : placingVariances(kind.template, calm, frame, placingSpread(calm, again))),
    [opened, kind, calm, again, frame],
  );
  const give = (r: Row): Message | null => {
    const sd = Math.sqrt(unsure?.get(r.name) ?? 0);
    if (!(sd > 0)) return null;
    const spread = asRatio(r) ? kind.value({ ...r, value: sd * r.value }) : kind.value({ ...r, value: sd });
    return message(Object.keys(again).length ? 'proportion.giveTwice' : 'proportion.give', { spread, n: Object.keys(again).length });
  };
  const columns = useMemo(
    () => [
      column.accessor((r) => say(kind.measureSaid(r.name)), {
        id: 'measure',
        sortDescFirst: false,
        sortingFn: (a, b) => say(kind.measureSaid(a.original.name)).localeCompare(say(kind.measureSaid(b.original.name)), say.locale),
      }),
      column.accessor((r) => r.value, { id: 'here' }),
      column.accessor((r) => r.canon ?? undefined, { id: 'nature', sortUndefined: 'last' }),
      column.accessor(departure, { id: 'times' }),
    ],
    [say, kind],
  );
  // The library's table is made anew with each drawing and handed to nothing that remembers it.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getRowId: (r) => r.name,
    enableSortingRemoval: false,
  });
  // A work of a group is told beside that group, and each figure of it beside the others; a foil enters no mean, and nothing read on it is a rule.
  const others = (rules && !work.foil ? works : [])
    .filter((w) => !w.foil && (work.groupId === null || w.groupId === work.groupId))
    .flatMap((w) =>
      w.sets
        .filter((s) => s.template === kind.key && !(w.id === work.id && s.name === set))
        .map((s) => readAll(kind.template, s.points, w.layered.as.frame ?? [0, 0, w.pictureWidth, w.pictureHeight])),
    );
  // A unit of no length measures nothing.
  const ends = kind.template.unit?.map((name) => points[name]);
  const noLength = ends?.every(Boolean) && Math.hypot(ends[0][0] - ends[1][0], ends[0][1] - ends[1][1]) === 0;
  if (noLength)
    return (
      <p className="alert mt-3" role="status">
        {say('proportion.noLength', { from: kind.pointSaid(kind.template.unit![0]), to: kind.pointSaid(kind.template.unit![1]) })}
      </p>
    );
  if (!data.length) return <p className="mt-3">{say('proportion.none')}</p>;
  return (
    <table className="mt-3 w-full text-sm">
      <caption className="text-start text-lg font-semibold">{say('proportion.title')}</caption>
      <thead>
        <tr>
          <th scope="col">{say('proportion.columns.rule')}</th>
          {COLUMNS.map((name) => {
            const of = table.getColumn(name)!;
            const sorted = of.getIsSorted();
            const Arrow = sorted === 'asc' ? ArrowUp : ArrowDown;
            return (
              <th
                key={name}
                scope="col"
                aria-sort={sorted ? (sorted === 'asc' ? 'ascending' : 'descending') : 'none'}
                className={`ps-2 ${name === 'measure' ? 'text-start' : 'text-end'}`}
              >
                <button
                  type="button"
                  className="inline-flex items-center gap-0.5 font-semibold hover:underline"
                  onClick={of.getToggleSortingHandler()}
                >
                  {say(`proportion.columns.${name}`)}
                  <Arrow aria-hidden className={`size-3.5 ${sorted ? '' : 'invisible'}`} />
                </button>
              </th>
            );
          })}
        </tr>
      </thead>
      <tbody>
        {table.getRowModel().rows.map((row) => {
          const r = row.original;
          const elsewhere = others.flatMap((o) => o.filter((p) => p.name === r.name && p.value !== null).map((p) => p.value!));
          const mean = [r.value, ...elsewhere].reduce((s, v) => s + v, 0) / (elsewhere.length + 1);
          const feature = kind.featureOf(r.name);
          const measure = kind.measureSaid(r.name);
          const vitruvius = kind.house ? measureOf(kind.house, r.name)?.vitruvius : undefined;
          const withUnit = (value: number) => say(kind.value({ ...r, value }));
          return (
            <Fragment key={row.id}>
              <Place as="tr" of={feature} className="border-t border-base-300 align-top">
                <td className="py-1">
                  {rules && !work.foil && (
                    <TickRule
                      studyId={studyId}
                      feature={feature}
                      ticked={rules.find((q) => q.feature === feature)}
                      said={message('readings.proportion', { measure, value: kind.value({ ...r, value: mean }) })}
                      evidence={evidenceOf(work, elsewhere.length + 1, r, kind)}
                    />
                  )}
                </td>
                <td className="py-1 ps-2">
                  <Opener
                    said={measure}
                    open={opened === r.name}
                    onToggle={() => setOpened(opened === r.name ? null : r.name)}
                    controls={`${id}${r.name}`}
                  />
                </td>
                <td className="py-1 ps-2 text-end whitespace-nowrap">{withUnit(r.value)}</td>
                <td
                  className="py-1 ps-2 text-end whitespace-nowrap"
                  title={
                    vitruvius === undefined ? undefined : say('proportion.vitruvius', { value: kind.value({ ...r, value: vitruvius }) })
                  }
                >
                  {r.canon === null ? say('proportion.nothing') : withUnit(r.canon)}
                </td>
                <td className="py-1 ps-2 text-end whitespace-nowrap">
                  {r.factor === null ? say('proportion.nothing') : say.amount(r.factor, 'times')}
                </td>
              </Place>
              {opened === r.name && (
                <Place as="tr" of={feature} id={`${id}${r.name}`}>
                  <td colSpan={5}>
                    <Opened>
                      {elsewhere.length > 0 && (
                        <p>{say('proportion.elsewhere', { values: several(elsewhere.map((value) => kind.value({ ...r, value }))) })}</p>
                      )}
                      <Grounds spread={give(r)} how={howMeasured(feature)} surer={surerBy(feature, { ...UNKNOWN, works: works.length })} />
                    </Opened>
                  </td>
                </Place>
              )}
            </Fragment>
          );
        })}
      </tbody>
    </table>
  );
}
