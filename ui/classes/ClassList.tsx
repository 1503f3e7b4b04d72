'use client';
import { useState } from 'react';
import { typed } from '@/core/message';
import { DeleteForGood } from '../shared/DeleteForGood';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

interface ClassView {
  id: string;
  name: string;
  school: string;
  students: { id: string; firstName: string; initial: string; pieceId: string | null }[];
}

/** Made-up names, in an empty class's place. */
const EXAMPLES = ['Abel R', 'Bruna K', 'Cato L', 'Dita M', 'Edo V', 'Fenna B'];

/** "Abel R", one a line, into first name and initial. */
function readRoster(textarea: string): { firstName: string; initial: string }[] {
  return textarea
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const [, firstName, initial] = line.match(/^(.*?)(?:\s+(\p{L})\.?)?$/u) ?? [];
      return { firstName: (firstName ?? line).slice(0, 40), initial: initial ?? '' };
    });
}

export function ClassList({ classes }: { classes: ClassView[] }) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const [name, setName] = useState('');
  const [school, setSchool] = useState('');
  const [roster, setRoster] = useState('');
  return (
    <div className="mx-auto grid w-full max-w-6xl gap-8 p-6 lg:grid-cols-[1fr_22rem]">
      <section>
        <h1 className="mb-4 text-3xl font-semibold">{say('classes.title')}</h1>
        {classes.length === 0 && (
          <div className="grid gap-3">
            <p className="max-w-prose text-lg">{say('classes.none')}</p>
            <p className="text-sm">{say('classes.example')}</p>
            <ul aria-hidden className="grid grid-cols-3 gap-3 opacity-50 sm:grid-cols-6">
              {EXAMPLES.map((name) => (
                <li key={name} className="grid gap-1 text-sm">
                  <span className="bench aspect-4/3" />
                  {say.typed(name)}
                </li>
              ))}
            </ul>
          </div>
        )}
        <ul className="grid gap-6">
          {classes.map((c) => (
            <li key={c.id} className="border-t-2 border-base-content/60 pt-2">
              <h2 className="text-xl font-semibold">
                {say.typed(c.name)}{' '}
                {c.school && <span className="text-base font-normal">{say('classes.at', { school: typed(c.school) })}</span>}
              </h2>
              <p>{say('classes.students', { n: c.students.length })}</p>
              <ul className="my-3 grid grid-cols-3 gap-x-3 gap-y-4 sm:grid-cols-4 xl:grid-cols-6">
                {c.students.map((s) => (
                  <li key={s.id}>
                    <span className="bench flex aspect-4/3 items-center justify-center p-1">
                      {s.pieceId ? (
                        <img src={`/api/pictures/${s.pieceId}?size=small`} alt="" loading="lazy" className="max-h-full max-w-full" />
                      ) : (
                        <span className="text-center text-xs">{say('classes.noPiece')}</span>
                      )}
                    </span>
                    <details>
                      <summary className="cursor-pointer truncate text-sm">{say.typed(`${s.firstName} ${s.initial}`)}</summary>
                      <div className="grid gap-2 py-2 text-sm">
                        <a className="link" href={`/api/students/${s.id}/everything`} download>
                          {say('deleting.everything')}
                        </a>
                        <DeleteForGood
                          what="student"
                          label={say('deleting.student')}
                          from={`/api/students/${s.id}`}
                          path={`/api/students/${s.id}`}
                          then="/classes"
                        />
                      </div>
                    </details>
                  </li>
                ))}
              </ul>
              <DeleteForGood
                what="class"
                label={say('deleting.class')}
                from={`/api/classes/${c.id}`}
                path={`/api/classes/${c.id}`}
                then="/classes"
              />
            </li>
          ))}
        </ul>
      </section>
      <form
        className="grid content-start gap-3"
        onSubmit={async (e) => {
          e.preventDefault();
          if (await act(() => send('POST', '/api/classes', { name, school, students: readRoster(roster) }))) {
            setName('');
            setSchool('');
            setRoster('');
          }
        }}
      >
        <h2 className="text-xl font-semibold">{say('classes.new')}</h2>
        <Field label={say('classes.name')} problem={refused('name')}>
          <input className="input w-full" required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
        </Field>
        <Field label={say('classes.school')} problem={refused('school')}>
          <input className="input w-full" maxLength={120} value={school} onChange={(e) => setSchool(e.target.value)} />
        </Field>
        <Field label={say('classes.roster')} problem={refused('students')}>
          <textarea
            className="textarea w-full"
            rows={8}
            placeholder={say('classes.rosterExample')}
            value={roster}
            onChange={(e) => setRoster(e.target.value)}
          />
        </Field>
        <p className="text-sm">{say('classes.minors')}</p>
        <Notice said={other(['name', 'school', 'students'])} />
        <button className="btn btn-primary justify-self-start" disabled={busy}>
          {say(busy ? 'shared.saving' : 'classes.add')}
        </button>
      </form>
    </div>
  );
}
