'use client';
import Link from 'next/link';
import { Bell, BellOff, ChevronDown, ChevronLeft, ChevronRight, ChevronUp, Maximize, Pause, Play, Plus, X } from 'lucide-react';
import { ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import { BEGIN, given, Held, leftOf, moved, turned, turnsHeld } from '@/core/lesson/boardClock';
import { knownAs, lessonValues } from '@/core/lesson/wishes';
import { saysOf } from '@/core/lesson/technique';
import type { Message } from '@/core/message';
import type { Point } from '@/core/raster/image';
import { Notice } from '../shared/Notice';
import { wholePicture } from '../shared/reading/client';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useHydrated } from '../shared/useHydrated';
import { useSay } from '../words/Words';
import type { LessonRule } from '@/core/lesson/rulesAt';
import { PlanPage, planFrom, rulesIn } from './lesson';
import { RuleShown } from './RuleShown';
import { whoIsAt } from './PeriodWall';

interface Props {
  studyId: string;
  page: PlanPage;
  /** Which period is held, from 0, and whether for the second of two groups. */
  period: number;
  second: boolean;
  /** What is shown where a step has no picture of its own. */
  source: { pictureId: string; title: string } | null;
  /** The build-up of a work from its shapes, in shares of it, and its width over its height; empty where none is drawn. */
  build: { steps: readonly BoardShape[]; ratio: number };
}

interface BoardShape {
  outline: readonly Point[];
  said: readonly Message[];
}

/** The lesson for the wall: one step fills the screen, with its clock and picture; what comes next stands small beneath. */
export function Board(props: Props) {
  // What was on before the page was loaded again lies in this window's own store.
  return useHydrated() ? <On key={`${props.period}:${props.second}`} {...props} /> : null;
}

const storeOf = (studyId: string, period: number, second: boolean) => `board:${studyId}:${period}${second ? ':2' : ''}`;

const boardOf = (studyId: string, period: number, second: boolean) =>
  `/studies/${studyId}/board?period=${period + 1}${second ? '&group=2' : ''}`;

function kept(key: string, many: number): Held {
  try {
    const held = JSON.parse(sessionStorage.getItem(key) ?? 'null') as Held | null;
    return held && held.at < many ? held : BEGIN;
  } catch {
    return BEGIN;
  }
}

