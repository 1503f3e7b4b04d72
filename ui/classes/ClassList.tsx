'use client';
import { useState } from 'react';
import type { ClassView } from './class';
import { ClassSection } from './ClassSection';
import { AddStudents, NewClass } from './NewClass';
import { StudentForm } from './StudentForm';
import { useSay } from '../words/Words';

/** Made-up names, in an empty class's place. */
const EXAMPLES = ['Abel R', 'Bruna K', 'Cato L', 'Dita M', 'Edo V', 'Fenna B'];

export function ClassList({ classes }: { classes: ClassView[] }) {
  const say = useSay();
  const [open, setOpen] = useState<{ student: string } | { add: string } | null>(null);
  const shut = () => setOpen(null);
  const id = open && 'student' in open ? open.student : null;
  // Whoever was deleted meanwhile, or taken away by an undo, is no longer open.
  const of = classes.find((c) => c.students.some((s) => s.id === id)) ?? null;
  const student = of?.students.find((s) => s.id === id) ?? null;
  const adding = classes.find((c) => open && 'add' in open && c.id === open.add) ?? null;
  const [here, away] = [classes.filter((c) => !c.archived), classes.filter((c) => c.archived)];
  const sections = (list: readonly ClassView[]) => (
    <div className="grid gap-8">
      {list.map((c) => (
        <ClassSection key={c.id} of={c} current={id} onStudent={(s) => setOpen({ student: s })} onAdd={() => setOpen({ add: c.id })} />
      ))}
    </div>
  );
  return (
    <div className="mx-auto grid w-full max-w-7xl gap-8 p-6 lg:grid-cols-[1fr_22rem]">
      <section className="min-w-0">
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
        {sections(here)}
        {away.length > 0 && (
          <details className="mt-8">
            <summary className="cursor-pointer text-lg font-semibold">{say('classes.change.away', { n: away.length })}</summary>
            <div className="mt-3">{sections(away)}</div>
          </details>
        )}
      </section>
      <aside className="lg:sticky lg:top-4 lg:max-h-[calc(100dvh-2rem)] lg:self-start lg:overflow-y-auto lg:pe-1">
        {student && of ? (
          <StudentForm key={`${student.id}:${student.version}`} student={student} of={of} classes={classes} onClose={shut} />
        ) : adding ? (
          <AddStudents key={adding.id} to={adding} onClose={shut} />
        ) : (
          <NewClass />
        )}
      </aside>
    </div>
  );
}
