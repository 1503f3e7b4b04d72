'use client';
import { Printer } from 'lucide-react';
import { ReactNode, useEffect, useMemo, useState } from 'react';
import { CoreError } from '@/core/errors';
import { amount, typed } from '@/core/message';
import { Fineness, FINENESS } from '@/core/composition/lineSheet';
import { sizeNamed, turnedAs } from '@/core/lesson/sheets';
import { BodyRulers, RULER_LIMITS, RULERS } from '@/core/proportion/bodyRulers';
import { CarryWishes, carryOver, FITS, METHODS, SHOWN, wishesAsParams } from '@/core/proportion/carryOver';
import { tilesOf } from '@/core/proportion/paper';
import type { KeptLine } from '@/core/proportion/keptLines';
import { DrawnShape, ORDERS } from '@/core/proportion/shapeList';
import { Bench } from '../shared/Bench';
import { Choice } from '../shared/Choice';
import { kindOf, OwnKept } from '../shared/kinds';
import { Notice } from '../shared/Notice';
import { PaperPreview } from '../shared/paper/PaperPreview';
import { readingWorker, wholePicture } from '../shared/reading/client';
import { useMadePicture } from '../shared/reading/useMadePicture';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';
import { ALL_FIGURES, figuresOf, sourceOf } from './carrying';
import { useReadShapes } from './useDrawn';
import type { LandmarkSet } from './useLandmarks';

interface Props {
  study: { id: string; version: number; sheet: readonly [number, number]; ownRulers: boolean };
  work: {
    id: string;
    title: string;
    pictureId: string;
    pictureWidth: number;
    pictureHeight: number;
    widthMm: number | null;
    frame: readonly [number, number, number, number];
    sets: readonly LandmarkSet[];
  };
  own: readonly OwnKept[];
  shapes: readonly DrawnShape[];
  lines: readonly KeptLine[];
  rulers: BodyRulers;
  /** What the printer takes. */
  printer: string;
  first: { wishes: CarryWishes; template: string; set: string; fineness: Fineness };
  views: ReactNode;
  strip: ReactNode;
}

const NO_SHAPES: readonly DrawnShape[] = [];

const SHEETS = ['A4', 'A3', 'A2', 'A1', 'Letter', 'ANSI B'] as const;

