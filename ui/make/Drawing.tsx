'use client';
import { ReactNode, useEffect, useRef, useState, useMemo } from 'react';
import { amount, type Message } from '@/core/message';
import { houseKind } from '../shared/kinds';
import type { TemplateName } from '@/core/proportion/templates';
import { PlacingPrompt, PlacingView, usePlacing } from '../proportion/placing';
import { Bench } from '../shared/Bench';
import { useStepped } from '../shared/EditBar';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { TemplateChoice } from '../shared/TemplateChoice';
import { RequestError, send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { Checklist } from './Checklist';
import { Factors } from './Factors';
import { Aid, GhostView } from './GhostView';
import type { MasterWork, Reference, Rule } from './reference';
import { Strengths } from './Strengths';
import { useGhost, useManner } from './useGhost';
import { ReferenceForm } from './ReferenceForm';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  reference: Reference;
  template: TemplateName;
  works: MasterWork[];
  group: string | null;
  roster: { id: string; name: string }[];
  rules: Rule[];
  head: ReactNode;
  strip: ReactNode;
}

type View = 'points' | 'ghost' | Aid;
const VIEWS: readonly View[] = ['points', 'ghost', 'values', 'palette'];
const SCREEN_SIDE = 900;

export function Drawing({ studyId, reference, template, works, group, roster, rules, head, strip }: Props) {
  const say = useSay();
  const looking = useLooking();
  const kind = useMemo(() => houseKind(template), [template]);
  const placing = usePlacing({ subject: 'reference', id: reference.id, kind, sets: reference.sets });
  const { factors, bent } = useManner(template, works, placing.points);
  const [view, setView] = useState<View>(bent ? 'ghost' : 'points');
  // After an undo or redo the stored strengths count again.
  const stepped = useStepped();
  const [{ strength, parts, since }, setBend] = useState({ strength: reference.strength, parts: reference.parts, since: stepped });
  if (since !== stepped) setBend({ strength: reference.strength, parts: reference.parts, since: stepped });
  const { ghost, points } = useGhost(reference, template, placing.points, bent?.points ?? null, strength, parts, SCREEN_SIDE);
  const { save: saver, problem } = useSaver(reference);
  const base = `/studies/${studyId}/make`;
  return (
    <Bench
      tools={
        <div className="flex flex-wrap items-center gap-1">
          {VIEWS.map((v) => (
            <button
              key={v}
              type="button"
              aria-pressed={view === v}
              className={`btn btn-sm ${view === v ? 'btn-neutral' : ''}`}
              onClick={() => setView(v)}
            >
              {say(`make.views.${v}`)}
            </button>
          ))}
          {view === 'points' && <ToolRow {...looking} only={['grid', 'quarters', 'mirror', 'lens']} />}
        </div>
      }
      picture={
        view === 'points' ? (
          <PlacingView
            placing={placing}
            picture={{
              id: reference.pictureId,
              width: reference.pictureWidth,
              height: reference.pictureHeight,
              alt: say.typed(reference.title),
            }}
            on={looking.on}
            lens
          />
        ) : (
          <GhostView view={view} reference={reference} from={placing.points} to={points} ghost={ghost} works={works} />
        )
      }
      strip={strip}
    >
      {head}
      <TemplateChoice
        current={kind}
        href={(t) => `${base}?reference=${reference.id}&template=${t}${group ? `&group=${group}` : ''}`}
        placed={new Set(reference.sets.map((s) => s.template))}
        open={false}
      />
      <Notice said={problem ?? placing.problem} />
      {view === 'points' && <PlacingPrompt placing={placing} turnedHref={null} />}
      {!factors.length && <p className="mt-2">{say('make.noMaster')}</p>}
      {factors.length > 0 && !bent && <p className="mt-2">{say('make.noPoints')}</p>}
      {bent && (
        <>
          <Strengths
            template={template}
            strength={strength}
            parts={parts}
            onChange={(s, p) => {
              setBend({ strength: s, parts: p, since: stepped });
              if (view === 'points') setView('ghost');
              saver({ strength: s, parts: p });
            }}
          />
          {ghost && ghost.folded > 0.003 && (
            <p className="mt-2 text-sm" role="status">
              {say('make.folds', { share: amount(Math.max(0.01, ghost.folded), 'share') })}
            </p>
          )}
          <Factors template={template} factors={factors} bent={bent} />
        </>
      )}
      <Checklist key={stepped} referenceId={reference.id} rules={rules} done={reference.done} />
      <ReferenceForm key={`form:${stepped}`} reference={reference} roster={roster} onSave={saver} base={base} />
    </Bench>
  );
}

/** Saves changes of the reference one after another, a moment after the last of them. */
function useSaver(reference: Reference): { save: (fields: Record<string, unknown>) => void; problem: Message | null } {
  const { act, problem } = useChange(`reference:${reference.id}`);
  const version = useRef(reference.version);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const waiting = useRef<Record<string, unknown>>({});
  useEffect(() => {
    version.current = Math.max(version.current, reference.version);
  }, [reference.version]);
  const save = (fields: Record<string, unknown>) => {
    waiting.current = { ...waiting.current, ...fields };
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      const sent = waiting.current;
      waiting.current = {};
      void act(async () => {
        try {
          const path = `/api/references/${reference.id}`;
          version.current = (await send<{ version: number }>('PATCH', path, { version: version.current, ...sent })).version;
        } catch (error) {
          if (error instanceof RequestError && error.status === 409) window.location.reload();
          throw error;
        }
      });
    }, 500);
  };
  return { save, problem };
}
