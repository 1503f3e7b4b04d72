'use client';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { nextStep, sayFinding, featureTitle, WordSettings } from '@/core/style/words';
import type { Comparison } from '@/core/style/compare';
import { Bench } from '../shared/Bench';
import { Notice } from '../shared/Notice';
import { screenPicture } from '../shared/reading/client';
import { send } from '../shared/request';
import { useAct } from '../shared/useAct';
import { Piece, STATES } from '../pieces/piece';

interface Source {
  id: string;
  title: string;
  pictureId: string;
  widthMm: number | null;
  heightMm: number | null;
  pictureWidth: number;
  pictureHeight: number;
}

interface RuleView {
  id: string;
  kind: 'feature' | 'always' | 'never';
  feature: string;
  sentence: string;
}

interface Props {
  studyId: string;
  pieces: Piece[];
  piece: Piece;
  source: Source;
  sources: Source[];
  comparison: Comparison | null;
  notes: { feature: string; setAside: boolean; note: string }[];
  answers: { ruleId: string; met: boolean }[];
  rules: RuleView[];
  words: WordSettings;
}

type Way = 'beside' | 'overlay' | 'blink';

export function CompareBench(props: Props) {
  return <Holding key={`${props.piece.id}:${props.source.id}`} {...props} />;
}