/** Carrying over: which way, on which sheet, and the sheets as they will be printed. */
export function CarryBench({ study, work, own, shapes, lines, rulers, printer, first, views, strip }: Props) {
  const say = useSay();
  const [wishes, setWishes] = useState(first.wishes);
  const [which, setWhich] = useState({ template: first.template, set: first.set });
  const [fineness, setFineness] = useState(first.fineness);
  const [page, setPage] = useState(0);
  const change = (part: Partial<CarryWishes>) => setWishes((w) => ({ ...w, ...part }));
  const read = useReadShapes(wishes.method === 'shapes' ? shapes : NO_SHAPES, work.frame);
  const paper = sizeNamed(printer) ?? sizeNamed('A4')!;
  const made = useMemo(() => {
    try {
      const figures = figuresOf(work.sets, own, which.template, which.set);
      const source = sourceOf(work, figures, read, lines, wishes, rulers);
      return { carried: carryOver(source, wishes, paper), problem: null };
    } catch (error) {
      if (error instanceof CoreError) return { carried: null, problem: error.said };
      throw error;
    }
  }, [work, own, lines, which, read, wishes, rulers, paper]);
  const query = new URLSearchParams({ ...wishesAsParams(wishes), ...which, fineness }).toString();
  // Every state has its address.
  useEffect(() => {
    window.history.replaceState(null, '', `/studies/${study.id}/proportion?work=${work.id}&view=carry&${query}`);
  }, [study.id, work.id, query]);
  const cleaned = useLines(work, wishes.shown === 'dots' ? null : fineness);
  const sheets = made.carried?.sheets ?? [];
  const at = Math.min(page, Math.max(0, sheets.length - 1));
  const printed = sheets.map((s) => tilesOf(s.size, paper).tiles.length);
  const placing = made.carried?.placing;
  const turned = (size: readonly [number, number]) => turnedAs(size, [work.frame[2], work.frame[3]]);
  const studySheet = turned(study.sheet);
  const sizes = [
    {
      name: '',
      size: studySheet,
      said: say('carry.studySheet', { wide: amount(studySheet[0], 'mm'), high: amount(studySheet[1], 'mm') }),
    },
    ...SHEETS.map((name) => ({ name, size: turned(sizeNamed(name)!), said: say.typed(name) })),
  ];
  const chosen = sizes.findIndex((s) => Math.abs(s.size[0] - wishes.sheet[0]) < 0.5 && Math.abs(s.size[1] - wishes.sheet[1]) < 0.5);
  return (
    <Bench
      strip={strip}
      picture={
        <div className="flex min-h-0 flex-1 flex-col items-center gap-2">
          <div className="min-h-0 w-full flex-1">
            {sheets[at] && (
              <PaperPreview
                sheet={sheets[at]}
                label={say(sheets[at].title)}
                pictures={{
                  source: { url: wholePicture(work.pictureId), width: work.pictureWidth, height: work.pictureHeight, frame: work.frame },
                  lines: cleaned,
                }}
              />
            )}
          </div>
          {sheets.length > 1 && (
            <nav className="flex gap-1" aria-label={say('carry.title')}>
              {sheets.map((_, i) => (
                <button
                  key={i}
                  type="button"
                  className={`btn btn-xs ${i === at ? 'btn-neutral' : ''}`}
                  aria-pressed={i === at}
                  onClick={() => setPage(i)}
                >
                  {say('carry.look', { n: i + 1, of: sheets.length })}
                </button>
              ))}
            </nav>
          )}
        </div>
      }
    >
      {views}
      <h2 className="mt-3 text-lg font-semibold">{say('carry.title')}</h2>
      <p className="text-sm">{say('carry.how')}</p>
      <fieldset className="mt-3 grid gap-1">
        <legend className="font-semibold">{say('carry.method')}</legend>
        {METHODS.map((m) => (
          <label key={m} className="flex items-start gap-2">
            <input
              type="radio"
              name="method"
              className="radio radio-sm mt-1"
              checked={wishes.method === m}
              onChange={() => (setPage(0), change({ method: m }))}
            />
            <span>
              {say(`carry.methods.${m}`)}
              {wishes.method === m && <span className="block text-sm">{say(`carry.about.${m}`)}</span>}
            </span>
          </label>
        ))}
      </fieldset>
      {wishes.method !== 'shapes' && !work.sets.length && !(wishes.method === 'sighting' && lines.length) && (
        <p className="alert mt-2 text-sm">{say('carry.needsPoints')}</p>
      )}
      {wishes.method === 'shapes' && !shapes.length && <p className="alert mt-2 text-sm">{say('carry.needsShapes')}</p>}
      <div className="mt-3 grid gap-2">
        {work.sets.length > 0 && wishes.method !== 'shapes' && (
          <Choice
            label={say('carry.whose')}
            value={JSON.stringify([which.template, which.set])}
            options={[
              ...work.sets.map((s): [string, string] => [
                JSON.stringify([s.template, s.name]),
                [say(kindOf(s.template, own)?.title ?? typed(s.template)), s.name && say.typed(s.name)].filter(Boolean).join(', '),
              ]),
              ...(work.sets.length > 1 ? [[JSON.stringify([ALL_FIGURES, '']), say('carry.allFigures')] as [string, string]] : []),
            ]}
            onValue={(v) => {
              const [template, set] = JSON.parse(v) as [string, string];
              setWhich({ template, set });
            }}
          />
        )}
        <Choice
          label={say('carry.sheetSize')}
          value={String(chosen)}
          options={sizes.map((s, i) => [String(i), s.said])}
          onValue={(v) => change({ sheet: sizes[Number(v)]?.size ?? wishes.sheet })}
        />
        <Choice
          label={say('carry.fit')}
          value={wishes.fit}
          options={FITS.map((f) => [f, f === 'own' && work.widthMm === null ? say('carry.ownUnknown') : say(`carry.fits.${f}`)])}
          onValue={(v) => change({ fit: FITS.find((f) => f === v)! })}
        />
        <Count label={say('carry.margin')} value={wishes.margin} least={0} most={200} onValue={(margin) => change({ margin })} />
        {wishes.method === 'grid' && (
          <>
            <Count
              label={say('carry.columns')}
              value={wishes.columns}
              least={2}
              most={40}
              onValue={(columns) => change({ columns: Math.round(columns) })}
            />
            <Tick label={say('carry.ruled')} on={wishes.ruled} onTick={(ruled) => change({ ruled })} />
          </>
        )}
        {wishes.method === 'folds' && (
          <Choice
            label={say('carry.folds')}
            value={String(wishes.folds)}
            options={[1, 2, 3].map((n) => [String(n), say('carry.foldsOf', { n })])}
            onValue={(v) => change({ folds: v === '1' ? 1 : v === '3' ? 3 : 2 })}
          />
        )}
        {wishes.method === 'shapes' && (
          <Choice
            label={say('shapes.order')}
            value={wishes.order}
            options={ORDERS.map((o) => [o, say(`shapes.orders.${o}`)])}
            onValue={(v) => change({ order: ORDERS.find((o) => o === v)! })}
          />
        )}
        {wishes.method !== 'shapes' && (
          <Choice
            label={say('carry.shown')}
            value={wishes.shown}
            options={SHOWN.map((s) => [s, say(`carry.showns.${s}`)])}
            onValue={(v) => change({ shown: SHOWN.find((s) => s === v)! })}
          />
        )}
        {wishes.method !== 'shapes' && wishes.shown !== 'dots' && (
          <Choice
            label={say('carry.fineness')}
            value={fineness}
            options={FINENESS.map((f) => [f, say(`carry.finenesses.${f}`)])}
            onValue={(v) => setFineness(FINENESS.find((f) => f === v)!)}
          />
        )}
        <Tick label={say('carry.left')} on={wishes.leftHanded} onTick={(leftHanded) => change({ leftHanded })} />
      </div>
      {wishes.method === 'shapes' && <Rulers study={study} rulers={rulers} />}
      <Notice said={made.problem} />
      {made.carried && placing && (
        <div className="mt-3 grid gap-1 text-sm" role="status">
          <p>
            {say('carry.result', {
              wide: amount(placing.width, 'mm'),
              high: amount(placing.height, 'mm'),
              side: made.carried.side === null ? 'none' : 'some',
              of: amount(made.carried.side ?? 0, 'mm'),
            })}
          </p>
          <p>
            {made.carried.lost.across > 0.5 || made.carried.lost.down > 0.5
              ? say('carry.lost', { across: amount(made.carried.lost.across, 'mm'), down: amount(made.carried.lost.down, 'mm') })
              : say('carry.lostNone')}
          </p>
          <p>{say('carry.pages', { n: printed.reduce((a, b) => a + b, 0), tiles: printed[0] ?? 1 })}</p>
        </div>
      )}
      {made.carried && (
        <p className="mt-3">
          <a className="btn btn-primary" href={`/api/works/${work.id}/carry?${query}`} target="_blank" rel="noreferrer">
            <Printer aria-hidden className="size-4" /> {say('carry.open')}
          </a>
        </p>
      )}
    </Bench>
  );
}

