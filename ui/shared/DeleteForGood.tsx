'use client';
import { useId, useState } from 'react';
import { Message, message, typed as asTyped } from '@/core/message';
import { Notice } from './Notice';
import { get, problemOf, send } from './request';
import { useSay } from '../words/Words';

interface Going {
  name: string;
  studies: number;
  works: number;
  pieces: number;
  students: number;
}

/** What goes with it. */
const goes = (what: string, { studies, works, pieces, students }: Going): Message =>
  message(`deleting.goes.${what}`, {
    studies: message('deleting.studies', { n: studies }),
    works: message('deleting.works', { n: works }),
    pieces: message('deleting.pieces', { n: pieces }),
    students: message('deleting.students', { n: students }),
    n: studies,
  });

/** Deletes something for good: says first what goes, and asks for its name to be typed, since undo cannot serve. */
export function DeleteForGood({
  what,
  label,
  from,
  path,
  then,
}: {
  what: 'study' | 'class' | 'student' | 'account';
  /** The button's words. */
  label: string;
  /** Where to ask what would go. */
  from: string;
  path: string;
  /** Address to go to afterwards. */
  then: string;
}) {
  const say = useSay();
  const [going, setGoing] = useState<Going | null>(null);
  const [typed, setTyped] = useState('');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<Message | null>(null);
  const title = useId();
  const ask = async () => {
    setProblem(null);
    setTyped('');
    try {
      setGoing(await get<Going>(from));
    } catch (error) {
      setProblem(problemOf(error));
    }
  };
  const same = going && typed.trim().toLowerCase() === going.name.trim().toLowerCase();
  return (
    <>
      <button type="button" className="btn btn-sm w-fit" onClick={() => void ask()}>
        {label}
      </button>
      {!going && <Notice said={problem} />}
      {going && (
        <dialog
          className="modal"
          aria-labelledby={title}
          ref={(dialog) => {
            if (dialog && !dialog.open) dialog.showModal();
          }}
          onClose={() => setGoing(null)}
        >
          <form
            className="modal-box grid gap-3"
            onSubmit={async (e) => {
              e.preventDefault();
              setBusy(true);
              try {
                await send('DELETE', path, { name: typed });
                window.location.assign(then);
              } catch (error) {
                setProblem(problemOf(error));
                setBusy(false);
              }
            }}
          >
            <h2 id={title} className="text-xl font-semibold">
              {say('deleting.title', { name: asTyped(going.name) })}
            </h2>
            <p>{say(goes(what, going))}</p>
            <p>{say('deleting.final')}</p>
            <label className="grid gap-1">
              {say('deleting.type', { name: asTyped(going.name) })}
              <input className="input w-full" autoFocus autoComplete="off" value={typed} onChange={(e) => setTyped(e.target.value)} />
            </label>
            <Notice said={problem} />
            <div className="flex gap-2">
              <button className="btn btn-error" disabled={!same || busy}>
                {say('deleting.go')}
              </button>
              <button type="button" className="btn" onClick={() => setGoing(null)}>
                {say('deleting.keep')}
              </button>
            </div>
          </form>
        </dialog>
      )}
    </>
  );
}
