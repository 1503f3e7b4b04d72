'use client';
import { Camera } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { amount, message } from '@/core/message';
import { templateToOpen } from '@/core/proportion/templates';
import { Bench } from '../shared/Bench';
import { PictureView } from '../shared/looking/PictureView';
import { PLAIN } from '../shared/looking/tools';
import { MeasureAgain } from '../shared/MeasureAgain';
import { Notice } from '../shared/Notice';
import { RemovalNote } from '../shared/RemovalNote';
import { send, sendPicture } from '../shared/request';
import { Uploads } from '../shared/uploads/Uploads';
import { useUploads } from '../shared/uploads/useUploads';
import { useChange } from '../shared/server/useChange';
import { PICTURE_FILES } from '../shared/pictureFiles';
import { SheetField } from '../studies/SheetField';
import { CornerEditor } from './CornerEditor';
import { Coming, HowItComes } from './HowItComes';
import { kindOfPiece, perhapsWhole, Piece, pieceState, pieceTitle } from './piece';
import { useSay } from '../words/Words';

const KINDS: readonly Piece['kind'][] = ['warm-up', 'copy', 'original'];

interface Props {
  studyId: string;
  roster: { id: string; name: string }[];
  pieces: Piece[];
  current: string | null;
}

export function PiecesBench({ studyId, roster, pieces, current }: Props) {
  const say = useSay();
  const piece = pieces.find((p) => p.id === current) ?? null;
  const [student, setStudent] = useState(roster[0]?.id ?? '');
  const [kind, setKind] = useState<Piece['kind']>('original');
  const [coming, setComing] = useState<Coming>({ capture: 'photograph', size: 'sheet' });
  const { capture } = coming;
  const { uploads, take: upload, forget } = useUploads();
  const { act, problem } = useChange();
  const people = roster.length ? roster : [{ id: '', name: null }];
  const base = `/studies/${studyId}/pieces`;
  const take = (files: FileList | null) =>
    void upload(files, (file, onProgress) =>
      sendPicture(`/api/studies/${studyId}/pieces`, file, file.name, { studentId: student, kind, ...coming }, onProgress),
    );
  const roll = (
    <ul className="grid content-start gap-x-6 gap-y-2 h-full w-full overflow-y-auto sm:grid-cols-2 xl:grid-cols-3">
      {people.map((s) => {
        const handedIn = pieces.filter((p) => (p.studentId ?? '') === s.id);
        return (
          <li key={s.id} className="flex items-center gap-2">
            <span className="w-20 shrink-0 truncate">{s.name === null ? say('app.you') : say.typed(s.name)}</span>
            {handedIn.map((p) => (
              <Link
                key={p.id}
                href={`${base}?piece=${p.id}`}
                title={say('pieces.withState', {
                  piece: message('pieces.attempt', { kind: kindOfPiece(p.kind), n: p.attempt }),
                  state: message(`pieces.states.${p.state}`),
                })}
                className="relative block"
              >
                <img
                  src={`/api/pictures/${p.rectifiedId ?? p.photoId}?size=small`}
                  alt={say('pieces.withState', { piece: pieceTitle(p), state: message(`pieces.states.${p.state}`) })}
                  className={`h-12 w-auto ${p.state === 'ready' ? '' : 'opacity-50'}`}
                />
                <span className="bench-note absolute end-0 bottom-0 px-1 text-[0.65rem]">
                  {say(`pieces.short.${p.kind}`, { n: p.attempt })}
                  {p.state === 'no-sheet' && ' !'}
                </span>
              </Link>
            ))}
            {handedIn.length === 0 && <span className="text-sm">{say('pieces.nothing')}</span>}
          </li>
        );
      })}
    </ul>
  );
  return (
    <Bench
      jobFirst={!piece}
      picture={piece ? <OnBench key={`${piece.id}:${piece.version}`} piece={piece} /> : roll}
      strip={
        piece && (
          <p className="px-5 py-2">
            <Link className="link" href={base}>
              {say('pieces.toRoster')}
            </Link>
          </p>
        )
      }
    >
      <h2 className="text-lg font-semibold">{say('pieces.handIn')}</h2>
      <div className="mt-2 grid gap-2">
        {roster.length > 0 && (
          <select aria-label={say('pieces.student')} className="select w-full" value={student} onChange={(e) => setStudent(e.target.value)}>
            {roster.map((s) => (
              <option key={s.id} value={s.id}>
                {say.typed(s.name)}
              </option>
            ))}
          </select>
        )}
        <select
          aria-label={say('pieces.kind')}
          className="select w-full"
          value={kind}
          onChange={(e) => setKind(e.target.value as Piece['kind'])}
        >
          {KINDS.map((k) => (
            <option key={k} value={k}>
              {say(kindOfPiece(k))}
            </option>
          ))}
        </select>
        <HowItComes coming={coming} onComing={setComing} />
        <label className="btn btn-primary">
          <Camera aria-hidden className="size-5" />
          {say(capture === 'whole' ? 'pieces.chooseFile' : 'pieces.choose')}
          <input
            type="file"
            accept={PICTURE_FILES}
            capture={capture === 'whole' ? undefined : 'environment'}
            className="sr-only"
            onChange={(e) => take(e.target.files)}
          />
        </label>
        <Uploads uploads={uploads} onForget={forget} />
        <p className="text-sm">{say(`pieces.hows.${capture}`)}</p>
        <Notice said={problem} />
      </div>
      {piece && (
        <section className="mt-4 border-t border-base-300 pt-3">
          <h2 className="text-lg font-semibold">{say(pieceTitle(piece))}</h2>
          <p className="first-letter:uppercase">{say(pieceState(piece, piece.halted ? [] : piece.messages))}</p>
          {piece.halted && <MeasureAgain studyId={studyId} subjectId={piece.id} halted={piece.halted} />}
          {piece.capture === 'photograph' ? <OwnSheet key={`${piece.id}:${piece.version}`} piece={piece} /> : <CameWhole piece={piece} />}
          <CameOtherwise key={`capture ${piece.id}:${piece.version}`} piece={piece} />
          {piece.rectifiedId && (
            <p>
              <Link className="link" href={`${base}?piece=${piece.id}&points=${templateToOpen()}`}>
                {say('pieces.points')}
              </Link>
            </p>
          )}
          {piece.closeness !== null && (
            <p>
              <Link className="link" href={`/studies/${studyId}/compare?piece=${piece.id}`}>
                {say('pieces.hold')}
              </Link>
            </p>
          )}
          <button
            type="button"
            className="btn btn-sm mt-2"
            onClick={() => void act(() => send('DELETE', `/api/pieces/${piece.id}`)).then((ok) => ok && window.location.assign(base))}
          >
            {say('pieces.remove')}
          </button>
          <RemovalNote />
        </section>
      )}
    </Bench>
  );
}

