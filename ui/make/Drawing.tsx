'use client';
import Link from 'next/link';
import { ReactNode, useEffect, useRef, useState } from 'react';
import { TEMPLATES, TemplateName } from '@/core/proportion/templates';
import { LandmarkLayer } from '../proportion/LandmarkLayer';
import { useLandmarks } from '../proportion/useLandmarks';
import { Bench } from '../shared/Bench';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { RequestError, send } from '../shared/request';
import { text } from '../text/en';
import { Checklist } from './Checklist';
import { Factors } from './Factors';
import { Aid, GhostView } from './GhostView';
import type { Rule } from './MakeBench';
import type { MasterWork, Reference } from './reference';
import { Strengths } from './Strengths';
import { TEMPLATE_NAMES } from '../proportion/templateNames';
import { useGhost, useManner } from './useGhost';
import { ReferenceForm } from './ReferenceForm';

interface Props {
  studyId: string;
  reference: Reference;
  template: TemplateName;
  works: MasterWork[];
  roster: { id: string; name: string }[];
  rules: Rule[];
  head: ReactNode;
  strip: ReactNode;
}

type View = 'points' | 'ghost' | Aid;
const VIEWS: readonly [View, string][] = [['points', 'Place points'], ['ghost', 'Ghost'], ['values', 'Master’s values'], ['palette', 'Master’s palette']]; // prettier-ignore
const SCREEN_SIDE = 900;

export function Drawing({ studyId, reference, template, works, roster, rules, head, strip }: Props) {
  const looking = useLooking();
  const placed = useLandmarks('reference', reference.id, template, reference.sets.find((s) => s.template === template)); // prettier-ignore
  const { factors, bent } = useManner(template, works, placed.points);
  const [view, setView] = useState<View>(bent ? 'ghost' : 'points');
  const [selected, setSelected] = useState<string | null>(null);
  const [strength, setStrength] = useState(reference.strength);
  const [parts, setParts] = useState(reference.parts);
  const [problem, setProblem] = useState<string | null>(null);
  const { ghost, points } = useGhost(reference, template, placed.points, bent?.points ?? null, strength, parts, SCREEN_SIDE); // prettier-ignore
  const saver = useSaver(reference, setProblem);
  const all = TEMPLATES[template];
  const next = all.find((p) => !placed.points[p.name] && p.name === selected) ?? all.find((p) => !placed.points[p.name]); // prettier-ignore
  const base = `/studies/${studyId}/make`;
  const size = { width: reference.pictureWidth, height: reference.pictureHeight };
  return (
    <Bench
      tools={
        <div className="flex flex-wrap items-center gap-1">
          {VIEWS.map(([v, name]) => (
            <button key={v} type="button" aria-pressed={view === v} className={`btn btn-sm ${view === v ? 'btn-neutral' : ''}`} onClick={() => setView(v)}>
              {name}
            </button>
          ))}
          {view === 'points' && <ToolRow {...looking} only={['grid', 'quarters', 'mirror', 'lens']} />}
        </div>
      }
      picture={
        view === 'points' ? (
          <PictureView
            pictureId={reference.pictureId}
            {...size}
            alt={reference.title}
            on={looking.on}
            lensAlways={!!next}
            className="flex-1"
            onPoint={(at) => {
              if (!next) return;
              placed.show({ ...placed.points, [next.name]: [Math.round(at[0] * 4) / 4, Math.round(at[1] * 4) / 4] });
              setSelected(null);
              placed.save(`placing “${next.words}”`);
            }}
          >
            <LandmarkLayer
              points={placed.points}
              names={all}
              selected={selected}
              width={size.width}
              onSelect={setSelected}
              onDrag={(name, at) => placed.show({ ...placed.points, [name]: at })}
              onRest={placed.save}
              onRemove={(name) => {
                const { [name]: _gone, ...rest } = placed.points;
                placed.show(rest);
                placed.save(`removing “${all.find((p) => p.name === name)?.words}”`);
              }}
            />
          </PictureView>
        ) : (
          <GhostView view={view} reference={reference} from={placed.points} to={points} ghost={ghost} works={works} />
        )
      }
      strip={strip}
    >
      {head}
      <div className="mt-3 flex flex-wrap gap-2" role="group" aria-label="Template">
        {(Object.keys(TEMPLATE_NAMES) as TemplateName[]).map((t) => (
          <Link key={t} href={`${base}?reference=${reference.id}&template=${t}`} aria-current={t === template ? 'true' : undefined} className={`btn btn-sm ${t === template ? 'btn-neutral' : ''}`}>
            {TEMPLATE_NAMES[t]}
          </Link>
        ))}
      </div>
      <Notice message={problem ?? placed.problem} />
      {view === 'points' && (
        <p className="mt-2 text-lg" role="status">
          {next ? <>Click on the <strong>{next.words}</strong>; a hidden one can be left out.</> : 'Every point is placed.'}{' '}
          <span className="text-sm">{text.shared[placed.state]}.</span>
        </p>
      )}
      {!factors.length && <p className="mt-2">{text.make.noMaster}</p>}
      {factors.length > 0 && !bent && <p className="mt-2">{text.make.noPoints}</p>}
      {bent && (
        <>
          <Strengths
            template={template}
            strength={strength}
            parts={parts}
            onChange={(s, p) => {
              setStrength(s);
              setParts(p);
              if (view === 'points') setView('ghost');
              saver({ strength: s, parts: p });
            }}
          />
          {ghost && ghost.folded > 0.003 && (
            <p className="mt-2 text-sm" role="status">
              The picture folds over itself in {Math.max(1, Math.round(100 * ghost.folded))} % of the sheet: lower the strength there, or invent the form.
            </p>
          )}
          <Factors factors={factors} bent={bent} />
        </>
      )}
      <Checklist referenceId={reference.id} rules={rules} done={reference.done} />
      <ReferenceForm reference={reference} roster={roster} onSave={saver} base={base} />
    </Bench>
  ); // prettier-ignore
}

/** Saves changes of the reference one after another, a moment after the last of them. */
function useSaver(reference: Reference, tell: (problem: string | null) => void) {
  const version = useRef(reference.version);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const waiting = useRef<Record<string, unknown>>({});
  const chain = useRef(Promise.resolve());
  useEffect(() => {
    version.current = Math.max(version.current, reference.version);
  }, [reference.version]);
  return (fields: Record<string, unknown>) => {
    waiting.current = { ...waiting.current, ...fields };
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      const sent = waiting.current;
      waiting.current = {};
      chain.current = chain.current.then(async () => {
        try {
          version.current = (
            await send<{ version: number }>('PATCH', `/api/references/${reference.id}`, {
              version: version.current,
              ...sent,
            })
          ).version;
          tell(null);
        } catch (error) {
          tell((error as Error).message);
          if (error instanceof RequestError && error.status === 409) window.location.reload();
        }
      });
    }, 500);
  };
}