const clockOf = (seconds: number): string => {
  const s = Math.abs(Math.round(seconds));
  return `${seconds < -0.5 ? '+' : ''}${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
};

/** One soft tone, for those who want to be told. */
function tone(): void {
  const audio = new AudioContext();
  const [from, swell] = [audio.createOscillator(), audio.createGain()];
  from.frequency.value = 440;
  swell.gain.setValueAtTime(0, audio.currentTime);
  swell.gain.linearRampToValueAtTime(0.2, audio.currentTime + 0.05);
  swell.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 1.2);
  from.connect(swell).connect(audio.destination);
  from.start();
  from.stop(audio.currentTime + 1.3);
  from.onended = () => void audio.close();
}

const LAST_MINUTE = 60;
/** More of them nobody keeps in mind while drawing. */
const MOST_RULES = 2;

function On({ studyId, page, period, second, source, build }: Props) {
  const say = useSay();
  const plan = useMemo(() => planFrom(page), [page]);
  const byStep = useMemo(() => rulesIn(page, plan), [page, plan]);
  const entries = ((second && plan.second) || plan.periods)[period];
  const key = storeOf(studyId, period, second);
  const [held, setHeld] = useState(() => kept(key, entries.length));
  const [now, setNow] = useState(() => Date.now());
  const [sound, setSound] = useState(false);
  const { act, busy, problem } = useChange();
  const [ended, setEnded] = useState(false);
  const [shape, setShape] = useState(0);
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    sessionStorage.setItem(key, JSON.stringify(held));
  }, [key, held]);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(timer);
  }, []);
  const entry = entries[held.at];
  const left = leftOf(held, entry, now);
  const step = entry.step === null ? null : plan.steps[entry.step];
  const next = entries[held.at + 1] ?? null;
  // Where the lesson drafts and no picture shows how, the work is built up shape by shape.
  const building = !!step && (step.built || step.knows.role === 'draft') && step.pictureId === null && build.steps.length > 0;
  const toShape = (by: 1 | -1) => setShape((k) => Math.min(build.steps.length - 1, Math.max(0, k + by)));
  const over = left <= 0;
  const last = !over && left <= LAST_MINUTE && entry.minutes > 1;
  const rung = useRef('');
  useEffect(() => {
    const bell = `${held.at}:${held.more}`;
    if (!sound || !over || held.since === null || rung.current === bell) return;
    rung.current = bell;
    tone();
  }, [sound, over, held.at, held.more, held.since]);
  const go = (by: 1 | -1) => setHeld((h) => moved(h, by, entries.length, Date.now()));
  const pause = () => setHeld((h) => turned(h, Date.now()));
  const more = () => setHeld((h) => given(h, 2, entry));
  useEffect(() => {
    const down = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey) return;
      const on = (e.target as Element).closest('button, a, input');
      if (e.key === 'ArrowRight' || e.key === 'PageDown') go(1);
      else if (e.key === 'ArrowLeft' || e.key === 'PageUp') go(-1);
      else if (e.key === ' ' && !on) pause();
      else if (e.key === '+') more();
      else if (building && e.key === 'ArrowDown') toShape(1);
      else if (building && e.key === 'ArrowUp') toShape(-1);
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  });
  const end = async () => {
    const turns = turnsHeld(
      held,
      entries,
      Date.now(),
      (s) => plan.steps[s].minutes,
      (s) => knownAs(plan.steps[s]),
    );
    if (turns.length && !(await act(() => send('POST', `/api/studies/${studyId}/plan/runs`, { period, turns })))) return;
    sessionStorage.removeItem(key);
    setHeld(BEGIN);
    setEnded(true);
  };
  const stuck = step && saysOf(step.knows, 'stuck', lessonValues(page.strokes, page.plan.medium));
  const who = whoIsAt(entry);
  const rules = (entry.step !== null && byStep[entry.step]) || [];
  return (
    <div ref={frame} className="fixed inset-0 z-40 flex flex-col overflow-hidden bg-base-100 text-base-content" data-board>
      <div className="flex items-baseline gap-[3vh] border-b-4 border-base-content px-[3vw] py-[1.5vh]">
        <p className="flex-1 text-[5vh] leading-none font-semibold">
          {say(`plan.who.${who}`)}
          {entry.round && <span className="ms-[2vw] text-[4vh] font-normal">{say('plan.roundOthers', entry.round)}</span>}
        </p>
        <p className="text-[4vh] leading-none" role="status">
          {ended
            ? say('board.ended')
            : over
              ? say('board.over')
              : last
                ? say('board.last')
                : held.since === null
                  ? say('board.stopped')
                  : ''}
        </p>
        <p
          className={`text-[12vh] leading-none font-semibold tabular-nums ${last ? 'underline decoration-dotted decoration-4 underline-offset-8' : ''}`}
          role="timer"
          aria-label={say('board.left')}
        >
          {clockOf(left)}
        </p>
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[1fr_42vw] gap-[3vw] px-[3vw] py-[2vh]">
        <div className="flex min-h-0 flex-col gap-[2vh] overflow-y-auto">
          <h1 className="font-title text-[7.5vh] leading-tight font-semibold">{say(entry.title)}</h1>
          <p className="text-[5.2vh] leading-snug">{say(entry.text)}</p>
          {rules.slice(0, MOST_RULES).map((r, i) => (
            <p key={i} className="border-s-[0.8vh] border-base-content ps-[2vh] text-[4.4vh] leading-snug">
              {say(r.said)}
            </p>
          ))}
          {step?.carried.map((c, i) => (
            <p key={i} className="text-[4vh] leading-snug">
              {say('plan.carried', { step: c.from, option: c.option })}
            </p>
          ))}
          {entry.kind === 'turn' && stuck && rules.length < MOST_RULES && (
            <p className="text-[4vh] leading-snug">{say('board.stuck', { stuck })}</p>
          )}
        </div>
        {building ? (
          <Built build={build} upTo={shape} />
        ) : (
          <Shown
            entryKind={entry.kind}
            step={step}
            source={source}
            rule={rules.find((r) => r.picture && !('whole' in r.picture)) ?? null}
            on={page.source}
          />
        )}
      </div>
      <p className="truncate border-t border-base-300 px-[3vw] pt-[1vh] text-[3.2vh]">
        {next ? say('board.next', { title: next.title, minutes: next.minutes }) : say('board.nothingNext')}
      </p>
      <div className="flex items-center gap-2 px-[3vw] py-[1vh]">
        <Key label={say('board.back')} onPress={() => go(-1)} off={held.at === 0}>
          <ChevronLeft aria-hidden />
        </Key>
        <Key label={say(held.since === null ? 'board.go' : 'board.pause')} onPress={pause}>
          {held.since === null ? <Play aria-hidden /> : <Pause aria-hidden />}
        </Key>
        <Key label={say('board.forward')} onPress={() => go(1)} off={!next}>
          <ChevronRight aria-hidden />
        </Key>
        {building && (
          <>
            <Key label={say('board.lessShapes')} onPress={() => toShape(-1)} off={shape === 0}>
              <ChevronUp aria-hidden />
            </Key>
            <Key label={say('board.moreShapes')} onPress={() => toShape(1)} off={shape === build.steps.length - 1}>
              <ChevronDown aria-hidden />
            </Key>
          </>
        )}
        <Key label={say('board.more')} onPress={more}>
          <Plus aria-hidden /> 2
        </Key>
        <Key label={say(sound ? 'board.soundOff' : 'board.soundOn')} onPress={() => setSound(!sound)}>
          {sound ? <Bell aria-hidden /> : <BellOff aria-hidden />}
        </Key>
        <Key
          label={say('board.large')}
          onPress={() => void (document.fullscreenElement ? document.exitFullscreen() : frame.current?.requestFullscreen())}
        >
          <Maximize aria-hidden />
        </Key>
        <select
          className="select select-sm w-36"
          aria-label={say('board.period')}
          value={period}
          onChange={(e) => window.location.assign(boardOf(studyId, Number(e.target.value), second))}
        >
          {plan.periods.map((_, i) => (
            <option key={i} value={i}>
              {say('plan.period', { n: i + 1 })}
            </option>
          ))}
        </select>
        {plan.second && (
          <select
            className="select select-sm w-36"
            aria-label={say('plan.groupOf')}
            value={second ? 'second' : 'first'}
            onChange={(e) => window.location.assign(boardOf(studyId, period, e.target.value === 'second'))}
          >
            {(['first', 'second'] as const).map((g) => (
              <option key={g} value={g}>
                {say(`plan.groups.${g}`)}
              </option>
            ))}
          </select>
        )}
        <button type="button" className="btn btn-sm" disabled={busy} onClick={() => void end()}>
          {say('board.end')}
        </button>
        <Link className="btn btn-sm" href={`/studies/${studyId}/plan`}>
          <X aria-hidden className="size-4" /> {say('board.leave')}
        </Link>
      </div>
      <Notice said={problem} />
    </div>
  );
}

/** The step's own picture; options side by side where they are open; else what is studied. */
function Shown({
  entryKind,
  step,
  source,
  rule,
  on,
}: {
  entryKind: string;
  step: ReturnType<typeof planFrom>['steps'][number] | null;
  source: Props['source'];
  /** A rule that is kept to here and can be shown, and the work it is shown on. */
  rule: LessonRule | null;
  on: PlanPage['source'];
}) {
  const say = useSay();
  const open = step && step.option === null && (entryKind === 'watch' || entryKind === 'turn') ? step.options : [];
  const picture = step?.pictureId ?? source?.pictureId ?? null;
  const shown = rule?.picture && step?.pictureId === null ? rule.picture : null;
  return (
    <div className="flex min-h-0 flex-col gap-[2vh]">
      {open.length > 0 && (
        <ul className="grid flex-none gap-[1.5vh]" style={{ gridTemplateColumns: `repeat(${Math.min(2, open.length)}, minmax(0, 1fr))` }}>
          {open.map((o) => (
            <li key={o.id} className="border-4 border-base-content p-[1.5vh]">
              <p className="text-[4.2vh] leading-tight font-semibold">{say(o.name)}</p>
              {say(o.how) && <p className="text-[4vh] leading-tight">{say(o.how)}</p>}
            </li>
          ))}
        </ul>
      )}
      {shown && (
        <div className="flex justify-center">
          <RuleShown picture={shown} source={on} alt={say('plan.ruleShown', { rule: rule!.said })} side="46vh" fine />
        </div>
      )}
      {picture && (
        <div className="min-h-0 flex-1">
          <img
            src={wholePicture(picture)}
            alt={step?.pictureId ? say('plan.pictureOf', { step: step.name }) : say.typed(source?.title ?? '')}
            className="h-full w-full object-contain"
          />
        </div>
      )}
    </div>
  );
}

/** The shapes so far on the sheet with its quarters, the newest strong, and where it stands in words. */
function Built({ build: { steps, ratio }, upTo }: { build: Props['build']; upTo: number }) {
  const say = useSay();
  const path = (outline: readonly Point[]) => `${outline.map(([x, y], i) => `${i ? 'L' : 'M'}${x * ratio} ${y}`).join('')}Z`;
  return (
    <div className="flex min-h-0 flex-col gap-[2vh]">
      <svg
        viewBox={`-0.01 -0.01 ${ratio + 0.02} 1.02`}
        className="min-h-0 flex-1"
        role="img"
        aria-label={say('carry.step', { n: upTo + 1 })}
      >
        <rect width={ratio} height={1} fill="none" stroke="currentColor" strokeWidth={0.004} />
        <path
          d={[0.25, 0.5, 0.75].map((q) => `M${q * ratio} 0V1M0 ${q}H${ratio}`).join('')}
          stroke="currentColor"
          strokeWidth={0.002}
          strokeDasharray="0.01 0.01"
          opacity={0.6}
        />
        {steps.slice(0, upTo + 1).map((s, i) => (
          <path key={i} d={path(s.outline)} fill="none" stroke="currentColor" strokeWidth={i === upTo ? 0.014 : 0.005} />
        ))}
      </svg>
      <div className="flex-none text-[4vh] leading-snug" aria-live="polite">
        {steps[upTo].said.slice(0, 2).map((m, i) => (
          <p key={i}>{say(m)}</p>
        ))}
      </div>
    </div>
  );
}

function Key({ label, onPress, off, children }: { label: string; onPress: () => void; off?: boolean; children: ReactNode }) {
  return (
    <button type="button" className="btn btn-square btn-sm w-auto px-2" aria-label={label} title={label} disabled={off} onClick={onPress}>
      {children}
    </button>
  );
}
