'use client';
import dynamic from 'next/dynamic';
import { ReactNode, useMemo, useState } from 'react';
import { amount, figure, Message, message } from '@/core/message';
import { Asked, biasOf, Drill, DrillAnswer, DrillQuestion, DRILLS, errorOf, leastSeen, roundOf, ROUND } from '@/core/proportion/drills';
import { Bench } from '../shared/Bench';
import { Choice } from '../shared/Choice';
import { kindOf, OwnKept } from '../shared/kinds';
import { Haloed } from '../shared/looking/Haloed';
import { PictureView } from '../shared/looking/PictureView';
import type { Looking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { screenPicture } from '../shared/reading/client';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';
import type { Round, Who } from './rounds';
import type { LandmarkSet } from './useLandmarks';

const Course = dynamic(() => import('./DrillCourse'), { ssr: false });

interface Props {
  studyId: string;
  works: readonly {
    id: string;
    title: string;
    pictureId: string;
    pictureWidth: number;
    pictureHeight: number;
    sets: readonly LandmarkSet[];
  }[];
  own: readonly OwnKept[];
  /** By first name and initial; none in a study without a class. */
  students: readonly { id: string; name: string }[];
  rounds: readonly Round[];
  views: ReactNode;
}

/** Nothing helps the eye here: no grid, no quarters. */
const NO_TOOLS = {} as Looking;

/** Drills of five minutes from the study's own pictures. */
export function EyeBench({ studyId, works, own, students, rounds, views }: Props) {
  const say = useSay();
  const [whoIs, setWho] = useState<string>('oneself');
  const [drill, setDrill] = useState<Drill>('ratio');
  const [round, setRound] = useState<{ questions: DrillQuestion[]; answers: DrillAnswer[] } | null>(null);
  const { act, problem } = useChange();
  const who: Who = whoIs === 'oneself' || whoIs === 'class' ? whoIs : 'student';
  const studentId = who === 'student' ? whoIs : null;
  const asked = useMemo(
    (): Asked[] =>
      works.flatMap((w) =>
        w.sets.flatMap((s) => {
          const kind = kindOf(s.template, own);
          return kind && Object.keys(s.points).length > 1
            ? [{ of: w.id, template: kind.template, points: s.points, width: w.pictureWidth, height: w.pictureHeight }]
            : [];
        }),
      ),
    [works, own],
  );
  const theirs = rounds.filter((r) => r.drill === drill && r.who === who && r.studentId === studentId);
  const question = round && round.answers.length < round.questions.length ? round.questions[round.answers.length] : null;
  const done = round && !question ? round.answers : null;
  const begin = () => {
    const questions = roundOf(drill, asked, Math.floor(Math.random() * 2 ** 31), ROUND);
    setRound(questions.length ? { questions, answers: [] } : null);
  };
  const answer = (said: number) => {
    if (!round || !question) return;
    const answers = [
      ...round.answers,
      { truth: question.truth, said, error: errorOf(question, said), ...(question.drill === 'stretched' && { by: question.by }) },
    ];
    setRound({ ...round, answers });
    if (answers.length === round.questions.length)
      void act(() => send('POST', `/api/studies/${studyId}/drills`, { who, studentId, drill: question.drill, answers }));
  };
  const work = works.find((w) => w.id === question?.of) ?? works[0];
  return (
    <Bench
      picture={
        question?.drill === 'stretched' ? (
          <Copies question={question} work={work} onAnswer={answer} />
        ) : (
          <PictureView
            pictureId={work.pictureId}
            width={work.pictureWidth}
            height={work.pictureHeight}
            alt={say.typed(work.title)}
            on={NO_TOOLS}
            placing={!!question}
            onPoint={
              question
                ? (at) => {
                    const said = placed(question, at);
                    if (said !== null) answer(said);
                  }
                : undefined
            }
          >
            {(unit) => question && <Shown question={question} unit={unit} width={work.pictureWidth} />}
          </PictureView>
        )
      }
    >
      {views}
      <h2 className="mt-3 text-lg font-semibold">{say('eye.title')}</h2>
      {!question && (
        <>
          <p className="text-sm">{say('eye.how')}</p>
          <div className="mt-3 grid gap-2">
            <Choice
              label={say('eye.who')}
              value={whoIs}
              options={[
                ['oneself', say('eye.oneself')],
                // One who studies alone has no class.
                ...(students.length ? [['class', say('eye.class')] as const] : []),
                ...students.map((s) => [s.id, say.typed(s.name)] as const),
              ]}
              onValue={(v) => {
                setWho(v);
                setRound(null);
              }}
            />
            <fieldset className="grid gap-1">
              <legend className="sr-only">{say('eye.which')}</legend>
              {DRILLS.map((d) => (
                <label key={d} className="flex items-start gap-2">
                  <input
                    type="radio"
                    name="drill"
                    className="radio radio-sm mt-1"
                    checked={drill === d}
                    onChange={() => (setDrill(d), setRound(null))}
                  />
                  <span>{say(`eye.drills.${d}`)}</span>
                </label>
              ))}
            </fieldset>
            <button type="button" className="btn btn-primary w-fit" disabled={!asked.length} onClick={begin}>
              {say(done ? 'eye.again' : 'eye.begin')}
            </button>
            {!asked.length && <p className="alert text-sm">{say('eye.needs')}</p>}
          </div>
        </>
      )}
      {question && round && (
        <Ask
          key={round.answers.length}
          question={question}
          n={round.answers.length + 1}
          of={round.questions.length}
          onAnswer={answer}
          onStop={() => setRound(null)}
        />
      )}
      <Notice said={problem} />
      {done && round && <Result drill={round.questions[0].drill} answers={done} />}
      {!question && theirs.length > 0 && (
        <section className="mt-4">
          <h3 className="font-semibold">{say('eye.course')}</h3>
          <p className="text-sm">{say(courseSaid(drill, theirs))}</p>
          <Course drill={drill} rounds={theirs} />
          <p className="text-xs">{say('eye.legend')}</p>
        </section>
      )}
    </Bench>
  );
}

/** What a click in the picture says to a question that is answered there. */
function placed(q: DrillQuestion, [x, y]: readonly [number, number]): number | null {
  if (q.drill === 'under') return x;
  if (q.drill !== 'halve') return null;
  const [[ax, ay], [bx, by]] = q.line;
  const [dx, dy] = [bx - ax, by - ay];
  return ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy);
}

