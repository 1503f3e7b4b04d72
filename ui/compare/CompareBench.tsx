'use client';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { Aim } from '@/core/style/aim';
import { message, typed } from '@/core/message';
import type { Comparison } from '@/core/style/compare';
import { Piece, pieceName, pieceState } from '../pieces/piece';
import { Bench } from '../shared/Bench';
import { MeasureAgain } from '../shared/MeasureAgain';
import { LayersOver } from '../shared/layers/Layers';
import { ToolRow } from '../shared/looking/ToolRow';
import { inField, useLooking } from '../shared/looking/tools';
import { zoomedAt } from '../shared/looking/nearness';
import { AimChoice, LedChoice } from './AimChoice';
import { Closeness } from './Closeness';
import { Findings } from './Findings';
import { Group, GroupChoice } from './GroupChoice';
import { Course, RulesKept, RuleView } from './RulesKept';
import { BOTH_WHOLE, Sheets, Source, Way } from './Sheets';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  aim: Aim;
  /** Whether all pieces follow one exemplar. */
  led: boolean;
  /** Of the study, for changing its aim. */
  version: number;
  pieces: Piece[];
  piece: Piece;
  source: Source;
  sources: Source[];
  /** Groups that the master's works are in. */
  groups: Group[];
  comparison: Comparison | null;
  /** The comparison there is is of before, and is being made anew. */
  renewing: boolean;
  notes: { feature: string; setAside: boolean; note: string; version: number }[];
  answers: { ruleId: string; met: boolean }[];
  rules: RuleView[];
}

export function CompareBench(props: Props) {
  return (
    <LayersOver key={`${props.piece.id}:${props.source.id}`}>
      <Holding {...props} />
    </LayersOver>
  );
}

const WAYS: readonly { way: Way; key: string }[] = [
  { way: 'beside', key: 'n' },
  { way: 'overlay', key: 'o' },
  { way: 'blink', key: 'b' },
];

function Holding({
  studyId,
  aim,
  led,
  version,
  pieces,
  piece,
  source,
  sources,
  groups,
  comparison,
  renewing,
  notes,
  answers,
  rules,
}: Props) {
  const say = useSay();
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
  const known = { widthMm: source.widthMm, pxPerMm: null, counted: null, sheet: true, works: sources.length };
  const label = (p: Piece) => say(pieceName(p));
  const ways = WAYS.map(({ way, key }) => ({
    way,
    key,
    label: message(`compare.ways.${way}.label`),
    hint: message(`compare.ways.${way}.hint`),
  }));
  return (
    <Bench
      tools={
        <div className="grid gap-1">
          <ToolRow {...looking} more={ways} />
          <div className="flex items-center gap-2 text-sm max-lg:overflow-x-auto lg:flex-wrap [&>*]:flex-none">
            {ways.map((w) => (
              <button
                key={w.way}
                type="button"
                aria-pressed={way === w.way}
                title={say('bench.tool', { hint: w.hint, key: typed(w.key) })}
                className={`btn btn-sm ${way === w.way ? 'btn-neutral' : ''}`}
                onClick={() => setWay(w.way)}
              >
                {say(w.label)}
              </button>
            ))}
            <button type="button" className="btn btn-sm" aria-label={say('bench.nearer')} onClick={() => near(1.5)}>
              +
            </button>
            <button type="button" className="btn btn-sm" aria-label={say('bench.farther')} onClick={() => near(1 / 1.5)}>
              −
            </button>
            {(views[0].zoom > 1 || views[1].zoom > 1) && (
              <button type="button" className="btn btn-sm" onClick={() => setViews(BOTH_WHOLE)}>
                {say('bench.whole')}
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
                {say('compare.together')}
              </label>
            )}
            {way === 'overlay' && (
              <label className="flex items-center gap-2">
                {say('compare.through')}
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
        <div className="no-print flex items-center gap-3 border-t border-base-300 px-5 py-2 max-sm:overflow-x-auto max-sm:px-3 max-sm:py-1 sm:flex-wrap [&>*]:flex-none">
          <Link className="btn btn-sm" aria-disabled={at <= 0} href={`${base}?piece=${made[Math.max(0, at - 1)]?.id ?? piece.id}`}>
            {say('compare.before')}
          </Link>
          <select
            aria-label={say('compare.piece')}
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
            {say('compare.next')}
          </Link>
          <label className="flex items-center gap-2 text-sm">
            {say('compare.against')}
            <select
              className="select select-sm w-52"
              value={source.id}
              onChange={(e) => window.location.assign(`${base}?piece=${piece.id}&source=${e.target.value}`)}
            >
              {sources.map((s) => (
                <option key={s.id} value={s.id}>
                  {say.typed(s.title)}
                </option>
              ))}
            </select>
          </label>
        </div>
      }
    >
      <h2 className="text-lg font-semibold">{label(piece)}</h2>
      {piece.halted && <MeasureAgain studyId={studyId} subjectId={piece.id} halted={piece.halted} />}
      {!comparison && !piece.halted && (
        <p className="first-letter:uppercase">
          {say(pieceState(piece, piece.state === 'waiting' ? [message('compare.appear')] : piece.messages))}
        </p>
      )}
      {renewing && !piece.halted && (
        <p role="status" className="text-sm">
          {say('compare.renewing')}
        </p>
      )}
      {comparison && (
        // On a phone the findings come first: they are what one has come for.
        <div className="flex flex-col">
          <div className="max-sm:order-2 max-sm:mt-4">
            <Closeness comparison={comparison} led={led} />
            <GroupChoice piece={piece} groups={groups} all={sources.length} />
            {piece.kind === 'copy' && <AimChoice studyId={studyId} aim={aim} version={version} />}
            <LedChoice studyId={studyId} led={led} version={version} />
          </div>
          <div className="max-sm:order-1">
            <Findings pieceId={piece.id} comparison={comparison} notes={notes} known={known} />
          </div>
          <div className="max-sm:order-3">
            <RulesKept pieceId={piece.id} comparison={comparison} rules={rules} answers={answers} />
            <Course
              pieces={pieces.filter((p) => p.studentId === piece.studentId && p.kind === piece.kind)}
              current={piece.id}
              base={base}
            />
          </div>
        </div>
      )}
    </Bench>
  );
}
