'use client';
import { useId, useState } from 'react';
import { text } from '../text/en';
import { Notice } from './Notice';
import { get, send } from './request';

interface Going {
  name: string;
  studies: number;
  works: number;
  pieces: number;
  students: number;
}

const t = text.deleting;

/** Deletes something for good: says first what goes, and asks for its name to be typed, since undo cannot serve. */
export function DeleteForGood({
  what,
  label,
  from,
  path,
  then,
}: {
  what: keyof typeof t.kinds;
  /** The button's words. */
  label: string;
  /** Where to ask what would go. */
  from: string;
  path: string;
  /** Address to go to afterwards. */
  then: string;
}) {
  const [going, setGoing] = useState<Going | null>(null);
  const [typed, setTyped] = useState('');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const title = useId();
  const ask = async () => {
    setProblem(null);
    setTyped('');
    try {
      setGoing(await get<Going>(from));
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const same = going && typed.trim().toLowerCase() === going.name.trim().toLowerCase();
  return (
    <>
      <button type="button" className="btn btn-sm w-fit" onClick={() => void ask()}>
        {label}
      </button>
      {!going && <Notice message={problem} />}
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
                setProblem((error as Error).message);
                setBusy(false);
              }
            }}
          >
            <h2 id={title} className="text-xl font-semibold">
              {t.title(going.name)}
            </h2>
            <p>{t.goes(what, going)}</p>
            <p>{t.final}</p>
            <label className="grid gap-1">
              {t.type(going.name)}
              <input className="input w-full" autoFocus autoComplete="off" value={typed} onChange={(e) => setTyped(e.target.value)} />
            </label>
            <Notice message={problem} />
            <div className="flex gap-2">
              <button className="btn btn-error" disabled={!same || busy}>
                {t.go}
              </button>
              <button type="button" className="btn" onClick={() => setGoing(null)}>
                {t.keep}
              </button>
            </div>
          </form>
        </dialog>
      )}
    </>
  );
}
