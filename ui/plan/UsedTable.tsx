'use client';
import { Plus, X } from 'lucide-react';
import type { CupboardThing } from '@/core/colour/materials';
import { costsOf, Used } from '@/core/lesson/substitute';
import { mediumName } from '@/core/lesson/media';
import type { Plan } from '@/core/lesson/plan';
import { lays } from '@/core/lesson/technique';
import type { PlanDraft, PlanPage, WorkFact } from './lesson';
import { useSay } from '../words/Words';

interface Props {
  page: Pick<PlanPage, 'strokes' | 'swell'>;
  plan: Plan;
  draft: Pick<PlanDraft, 'used' | 'medium'>;
  cupboard: readonly CupboardThing[];
  facts: readonly WorkFact[];
  onUsed: (used: Used[]) => void;
}

const NEW: Used = { what: '', source: '', instead: '' };

/** With what the master worked, read or inferred; what the class takes instead; and what that costs in effect. */
export function UsedTable({ page, plan, draft, cupboard, facts, onUsed }: Props) {
  const say = useSay();
  // Before anybody has said more, it is inferred from the medium.
  const used = draft.used.length ? draft.used : [{ ...NEW, what: say(mediumName(draft.medium)) }];
  const put = (i: number, part: Partial<Used>) => onUsed(used.map((u, k) => (k === i ? { ...u, ...part } : u)));
  const { width } = page.strokes;
  const asked = {
    lineMm: width?.unit === 'mm' ? width.amount : null,
    swell: page.swell,
    washed: plan.steps.some((s) => lays(s.knows, 'wet')),
    grain: plan.steps.some((s) => s.knows.id === 'dry-brush' || lays(s.knows, 'dusty')),
  };
  return (
    <div className="grid gap-3 text-sm">
      {used.map((u, i) => {
        const thing = cupboard.find((c) => c.name === u.instead);
        const costs = thing ? costsOf(thing, asked) : [];
        return (
          <div key={i} className="grid gap-1">
            <div className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
              {(['what', 'source', 'instead'] as const).map((field) => (
                <label key={field} className="grid">
                  <span className="text-xs">{say(`plan.used.${field}`)}</span>
                  <input
                    key={u[field]}
                    className="input input-sm w-full"
                    aria-label={say(`plan.used.${field}Of`, { n: i + 1 })}
                    maxLength={field === 'source' ? 190 : 120}
                    list={field === 'instead' ? 'plan-cupboard' : undefined}
                    placeholder={field === 'source' ? say('plan.used.inferred') : field === 'instead' ? say('plan.used.same') : ''}
                    defaultValue={u[field]}
                    onBlur={(e) =>
                      e.target.value.trim() !== u[field] &&
                      (field !== 'what' || e.target.value.trim()) &&
                      put(i, { [field]: e.target.value.trim() })
                    }
                  />
                </label>
              ))}
              <button
                type="button"
                className="btn btn-ghost btn-sm"
                aria-label={say('plan.used.gone', { n: i + 1 })}
                onClick={() => onUsed(used.filter((_, k) => k !== i))}
              >
                <X aria-hidden className="size-4" />
              </button>
            </div>
            {thing && (
              <p className="border-s-4 border-base-content/60 ps-2">
                {costs.length ? costs.map((c) => say(c)).join(' ') : say('plan.used.none')}
              </p>
            )}
          </div>
        );
      })}
      <datalist id="plan-cupboard">
        {[...new Set(cupboard.map((c) => c.name))].map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      {used.length < 12 && (
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn btn-sm" onClick={() => onUsed([...used, { ...NEW, what: '…' }])}>
            <Plus aria-hidden className="size-4" /> {say('plan.used.add')}
          </button>
          {facts.length > 0 && (
            <select
              className="select select-sm w-64"
              aria-label={say('plan.used.fromFacts')}
              value=""
              onChange={(e) => {
                const fact = facts[Number(e.target.value)];
                if (fact) onUsed([...used, { ...NEW, what: fact.text.slice(0, 120), source: (fact.source ?? '').slice(0, 190) }]);
              }}
            >
              <option value="">{say('plan.used.fromFacts')}</option>
              {facts.map((f, i) => (
                <option key={i} value={i}>
                  {say.typed(f.text)}
                </option>
              ))}
            </select>
          )}
        </div>
      )}
    </div>
  );
}