/** What is asked about, over the picture. */
function Shown({ question: q, unit, width }: { question: DrillQuestion; unit: number; width: number }) {
  const way = ([[x, y], [u, v]]: readonly [readonly [number, number], readonly [number, number]]) => `M${x} ${y}L${u} ${v}`;
  const end = ([x, y]: readonly [number, number]) => `M${x - 6 * unit} ${y}h${12 * unit}M${x} ${y - 6 * unit}v${12 * unit}`;
  return (
    <g fill="none" aria-hidden data-drill={q.drill}>
      {q.drill === 'ratio' && (
        <>
          <Haloed d={way(q.line)} unit={unit} width={1.8} />
          <Haloed d={way(q.unit)} unit={unit} width={5} />
        </>
      )}
      {q.drill === 'halve' && <Haloed d={end(q.line[0]) + end(q.line[1])} unit={unit} width={2} />}
      {q.drill === 'angle' && <Haloed d={way(q.line)} unit={unit} width={3} />}
      {q.drill === 'under' && <Haloed d={`${end(q.from)}M0 ${q.level}H${width}`} unit={unit} width={2} />}
    </g>
  );
}

/** The original, and two copies of which one was made wider. */
function Copies({
  question,
  work,
  onAnswer,
}: {
  question: Extract<DrillQuestion, { drill: 'stretched' }>;
  work: Props['works'][number];
  onAnswer: (said: number) => void;
}) {
  const say = useSay();
  const ratio = work.pictureWidth / work.pictureHeight;
  // Copies of other sizes, so that no edge tells.
  const sizes = Math.round(100 * question.by) % 2 ? [0.8, 0.92] : [0.92, 0.8];
  return (
    <div className="flex flex-1 items-center justify-evenly gap-4">
      <figure className="w-[30%]">
        <img src={screenPicture(work.pictureId)} alt={say('eye.original')} className="w-full" style={{ aspectRatio: ratio }} />
        <figcaption className="bg-base-100 p-1 text-center text-sm text-base-content">{say('eye.original')}</figcaption>
      </figure>
      {[0, 1].map((k) => (
        <button key={k} type="button" className="w-[30%] outline-offset-4" onClick={() => onAnswer(k)}>
          <img
            src={screenPicture(work.pictureId)}
            alt={say('eye.copy', { n: k + 1 })}
            style={{ width: `${100 * sizes[k]}%`, aspectRatio: ratio * (k === question.truth ? 1 + question.by : 1), objectFit: 'fill' }}
          />
          <span className="block bg-base-100 p-1 text-center text-sm text-base-content">{say('eye.copy', { n: k + 1 })}</span>
        </button>
      ))}
    </div>
  );
}

