'use client';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { Aim } from '@/core/style/aim';
import type { Comparison } from '@/core/style/compare';
import type { WordSettings } from '@/core/style/words';
import { Piece, STATES } from '../pieces/piece';
import { Bench } from '../shared/Bench';
import { MeasureAgain } from '../shared/MeasureAgain';
import { ToolRow } from '../shared/looking/ToolRow';
import { inField, useLooking } from '../shared/looking/tools';
import { zoomedAt } from '../shared/looking/ZoomBox';
import { AimChoice } from './AimChoice';
import { Closeness } from './Closeness';
import { Findings } from './Findings';
import { Course, RulesKept, RuleView } from './RulesKept';
import { BOTH_WHOLE, Sheets, Source, Way } from './Sheets';

interface Props {
  studyId: string;
  aim: Aim;
  /** Of the study, for changing its aim. */
  version: number;
  pieces: Piece[];
  piece: Piece;
  source: Source;
  sources: Source[];
  comparison: Comparison | null;
  notes: { feature: string; setAside: boolean; note: string; version: number }[];
  answers: { ruleId: string; met: boolean }[];
  rules: RuleView[];
  words: WordSettings;
}

export function CompareBench(props: Props) {
  return <Holding key={`${props.piece.id}:${props.source.id}`} {...props} />;
}

const WAYS: readonly { way: Way; key: string; label: string; hint: string }[] = [
  {
    way: 'beside',
    key: 'n',
    label: 'Side by side',
    hint: 'source and piece next to each other, at true relative size',
  },
  { way: 'overlay', key: 'o', label: 'One over the other', hint: 'the piece shows through on the source' },
  { way: 'blink', key: 'b', label: 'Blink', hint: 'source and piece in turn' },
];

function Holding({ studyId, aim, version, pieces, piece, source, sources, comparison, notes, answers, rules, words }: Props) {
  const [way, setWay] = useState<Way>('beside');
  const [mix, setMix] = useState(50);
  const [linked, setLinked] = useState(true);
  const [views, setViews] = useState(BOTH_WHOLE);
  const looking = useLooking();
  useEffect(() => {
    const down = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || inField(e.target)) return;
      const chosen = WAYS.find((w) => w.key === e.key.toLowerCase());
      if (chosen) setWay(chosen.way);
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, []);
  const near = (factor: number) => setViews(([a, b]) => [zoomedAt(a, factor, 0.5, 0.5), zoomedAt(linked ? a : b, factor, 0.5, 0.5)]);
  const base = `/studies/${studyId}/compare`;
  const made = pieces.filter((p) => p.state === 'ready');
  const at = made.findIndex((p) => p.id === piece.id);
  const label = (p: Piece) => `${p.student ?? 'You'}, ${p.kind} ${p.attempt}`;
  return (
    <Bench
      tools={
        <div className="grid gap-1">
          <ToolRow {...looking} more={WAYS} />
          <div className="flex flex-wrap items-center gap-2 text-sm">
            {WAYS.map((w) => (
              <button
                key={w.way}
                type="button"
                aria-pressed={way === w.way}
                title={`${w.hint} (key ${w.key})`}
                className={`btn btn-sm ${way === w.way ? 'btn-neutral' : ''}`}
                onClick={() => setWay(w.way)}
              >
                {w.label}
              </button>
            ))}
            <button type="button" className="btn btn-sm" aria-label="Nearer" onClick={() => near(1.5)}>
              +
            </button>
            <button type="button" className="btn btn-sm" aria-label="Farther" onClick={() => near(1 / 1.5)}>
              −
            </button>
            {(views[0].zoom > 1 || views[1].zoom > 1) && (
              <button type="button" className="btn btn-sm" onClick={() => setViews(BOTH_WHOLE)}>
                Whole
              </button>
            )}
            {way === 'beside' && (
              <label className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={linked}
                  onChange={(e) => {
                    setLinked(e.target.checked);
                    if (e.target.checked) setViews(([a]) => [a, a]);
                  }}
                />
                move both together
              </label>
            )}
            {way === 'overlay' && (
              <label className="flex items-center gap-2">
                piece shows through
                <input
                  type="range"
                  className="range range-xs w-32"
                  min={0}
                  max={100}
                  value={mix}
                  onChange={(e) => setMix(Number(e.target.value))}
                />
              </label>
            )}
          </div>
        </div>
      }
      picture={
        <Sheets way={way} mix={mix} piece={piece} source={source} on={looking.on} linked={linked} views={views} onViews={setViews} />
      }
      strip={
        <div className="no-print flex flex-wrap items-center gap-3 border-t border-base-300 px-5 py-2">
          <Link className="btn btn-sm" aria-disabled={at <= 0} href={`${base}?piece=${made[Math.max(0, at - 1)]?.id ?? piece.id}`}>
            Before
          </Link>
          <select
            aria-label="Piece"
            className="select select-sm w-56"
            value={piece.id}
            onChange={(e) => window.location.assign(`${base}?piece=${e.target.value}`)}
          >
            {pieces.map((p) => (
              <option key={p.id} value={p.id}>
                {label(p)}
              </option>
            ))}
          </select>
          <Link className="btn btn-sm" href={`${base}?piece=${made[Math.min(made.length - 1, at + 1)]?.id ?? piece.id}`}>
            Next
          </Link>
          <label className="flex items-center gap-2 text-sm">
            against
            <select
              className="select select-sm w-52"
              value={source.id}
              onChange={(e) => window.location.assign(`${base}?piece=${piece.id}&source=${e.target.value}`)}
            >
              {sources.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.title}
                </option>
              ))}
            </select>
          </label>
        </div>
      }
    >
      <h2 className="text-lg font-semibold">{label(piece)}</h2>
      {piece.held && <MeasureAgain studyId={studyId} subjectId={piece.id} held={piece.held} />}
      {!comparison && !piece.held && (
        <p>
          {STATES[piece.state]}. {piece.state === 'waiting' ? 'The findings appear here by themselves.' : piece.told}
        </p>
      )}
      {comparison && (
        <>
          <Closeness comparison={comparison} />
          {piece.kind === 'copy' && <AimChoice studyId={studyId} aim={aim} version={version} />}
          <Findings pieceId={piece.id} comparison={comparison} notes={notes} words={words} />
          <RulesKept pieceId={piece.id} comparison={comparison} rules={rules} answers={answers} />
          <Course pieces={pieces.filter((p) => p.studentId === piece.studentId && p.kind === piece.kind)} current={piece.id} base={base} />
        </>
      )}
    </Bench>
  );
}