/** The work cleaned to line, as the address of a picture; null while it is not wanted or not ready. */
const useLines = ({ pictureId, frame }: Props['work'], fineness: Fineness | null): string | null =>
  useMadePicture(fineness && `${pictureId}:${fineness}:${frame.join()}`, () =>
    readingWorker().lines(wholePicture(pictureId), [...frame], fineness!),
  );

function Count({
  label,
  value,
  least,
  most,
  onValue,
}: {
  label: string;
  value: number;
  least: number;
  most: number;
  onValue: (v: number) => void;
}) {
  return (
    <label className="flex items-center justify-between gap-2 text-sm">
      <span>{label}</span>
      <input
        type="number"
        className="input input-sm w-24"
        min={least}
        max={most}
        defaultValue={value}
        onChange={(e) => e.target.value !== '' && Number.isFinite(e.target.valueAsNumber) && onValue(e.target.valueAsNumber)}
      />
    </label>
  );
}

function Tick({ label, on, onTick }: { label: string; on: boolean; onTick: (on: boolean) => void }) {
  return (
    <label className="flex items-start gap-2 text-sm">
      <input type="checkbox" className="checkbox checkbox-sm" checked={on} onChange={(e) => onTick(e.target.checked)} />
      <span>{label}</span>
    </label>
  );
}

/** The class's body rulers: those usual at its age, or its own. */
function Rulers({ study, rulers }: { study: Props['study']; rulers: BodyRulers }) {
  const say = useSay();
  const { act, problem, busy } = useChange();
  const keep = (bodyRulers: BodyRulers | null) =>
    act(() => send('PATCH', `/api/studies/${study.id}`, { version: study.version, bodyRulers }));
  return (
    <fieldset className="mt-3 grid gap-1" disabled={busy} key={JSON.stringify(rulers)}>
      <legend className="font-semibold">{say('carry.rulers')}</legend>
      {RULERS.map((r) => (
        <label key={r} className="flex items-center justify-between gap-2 text-sm">
          <span>{say(`carry.ruler.${r}`)}</span>
          <input
            type="number"
            className="input input-sm w-24"
            min={RULER_LIMITS[r][0]}
            max={RULER_LIMITS[r][1]}
            defaultValue={rulers[r]}
            onBlur={(e) => {
              const mm = e.target.valueAsNumber;
              if (Number.isFinite(mm) && mm !== rulers[r]) void keep({ ...rulers, [r]: mm });
            }}
          />
        </label>
      ))}
      {study.ownRulers && (
        <button type="button" className="btn btn-xs w-fit" onClick={() => void keep(null)}>
          {say('carry.rulersUsual')}
        </button>
      )}
      <Notice said={problem} />
    </fieldset>
  );
}