function Holding({ studyId, pieces, piece, source, sources, comparison, notes, answers, rules, words }: Props) {
  const [way, setWay] = useState<Way>('beside');
  const [mix, setMix] = useState(50);
  const [first, setFirst] = useState(true);
  useEffect(() => {
    if (way !== 'blink') return;
    const timer = setInterval(() => setFirst((f) => !f), 700);
    return () => clearInterval(timer);
  }, [way]);
  const base = `/studies/${studyId}/compare`;
  const made = pieces.filter((p) => p.state === 'ready');
  const at = made.findIndex((p) => p.id === piece.id);
  const label = (p: Piece) => `${p.student ?? 'You'}, ${p.kind} ${p.attempt}`;
  return (
    <Bench
      tools={
        <div className="flex flex-wrap items-center gap-2 text-sm">
          {(['beside', 'overlay', 'blink'] as const).map((w) => (
            <button
              key={w}
              type="button"
              aria-pressed={way === w}
              className={`btn btn-sm ${way === w ? 'btn-neutral' : ''}`}
              onClick={() => setWay(w)}
            >
              {{ beside: 'Side by side', overlay: 'One over the other', blink: 'Blink' }[w]}
            </button>
          ))}
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
      }
      picture={<Pictures way={way} mix={mix} first={first} piece={piece} source={source} />}
      strip={
        <div className="no-print flex flex-wrap items-center gap-3 border-t border-base-300 px-5 py-2">
          <Link
            className="btn btn-sm"
            aria-disabled={at <= 0}
            href={`${base}?piece=${made[Math.max(0, at - 1)]?.id ?? piece.id}`}
          >
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
          <Link
            className="btn btn-sm"
            href={`${base}?piece=${made[Math.min(made.length - 1, at + 1)]?.id ?? piece.id}`}
          >
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
      {!comparison && (
        <p>
          {STATES[piece.state]}. {piece.state === 'waiting' ? 'The findings appear here by themselves.' : piece.told}
        </p>
      )}
      {comparison && (
        <>
          <Closeness comparison={comparison} />
          <Findings pieceId={piece.id} comparison={comparison} notes={notes} words={words} />
          <RulesKept pieceId={piece.id} comparison={comparison} rules={rules} answers={answers} />
          <Course
            pieces={pieces.filter((p) => p.studentId === piece.studentId && p.kind === piece.kind)}
            current={piece.id}
            base={base}
          />
        </>
      )}
    </Bench>
  );
}

/** Source and piece at true relative size when both widths are known, else at equal heights. */
function Pictures({
  way,
  mix,
  first,
  piece,
  source,
}: {
  way: Way;
  mix: number;
  first: boolean;
  piece: Piece;
  source: Source;
}) {
  const [pw, ph] = [piece.paperWidthMm, piece.paperHeightMm];
  const known = source.widthMm !== null;
  const sw = known ? source.widthMm! : (ph * source.pictureWidth) / source.pictureHeight;
  const sh = (sw * source.pictureHeight) / source.pictureWidth;
  const picture = piece.rectifiedId ?? piece.photoId;
  if (way === 'beside') {
    const all = sw + pw + 12;
    const high = Math.max(sh, ph);
    return (
      <div className="flex flex-1 items-center justify-center">
        <div
          className="flex w-full items-end justify-center"
          style={{ maxWidth: `calc(54vh * ${all / high})`, gap: `${(1200 / all).toFixed(2)}%` }}
        >
          <Shown
            id={source.pictureId}
            alt={source.title}
            caption={`${source.title}${known ? `, ${Math.round(sw)} mm wide` : ''}`}
            width={(100 * sw) / all}
          />
          <Shown
            id={picture}
            alt="The student’s piece"
            caption={`the piece, ${Math.round(pw)} mm wide${known ? '' : '; the source’s size is not known'}`}
            width={(100 * pw) / all}
          />
        </div>
      </div>
    );
  }
  return (
    <div className="flex flex-1 items-center justify-center">
      <div
        className="relative w-full"
        style={{
          aspectRatio: `${source.pictureWidth} / ${source.pictureHeight}`,
          maxWidth: `calc(56vh * ${source.pictureWidth / source.pictureHeight})`,
        }}
      >
        <img src={screenPicture(source.pictureId)} alt={source.title} className="absolute inset-0 h-full w-full" />
        <img
          src={screenPicture(picture)}
          alt="The student’s piece"
          className="absolute inset-0 h-full w-full"
          style={{ opacity: way === 'overlay' ? mix / 100 : first ? 1 : 0 }}
        />
      </div>
    </div>
  );
}

function Shown({ id, alt, caption, width }: { id: string; alt: string; caption: string; width: number }) {
  return (
    <figure style={{ width: `${width}%` }}>
      <img src={screenPicture(id)} alt={alt} className="w-full" />
      <figcaption className="mt-1 text-sm">{caption}</figcaption>
    </figure>
  );
}

const GROUP_NAMES: Record<string, string> = {
  proportion: 'Proportion',
  marks: 'Marks',
  colour: 'Colour',
  value: 'Values',
  composition: 'Placing',
};

function Closeness({ comparison }: { comparison: Comparison }) {
  const groups = Object.entries(comparison.closeness.groups);
  const none = groups.filter(([, v]) => v === null).map(([g]) => GROUP_NAMES[g].toLowerCase());
  const own = comparison.ownInvention;
  return (
    <section className="mt-1">
      <p className="text-lg">
        Closeness {Math.round(comparison.closeness.overall)} of 100; own invention {Math.round(own)}.
      </p>
      <p className="text-sm">
        {own < 25
          ? 'The layout comes very near to one of the master’s works.'
          : own > 60
            ? 'The layout is the student’s own.'
            : 'The layout shares something with the master’s works.'}
      </p>
      <dl className="mt-2 grid grid-cols-[6rem_1fr_2rem] items-center gap-x-2 text-sm">
        {groups
          .filter(([, v]) => v !== null)
          .map(([g, v]) => (
            <div key={g} className="contents">
              <dt>{GROUP_NAMES[g]}</dt>
              <dd className="h-2 border border-base-content">
                <span className="block h-full bg-base-content" style={{ width: `${v}%` }} />
              </dd>
              <dd className="text-right">{Math.round(v!)}</dd>
            </div>
          ))}
      </dl>
      {none.length > 0 && <p className="text-sm">Left out, with nothing to compare: {none.join(', ')}.</p>}
    </section>
  );
}

function Findings({
  pieceId,
  comparison,
  notes,
  words,
}: {
  pieceId: string;
  comparison: Comparison;
  notes: Props['notes'];
  words: WordSettings;
}) {
  const { act, problem } = useAct();
  const noteOf = (f: string) => notes.find((n) => n.feature === f);
  const outside = comparison.findings.filter((f) => f.distance !== 0);
  const open = outside.filter((f) => !noteOf(f.feature)?.setAside);
  const aside = outside.filter((f) => noteOf(f.feature)?.setAside);
  const inside = comparison.findings.filter((f) => f.distance === 0);
  const told = (f: Comparison['findings'][number]) => (f.feature.startsWith('place.') ? f.words : sayFinding(f, words));
  const save = (feature: string, setAside: boolean, note: string) =>
    void act(() => send('PUT', `/api/pieces/${pieceId}/notes`, { feature, setAside, note }));
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">Outside the master’s range, farthest first</h2>
      {open.length === 0 && <p>Nothing: every reading lies within the master’s range.</p>}
      <ol className="grid gap-3">
        {open.map((f) => (
          <li key={f.feature} className="border-t border-base-300 pt-2">
            <p>{told(f)}</p>
            <p className="text-sm italic">{nextStep(f, words)}</p>
            <div className="mt-1 flex items-center gap-3 text-sm">
              <button
                type="button"
                className="link"
                aria-label={`Set aside: ${featureTitle(f.feature)}`}
                onClick={() => save(f.feature, true, noteOf(f.feature)?.note ?? '')}
              >
                set aside
              </button>
              <input
                aria-label={`Note on ${featureTitle(f.feature)}`}
                className="flex-1 border-b border-base-content/40 bg-transparent"
                placeholder="your note"
                maxLength={2000}
                defaultValue={noteOf(f.feature)?.note ?? ''}
                onBlur={(e) =>
                  e.target.value !== (noteOf(f.feature)?.note ?? '') && save(f.feature, false, e.target.value)
                }
              />
            </div>
          </li>
        ))}
      </ol>
      {aside.length > 0 && (
        <p className="mt-2 text-sm">
          Set aside:{' '}
          {aside.map((f) => (
            <button
              key={f.feature}
              type="button"
              className="link mr-2"
              onClick={() => save(f.feature, false, noteOf(f.feature)?.note ?? '')}
            >
              {featureTitle(f.feature)}, take back
            </button>
          ))}
        </p>
      )}
      <details className="mt-2">
        <summary>{inside.length} readings within the range</summary>
        <ul className="mt-1 grid gap-1 text-sm">
          {inside.map((f) => (
            <li key={f.feature}>{told(f)}</li>
          ))}
        </ul>
      </details>
      <Notice message={problem} />
    </section>
  );
}