/** A photograph with the corners of its sheet; what came whole has none. */
function OnBench({ piece }: { piece: Piece }) {
  const say = useSay();
  if (piece.capture === 'photograph') return <CornerEditor piece={piece} />;
  return (
    <PictureView
      pictureId={piece.rectifiedId ?? piece.photoId}
      width={piece.uprightWidth ?? piece.photoWidth}
      height={piece.uprightHeight ?? piece.photoHeight}
      alt={say(pieceTitle(piece))}
      on={PLAIN}
    />
  );
}

/** How large a piece is that came whole, and what of it is compared. */
function CameWhole({ piece }: { piece: Piece }) {
  const say = useSay();
  const px = { width: piece.photoWidth, height: amount(piece.photoHeight, 'px') };
  return (
    <>
      <p className="text-sm">
        {piece.sized
          ? say('pieces.whole', {
              ...px,
              across: amount(Math.round(piece.paperWidthMm), 'mm'),
              down: amount(Math.round(piece.paperHeightMm), 'mm'),
            })
          : say('pieces.wholeUnsized', px)}
      </p>
      {piece.capture === 'object' && <p className="text-sm">{say('pieces.objectOnly')}</p>}
    </>
  );
}

/** A piece that came another way than was said when it was handed in; open where what was found in it is doubtful. */
function CameOtherwise({ piece }: { piece: Piece }) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const doubtful = perhapsWhole(piece);
  const [coming, setComing] = useState<Coming>({ capture: doubtful ? 'whole' : piece.capture, size: 'sheet' });
  return (
    <details className="my-2" open={doubtful || undefined}>
      <summary className="cursor-pointer">{say('pieces.otherCapture')}</summary>
      <div className="grid gap-2 py-2">
        <HowItComes coming={coming} onComing={setComing} />
        <p className="text-sm">{say(`pieces.hows.${coming.capture}`)}</p>
        <Notice said={refused('capture') ?? refused('size') ?? other(['capture', 'size'])} />
        <button
          type="button"
          className="btn btn-sm justify-self-start"
          disabled={busy || (coming.capture === piece.capture && coming.capture !== 'whole')}
          onClick={() => void act(() => send('PUT', `/api/pieces/${piece.id}/capture`, { version: piece.version, ...coming }))}
        >
          {say('pieces.takeSo')}
        </button>
      </div>
    </details>
  );
}

/** A piece made on another sheet than the study's says so here, and is squared up to it. */
function OwnSheet({ piece }: { piece: Piece }) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const [size, setSize] = useState<[number, number]>([piece.paperWidthMm, piece.paperHeightMm]);
  const changed = size[0] !== piece.paperWidthMm || size[1] !== piece.paperHeightMm;
  return (
    <details className="my-2">
      <summary className="cursor-pointer">{say('pieces.otherSheet')}</summary>
      <div className="grid gap-2 py-2">
        <SheetField
          label={say('pieces.madeOn')}
          width={size[0]}
          height={size[1]}
          onSize={(w, h) => setSize([w, h])}
          problem={refused('paperWidthMm') ?? refused('paperHeightMm')}
        />
        <Notice said={other(['paperWidthMm', 'paperHeightMm'])} />
        <button
          type="button"
          className="btn btn-sm justify-self-start"
          disabled={!changed || busy}
          onClick={() =>
            void act(() =>
              send('PUT', `/api/pieces/${piece.id}/sheet`, { version: piece.version, paperWidthMm: size[0], paperHeightMm: size[1] }),
            )
          }
        >
          {say('pieces.again')}
        </button>
      </div>
    </details>
  );
}