/** A question in words, with what it is answered by where that is not the picture itself. */
function Ask({
  question: q,
  n,
  of,
  onAnswer,
  onStop,
}: {
  question: DrillQuestion;
  n: number;
  of: number;
  onAnswer: (said: number) => void;
  onStop: () => void;
}) {
  const say = useSay();
  const [text, setText] = useState('');
  const [turn, setTurn] = useState(0);
  const times = Number(text.replace(',', '.'));
  return (
    <div className="mt-3 grid gap-3">
      <p className="text-sm">{say('eye.question', { n, of })}</p>
      <p className="text-lg leading-snug" role="status">
        {say(`eye.ask.${q.drill}`)}
      </p>
      {q.drill === 'ratio' && (
        <form
          className="flex gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            if (times > 0 && times < 100) onAnswer(times);
          }}
        >
          <input
            className="input w-28"
            inputMode="decimal"
            autoFocus
            aria-label={say('eye.times')}
            placeholder="2.5"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          <button className="btn btn-primary" disabled={!(times > 0 && times < 100)}>
            {say('eye.answer')}
          </button>
        </form>
      )}
      {q.drill === 'angle' && (
        <>
          <svg viewBox="-60 -60 120 120" className="mx-auto size-56 border border-base-300" aria-hidden>
            <line x1={-50} x2={50} y1={0} y2={0} stroke="currentColor" strokeWidth={2.5} transform={`rotate(${-turn})`} />
          </svg>
          <input
            type="range"
            className="range"
            min={-90}
            max={90}
            step={0.5}
            value={turn}
            aria-label={say('eye.turn')}
            onChange={(e) => setTurn(e.target.valueAsNumber)}
          />
          <button type="button" className="btn btn-primary w-fit" onClick={() => onAnswer(turn)}>
            {say('eye.answer')}
          </button>
        </>
      )}
      <button type="button" className="btn btn-sm w-fit" onClick={onStop}>
        {say('eye.stop')}
      </button>
    </div>
  );
}

const UNITS: Readonly<Record<Drill, 'share' | 'degrees'>> = {
  ratio: 'share',
  halve: 'share',
  angle: 'degrees',
  under: 'share',
  stretched: 'share',
};

/** What a round, or several, say of the eye. */
function saidOf(drill: Drill, answers: readonly DrillAnswer[]): Message {
  if (drill === 'stretched') {
    const least = leastSeen(answers);
    return least === null ? message('eye.seen.none') : message('eye.seen.least', { by: amount(least, 'share') });
  }
  const bias = biasOf(answers.map((a) => a.error))!;
  const by = amount(Math.abs(bias.mean), UNITS[drill]);
  return message(bias.biased ? `eye.bias.${drill}` : 'eye.unbiased', {
    by,
    more: bias.mean > 0 ? 'yes' : 'no',
    size: amount(bias.size, UNITS[drill]),
    n: bias.n,
  });
}

const courseSaid = (drill: Drill, rounds: readonly Round[]): Message =>
  message('eye.soFar', {
    n: rounds.length,
    said: saidOf(
      drill,
      rounds.flatMap((r) => r.answers),
    ),
  });

/** Every answer beside what was right. */
function Result({ drill, answers }: { drill: Drill; answers: readonly DrillAnswer[] }) {
  const say = useSay();
  return (
    <section className="mt-4">
      <h3 className="font-semibold">{say('eye.result')}</h3>
      <p className="text-lg">{say(saidOf(drill, answers))}</p>
      <table className="mt-2 w-full text-sm">
        <thead>
          <tr className="text-end">
            <th scope="col" className="text-start">
              {say('eye.columns.said')}
            </th>
            <th scope="col">{say('eye.columns.right')}</th>
            <th scope="col">{say('eye.columns.off')}</th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {answers.map((a, i) => (
            <tr key={i} className="border-t border-base-300 text-end">
              {drill === 'stretched' ? (
                <>
                  <td className="text-start">{say('eye.copy', { n: a.said + 1 })}</td>
                  <td>{say('eye.copy', { n: a.truth + 1 })}</td>
                  <td>{say('eye.stretchedBy', { by: amount(a.by ?? 0, 'share'), right: a.error === 0 ? 'yes' : 'no' })}</td>
                </>
              ) : (
                <>
                  <td className="text-start">{value(say, drill, a.said, a)}</td>
                  <td>{value(say, drill, a.truth, a)}</td>
                  <td>
                    {a.error > 0 ? '+' : a.error < 0 ? '−' : ''}
                    {say.amount(Math.abs(a.error), UNITS[drill])}
                  </td>
                </>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function value(say: ReturnType<typeof useSay>, drill: Drill, v: number, { error, truth }: DrillAnswer): string {
  if (drill === 'ratio') return say.amount(v, 'times');
  if (drill === 'angle') return say.amount(v, 'degrees');
  if (drill === 'halve') return say.amount(v, 'share');
  // Where the plumb line met the level is told by how far it was off.
  return v === truth
    ? say('eye.plumb')
    : say(message('eye.beside', { by: amount(Math.abs(error), 'share'), side: error > 0 ? 'right' : 'left', n: figure(v) }));
}
