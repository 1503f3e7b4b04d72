'use client';
import { useState } from 'react';
import { DeleteForGood } from '../shared/DeleteForGood';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useAct } from '../shared/useAct';
import { text } from '../text/en';

interface ClassView {
  id: string;
  name: string;
  school: string;
  students: { id: string; firstName: string; initial: string }[];
}

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
  const { act, busy, problem } = useAct();
  const [name, setName] = useState('');
  const [school, setSchool] = useState('');
  const [roster, setRoster] = useState('');
  return (
    <div className="mx-auto grid w-full max-w-6xl gap-8 p-6 lg:grid-cols-[1fr_22rem]">
      <section>
        <h1 className="mb-4 text-3xl font-semibold">Classes</h1>
        {classes.length === 0 && <p>No class yet. A study can also do without: one person studies alone.</p>}
        <ul className="grid gap-6">
          {classes.map((c) => (
            <li key={c.id} className="border-t-2 border-base-content/60 pt-2">
              <h2 className="text-xl font-semibold">
                {c.name} {c.school && <span className="text-base font-normal">at {c.school}</span>}
              </h2>
              <p>{c.students.length} students</p>
              <ul className="my-2 columns-2 sm:columns-3">
                {c.students.map((s) => (
                  <li key={s.id} className="break-inside-avoid">
                    <details>
                      <summary className="cursor-pointer">
                        {s.firstName} {s.initial}
                      </summary>
                      <div className="grid gap-2 py-2 text-sm">
                        <a className="link" href={`/api/students/${s.id}/everything`} download>
                          {text.deleting.everything}
                        </a>
                        <DeleteForGood
                          what="student"
                          label={text.deleting.student}
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
                label={text.deleting.class}
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
        <h2 className="text-xl font-semibold">New class</h2>
        <label className="grid gap-1">
          Name
          <input className="input w-full" required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
        </label>
        <label className="grid gap-1">
          School
          <input className="input w-full" maxLength={120} value={school} onChange={(e) => setSchool(e.target.value)} />
        </label>
        <label className="grid gap-1">
          Students, one a line: first name and an initial
          <textarea
            className="textarea w-full"
            rows={8}
            placeholder={'Abel R\nBruna K'}
            value={roster}
            onChange={(e) => setRoster(e.target.value)}
          />
        </label>
        <p className="text-sm">Students are minors: no full names are needed, and nothing leaves this machine.</p>
        <Notice message={problem} />
        <button className="btn btn-primary justify-self-start" disabled={busy}>
          Add the class
        </button>
      </form>
    </div>
  );
}
