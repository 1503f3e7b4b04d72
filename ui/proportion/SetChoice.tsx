'use client';
import { Plus, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { message, typed } from '@/core/message';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { Notice } from '../shared/Notice';
import { TypedInput } from '../shared/typing/Typed';
import type { Placing } from './placing';
import { useSay } from '../words/Words';

interface Props {
  placing: Placing;
  href: (name: string) => string;
}

/** Which of several figures the points belong to: one more, another name, or away with it. */
export function SetChoice({ placing: { subject, id, kind, sets, name: current, kept, clear }, href }: Props) {
  const say = useSay();
  const router = useRouter();
  const { act, busy, problem } = useChange();
  const path = `/api/landmarks/${subject}/${id}`;
  const here = sets.filter((s) => s.template === kind.key);
  const names = [...new Set([...here.map((s) => s.name), current])].sort();
  if (!here.length && !kept) return null;
  const called = (name: string) => (name ? say.typed(name) : say('proportion.sets.first'));
  const proposed = (() => {
    for (let n = names.length + 1; ; n++) {
      const name = say('proportion.sets.nth', { n });
      if (!names.includes(name)) return name;
    }
  })();
  const rename = async (to: string) => {
    const done = await act(() => send('PATCH', path, { template: kind.key, name: current, to }));
    if (done) router.replace(href(to.trim()));
    return done;
  };
  const remove = () => {
    clear(message('edits.removeSet', { name: typed(called(current)) }));
    router.replace(href(names.find((n) => n !== current) ?? ''));
  };
  return (
    <div className="mt-2">
      <div role="group" aria-label={say('proportion.sets.which')} className="flex flex-wrap items-center gap-2">
        {names.length > 1 &&
          names.map((name) => (
            <Link
              key={name}
              href={href(name)}
              aria-current={name === current ? 'true' : undefined}
              className={`btn btn-sm ${name === current ? 'btn-neutral' : ''}`}
            >
              {called(name)}
            </Link>
          ))}
        <Link href={href(proposed)} className="btn btn-sm">
          <Plus aria-hidden className="size-4" /> {say('proportion.sets.another')}
        </Link>
      </div>
      {names.length > 1 && kept && (
        <p className="mt-2 flex items-center gap-2 text-sm">
          <TypedInput
            key={current}
            place={`set:${id}:${kind.key}:${current}`}
            stored={current}
            aria-label={say('proportion.sets.name')}
            placeholder={say('proportion.sets.first')}
            maxLength={60}
            className="input input-sm w-40"
            skip={(name) => names.includes(name.trim())}
            onSave={rename}
          />
          <button type="button" className="btn btn-sm" disabled={busy} onClick={remove}>
            <Trash2 aria-hidden className="size-4" /> {say('proportion.sets.remove')}
          </button>
        </p>
      )}
      <Notice said={problem} />
    </div>
  );
}
