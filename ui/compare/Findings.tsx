'use client';
import type { Comparison } from '@/core/style/compare';
import { FEATURE_GROUPS } from '@/core/style/features';
import { howMeasured, Known, surerBy } from '@/core/style/surer';
import { featureTitle, groupName, nextStep, sayFinding } from '@/core/style/words';
import { Grounds, Told } from '../shared/evidence/Told';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { TypedInput } from '../shared/typing/Typed';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';
import { HeldAgainst } from './HeldAgainst';

type Finding = Comparison['findings'][number];

interface Note {
  feature: string;
  setAside: boolean;
  note: string;
  version: number;
}

interface Props {
  pieceId: string;
  comparison: Comparison;
  notes: Note[];
  /** What decides how sure the readings are. */
  known: Known;
}

/** What lies outside the master's range, by group, the group with the farthest finding first; a teacher sets aside or notes. */
export function Findings({ pieceId, comparison, notes, known }: Props) {
  const say = useSay();
  const { act, problem } = useChange();
  const noteOf = (f: string) => notes.find((n) => n.feature === f);
  const outside = comparison.findings.filter((f) => f.distance !== 0);
  const open = outside.filter((f) => !noteOf(f.feature)?.setAside);
  const aside = outside.filter((f) => noteOf(f.feature)?.setAside);
  const inside = comparison.findings.filter((f) => f.distance === 0);
  const next = (f: Finding) => {
    const step = nextStep(f);
    return step && say(step);
  };
  // Findings come farthest first, so the groups do too.
  const groups = FEATURE_GROUPS.map((group) => ({ group, found: open.filter((f) => f.group === group) }))
    .filter((g) => g.found.length > 0)
    .sort((a, b) => open.indexOf(a.found[0]) - open.indexOf(b.found[0]));
  const save = (feature: string, setAside: boolean, note: string) =>
    act(() => send('PUT', `/api/pieces/${pieceId}/notes`, { feature, setAside, note, version: noteOf(feature)?.version ?? 0 }));
  const told = (f: Finding) => (
    <Told said={sayFinding(f)} lights={f.feature}>
      <HeldAgainst finding={f} />
      <Grounds spread={null} how={howMeasured(f.feature)} surer={surerBy(f.feature, known)} />
    </Told>
  );
  const one = (f: Finding) => (
    <li key={f.feature} className="border-t border-base-300 pt-2">
      {told(f)}
      <p className="text-sm italic">{next(f)}</p>
      <div className="mt-1 flex items-center gap-3 text-sm">
        <button
          type="button"
          className="link"
          aria-label={say('compare.setAsideOf', { feature: featureTitle(f.feature, f.title) })}
          onClick={() => void save(f.feature, true, noteOf(f.feature)?.note ?? '')}
        >
          {say('compare.setAside')}
        </button>
        <TypedInput
          place={`note:${pieceId}:${f.feature}`}
          aria-label={say('compare.noteOn', { feature: featureTitle(f.feature, f.title) })}
          className="flex-1 border-b border-base-content/40 bg-transparent"
          placeholder={say('compare.note')}
          maxLength={2000}
          stored={noteOf(f.feature)?.note ?? ''}
          onSave={(note) => save(f.feature, noteOf(f.feature)?.setAside ?? false, note)}
        />
      </div>
    </li>
  );
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{say('compare.outside')}</h2>
      {open.length === 0 && <p>{say('compare.nothing')}</p>}
      {groups.map(({ group, found }) => (
        <section key={group} className="mt-2">
          <h3 className="font-semibold">{say(groupName(group))}</h3>
          <ol className="grid gap-3">{found.map(one)}</ol>
        </section>
      ))}
      {aside.length > 0 && (
        <p className="mt-2 text-sm">
          {say('compare.aside')}{' '}
          {aside.map((f) => (
            <button
              key={f.feature}
              type="button"
              className="link me-2"
              onClick={() => void save(f.feature, false, noteOf(f.feature)?.note ?? '')}
            >
              {say('compare.takeBack', { feature: featureTitle(f.feature, f.title) })}
            </button>
          ))}
        </p>
      )}
      <details className="mt-2">
        <summary>{say('compare.within', { n: inside.length })}</summary>
        <ul className="mt-1 grid gap-1 text-sm">
          {inside.map((f) => (
            <li key={f.feature}>{told(f)}</li>
          ))}
        </ul>
      </details>
      <Notice said={problem} />
    </section>
  );
}
