'use client';
import { Camera } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { Bench } from '../shared/Bench';
import { MeasureAgain } from '../shared/MeasureAgain';
import { Notice } from '../shared/Notice';
import { RemovalNote } from '../shared/RemovalNote';
import { send, sendPicture } from '../shared/request';
import { useAct } from '../shared/useAct';
import { CornerEditor } from './CornerEditor';
import { Piece, STATES } from './piece';

interface Props {
  studyId: string;
  roster: { id: string; name: string }[];
  pieces: Piece[];
  current: string | null;
}

export function PiecesBench({ studyId, roster, pieces, current }: Props) {
  const piece = pieces.find((p) => p.id === current) ?? null;
  const [student, setStudent] = useState(roster[0]?.id ?? '');
  const [kind, setKind] = useState<Piece['kind']>('original');
  const [share, setShare] = useState<number | null>(null);
  const { act, problem } = useAct();
  const people = roster.length ? roster : [{ id: '', name: 'You' }];
  const base = `/studies/${studyId}/pieces`;
  const take = (file: File | undefined) => {
    if (!file) return;
    setShare(0);
    void act(() => sendPicture(`/api/studies/${studyId}/pieces`, file, file.name, { studentId: student, kind }, setShare)).finally(() =>
      setShare(null),
    );
  };
  const roll = (
    <ul className="grid content-start gap-x-6 gap-y-2 overflow-y-auto sm:grid-cols-2 xl:grid-cols-3" style={{ maxHeight: '68vh' }}>
      {people.map((s) => {
        const own = pieces.filter((p) => (p.studentId ?? '') === s.id);
        return (
          <li key={s.id} className="flex items-center gap-2">
            <span className="w-20 shrink-0 truncate">{s.name}</span>
            {own.map((p) => (
              <Link
                key={p.id}
                href={`${base}?piece=${p.id}`}
                title={`${p.kind}, attempt ${p.attempt}: ${STATES[p.state]}`}
                className="relative block"
              >
                <img
                  src={`/api/pictures/${p.rectifiedId ?? p.photoId}?size=small`}
                  alt={`${s.name}, ${p.kind}, attempt ${p.attempt}, ${STATES[p.state]}`}
                  className={`h-12 w-auto ${p.state === 'ready' ? '' : 'opacity-50'}`}
                />
                <span className="bench-note absolute right-0 bottom-0 px-1 text-[0.65rem]">
                  {p.kind === 'warm-up' ? 'w' : p.kind[0]}
                  {p.attempt}
                  {p.state === 'no-sheet' && ' !'}
                </span>
              </Link>
            ))}
            {own.length === 0 && <span className="text-sm">nothing yet</span>}
          </li>
        );
      })}
    </ul>
  );
  return (
    <Bench
      picture={piece ? <CornerEditor key={`${piece.id}:${piece.version}`} piece={piece} /> : roll}
      strip={
        piece && (
          <p className="px-5 py-2">
            <Link className="link" href={base}>
              Back to the roster
            </Link>
          </p>
        )
      }
    >
      <h2 className="text-lg font-semibold">Hand in a piece</h2>
      <div className="mt-2 grid gap-2">
        {roster.length > 0 && (
          <select aria-label="Student" className="select w-full" value={student} onChange={(e) => setStudent(e.target.value)}>
            {roster.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        )}
        <select
          aria-label="Kind of piece"
          className="select w-full"
          value={kind}
          onChange={(e) => setKind(e.target.value as Piece['kind'])}
        >
          <option value="warm-up">warm-up</option>
          <option value="copy">copy</option>
          <option value="original">original</option>
        </select>
        <label className="btn btn-primary">
          <Camera aria-hidden className="size-5" />
          {share === null ? 'Photograph or choose a picture' : `Sending … ${Math.round(100 * share)} %`}
          <input type="file" accept="image/*" capture="environment" className="sr-only" onChange={(e) => take(e.target.files?.[0])} />
        </label>
        <p className="text-sm">
          Lay the sheet flat, all four corners in view. The attempt’s number follows by itself. Photographs stay on this machine.
        </p>
        <Notice message={problem} />
      </div>
      {piece && (
        <section className="mt-4 border-t border-base-300 pt-3">
          <h2 className="text-lg font-semibold">
            {piece.student ?? 'You'}, {piece.kind}, attempt {piece.attempt}
          </h2>
          <p>
            {STATES[piece.state]}. {piece.held ? '' : piece.told}
          </p>
          {piece.held && <MeasureAgain studyId={studyId} subjectId={piece.id} held={piece.held} />}
          {piece.rectifiedId && (
            <p>
              <Link className="link" href={`${base}?piece=${piece.id}&points=figure-standing`}>
                Place its points
              </Link>
            </p>
          )}
          {piece.closeness !== null && (
            <p>
              <Link className="link" href={`/studies/${studyId}/compare?piece=${piece.id}`}>
                Hold it against the master
              </Link>
            </p>
          )}
          <button
            type="button"
            className="btn btn-sm mt-2"
            onClick={() => void act(() => send('DELETE', `/api/pieces/${piece.id}`)).then((ok) => ok && window.location.assign(base))}
          >
            Remove this piece
          </button>
          <RemovalNote />
        </section>
      )}
    </Bench>
  );
}
