'use client';
import { Archive, ArchiveRestore, CalendarPlus, FileDown, UserPlus } from 'lucide-react';
import { useState } from 'react';
import { typed } from '@/core/message';
import { DeleteForGood } from '../shared/DeleteForGood';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useVersioned } from '../shared/server/useVersioned';
import { TypedInput } from '../shared/typing/Typed';
import type { ClassView, StudentView } from './class';
import { useSay } from '../words/Words';

interface Props {
  of: ClassView;
  /** Id of the student whose form is open. */
  current: string | null;
  onStudent: (id: string) => void;
  onAdd: () => void;
}

/** One class: its name and school, what can be done with it, and everybody in it with the piece they handed in last. */
export function ClassSection({ of, current, onStudent, onAdd }: Props) {
  const say = useSay();
  const [next, setNext] = useState<string | null>(null);
  const path = `/api/classes/${of.id}`;
  const { act, save, busy, refused, other } = useVersioned(path, of.version);
  const [listed, left] = [of.students.filter((s) => !s.left), of.students.filter((s) => s.left)];
  return (
    <section aria-label={say.typed(of.name)} className="border-t-2 border-base-content/60 pt-2">
      <div className="grid grid-cols-[minmax(6rem,auto)_1fr] items-baseline gap-3">
        <h2 className="text-xl font-semibold">
          <TypedInput
            place={`class:${of.id}:name`}
            stored={of.name}
            aria-label={say('classes.change.nameOf')}
            maxLength={80}
            className="quiet-field max-w-40"
            skip={(name) => !name.trim()}
            onSave={(name) => save({ name })}
          />
        </h2>
        <TypedInput
          place={`class:${of.id}:school`}
          stored={of.school}
          aria-label={say('classes.change.schoolOf')}
          placeholder={say('classes.school')}
          maxLength={120}
          className="quiet-field"
          onSave={(school) => save({ school })}
        />
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <span className="flex-1">{say('classes.students', { n: listed.length })}</span>
        <button type="button" className="btn btn-sm" onClick={onAdd}>
          <UserPlus aria-hidden className="size-4" /> {say('classes.change.addStudents')}
        </button>
        <a className="btn btn-sm" href={`${path}?as=csv`} download>
          <FileDown aria-hidden className="size-4" /> {say('classes.change.save')}
        </a>
        <button type="button" className="btn btn-sm" aria-expanded={next !== null} onClick={() => setNext(next === null ? '' : null)}>
          <CalendarPlus aria-hidden className="size-4" /> {say('classes.change.next')}
        </button>
        <button type="button" className="btn btn-sm" disabled={busy} onClick={() => void save({ archived: !of.archived })}>
          {of.archived ? <ArchiveRestore aria-hidden className="size-4" /> : <Archive aria-hidden className="size-4" />}{' '}
          {say(of.archived ? 'classes.change.takeOut' : 'classes.change.putAway')}
        </button>
      </div>
      {next !== null && (
        <form
          className="mt-2 grid max-w-md gap-2 border border-base-300 p-3"
          onSubmit={async (e) => {
            e.preventDefault();
            if (await act(() => send('POST', `${path}/next`, { name: next }))) setNext(null);
          }}
        >
          <Field label={say('classes.change.nextName')} problem={refused('name')}>
            <input className="input w-full" required maxLength={80} value={next} onChange={(e) => setNext(e.target.value)} />
          </Field>
          <p className="text-sm">{say('classes.change.nextHow')}</p>
          <button className="btn btn-primary btn-sm justify-self-start" disabled={busy}>
            {say('classes.change.nextMake')}
          </button>
        </form>
      )}
      <Notice said={next === null ? (refused('name') ?? other(['name'])) : other(['name'])} />
      <Cards students={listed} current={current} onStudent={onStudent} />
      {left.length > 0 && (
        <details>
          <summary className="cursor-pointer text-sm">{say('classes.change.left', { n: left.length })}</summary>
          <Cards students={left} current={current} onStudent={onStudent} />
        </details>
      )}
      <DeleteForGood what="class" label={say('deleting.class')} from={path} path={path} then="/classes" />
    </section>
  );
}

function Cards({ students, current, onStudent }: { students: readonly StudentView[] } & Pick<Props, 'current' | 'onStudent'>) {
  const say = useSay();
  return (
    <ul className="my-3 grid grid-cols-3 gap-x-2 gap-y-3 sm:grid-cols-4 xl:grid-cols-6">
      {students.map((s) => (
        <li key={s.id}>
          <button
            type="button"
            aria-label={say('classes.change.open', { name: typed(s.name) })}
            aria-pressed={current === s.id}
            onClick={() => onStudent(s.id)}
            className="pickable grid w-full"
          >
            <span className="bench flex aspect-4/3 items-center justify-center p-1">
              {s.pieceId ? (
                <img src={`/api/pictures/${s.pieceId}?size=small`} alt="" loading="lazy" className="max-h-full max-w-full" />
              ) : (
                <span className="text-center text-xs">{say('classes.noPiece')}</span>
              )}
            </span>
            <span className="truncate">{say.typed(s.name)}</span>
            <span className="text-xs">
              {[
                s.seat && say('classes.change.at', { seat: typed(s.seat) }),
                s.table && say('classes.change.table', { table: typed(s.table) }),
                s.leftHanded && say('classes.change.leftHanded'),
                s.needs && say.typed(s.needs),
              ]
                .filter(Boolean)
                .join(' · ')}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