function RulesKept({
  pieceId,
  comparison,
  rules,
  answers,
}: {
  pieceId: string;
  comparison: Comparison;
  rules: RuleView[];
  answers: Props['answers'];
}) {
  const { act } = useAct();
  if (!rules.length) return null;
  const answer = (ruleId: string, met: boolean) =>
    void act(() => send('POST', `/api/pieces/${pieceId}/notes`, { ruleId, met }));
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">The rules</h2>
      <ul className="grid gap-1">
        {rules.map((r) => {
          const finding = comparison.findings.find((f) => f.feature === r.feature);
          const given = answers.find((a) => a.ruleId === r.id)?.met;
          const met = r.kind === 'feature' ? (finding ? finding.distance === 0 : undefined) : given;
          return (
            <li key={r.id} className="grid grid-cols-[4.5rem_1fr] gap-2">
              <span className="text-sm font-semibold">{met === undefined ? 'not seen' : met ? 'kept' : 'missed'}</span>
              <span>
                {r.kind === 'feature' ? '' : `${r.kind}: `}
                {r.sentence}
                {r.kind !== 'feature' && (
                  <span className="ml-2 text-sm">
                    <button
                      type="button"
                      className="link"
                      aria-pressed={given === true}
                      onClick={() => answer(r.id, true)}
                    >
                      kept
                    </button>{' '}
                    <button
                      type="button"
                      className="link"
                      aria-pressed={given === false}
                      onClick={() => answer(r.id, false)}
                    >
                      missed
                    </button>
                  </span>
                )}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Attempts as a small course. */
function Course({ pieces, current, base }: { pieces: Piece[]; current: string; base: string }) {
  if (pieces.length < 2) return null;
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">From try to try</h2>
      <ol className="mt-1 flex gap-3">
        {pieces.map((p) => (
          <li key={p.id}>
            <Link
              href={`${base}?piece=${p.id}`}
              aria-current={p.id === current ? 'true' : undefined}
              className={`block p-1 text-center text-sm ${p.id === current ? 'outline-2 outline-base-content' : ''}`}
            >
              <img src={`/api/pictures/${p.rectifiedId ?? p.photoId}?size=small`} alt="" className="h-14 w-auto" />
              try {p.attempt}: {p.closeness === null ? '…' : Math.round(p.closeness)}
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}
