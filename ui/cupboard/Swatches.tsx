'use client';
import { Camera, Check, Printer } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { figure, Message, typed } from '@/core/message';
import { swatchSheet } from '@/core/capture/swatchSheet';
import type { Size } from '@/core/lesson/sheets';
import { FileButton } from '../shared/FileButton';
import { Notice } from '../shared/Notice';
import { PanelHead } from '../shared/PanelHead';
import { send, sendPicture } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { PICTURE_FILES } from '../shared/pictureFiles';
import type { KeptKit } from './kit';
import { useSay } from '../words/Words';

interface SwatchRead {
  materialId: string;
  version: number;
  name: string;
  parts: [number, number] | null;
  before: string | null;
  now: string | null;
  spread: number;
}

interface Read {
  boxes: SwatchRead[];
  card: boolean;
  warnings: Message[];
}

/** Over this a swatch is laid so unevenly that its colour is a matter of where one looks. */
const UNEVEN = 3;
const keyOf = (b: SwatchRead) => `${b.materialId} ${b.parts?.join(':') ?? ''}`;

/** A kit's colours by photograph: its sheet printed, painted and photographed, each box beside what was known, and taken over where it is wanted. */
export function Swatches({ kit, paper, onClose }: { kit: KeptKit; paper: Size; onClose: () => void }) {
  const say = useSay();
  const { act, busy, problem } = useChange();
  const [page, setPage] = useState(1);
  const [read, setRead] = useState<Read | null>(null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const pages = swatchSheet(kit.materials, kit.white, paper).pages.length;
  const path = `/api/kits/${kit.id}/swatches`;
  const photograph = (file: File) =>
    void act(async () => {
      const found = await sendPicture<Read>(path, file, file.name, { page: String(page) });
      setRead(found);
      setLeft(new Set(found.boxes.filter((b) => b.now === null || b.spread > UNEVEN).map(keyOf)));
    });
  const wanted = (read?.boxes ?? []).filter((b) => b.now !== null && !left.has(keyOf(b)));
  const take = () => {
    const byMaterial = new Map<
      string,
      { id: string; version: number; masstone: string | null; tints: { hex: string; parts: [number, number] }[] }
    >();
    for (const b of wanted) {
      const there = byMaterial.get(b.materialId) ?? { id: b.materialId, version: b.version, masstone: null, tints: [] };
      if (b.parts) there.tints.push({ hex: b.now!, parts: b.parts });
      else there.masstone = b.now;
      byMaterial.set(b.materialId, there);
    }
    void act(() => send('PUT', path, { taken: [...byMaterial.values()] })).then((ok) => ok && onClose());
  };
  return (
    <section className="grid content-start gap-3" aria-label={say('swatches.title')}>
      <PanelHead title={say('swatches.of', { kit: typed(kit.name) })} onClose={onClose} />
      {pages === 0 ? (
        <p>{say('swatches.nothing')}</p>
      ) : (
        <>
          <ol className="grid list-decimal gap-2 ps-5">
            <li>
              <Link className="link inline-flex items-center gap-1" href={`/cupboard/sheet?kit=${kit.id}`}>
                <Printer aria-hidden className="size-4" /> {say('swatches.print', { n: pages })}
              </Link>
            </li>
            <li>{say('swatches.paint')}</li>
            <li>
              {say('swatches.photograph')}
              <span className="mt-2 flex flex-wrap items-center gap-2">
                {pages > 1 && (
                  <select
                    aria-label={say('swatches.which')}
                    className="select select-sm w-auto"
                    value={page}
                    onChange={(e) => setPage(Number(e.target.value))}
                  >
                    {Array.from({ length: pages }, (_, i) => (
                      <option key={i} value={i + 1}>
                        {say('swatches.page', { n: i + 1, pages })}
                      </option>
                    ))}
                  </select>
                )}
                <FileButton small icon={Camera} label={say('swatches.choose')} accept={PICTURE_FILES} onFile={photograph} />
              </span>
            </li>
          </ol>
          {busy && !read && <p role="status">{say('swatches.reading')}</p>}
          <Notice said={problem} />
          {read && (
            <>
              <p className="text-sm">{say(read.card ? 'swatches.byCard' : 'swatches.byPaper')}</p>
              {read.warnings.map((w) => (
                <p key={w.key} className="text-sm">
                  {say(w)}
                </p>
              ))}
              <table className="w-full text-sm">
                <thead>
                  <tr className="text-start">
                    <th scope="col" className="text-start">
                      {say('swatches.take')}
                    </th>
                    <th scope="col">{say('swatches.before')}</th>
                    <th scope="col">{say('swatches.now')}</th>
                    <th scope="col" className="text-end">
                      {say('swatches.spread')}
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {read.boxes.map((b) => (
                    <tr key={keyOf(b)} className="border-t border-base-300">
                      <td className="py-1">
                        <label className="flex items-start gap-2">
                          <input
                            type="checkbox"
                            className="checkbox checkbox-sm"
                            disabled={b.now === null}
                            checked={b.now !== null && !left.has(keyOf(b))}
                            onChange={(e) => {
                              const next = new Set(left);
                              if (e.target.checked) next.delete(keyOf(b));
                              else next.add(keyOf(b));
                              setLeft(next);
                            }}
                          />
                          {b.parts
                            ? say('swatches.tintOf', { name: typed(b.name), paint: b.parts[0], other: b.parts[1] })
                            : say.typed(b.name)}
                        </label>
                      </td>
                      <td>
                        <Patch hex={b.before} />
                      </td>
                      <td>
                        <Patch hex={b.now} />
                      </td>
                      <td className="text-end whitespace-nowrap">
                        {b.now === null ? say('swatches.empty') : say('units.deltaE', { n: figure(b.spread, 1) })}
                        {b.now !== null && b.spread > UNEVEN && <span className="block">{say('swatches.unevenBox')}</span>}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
              <button type="button" className="btn btn-primary justify-self-start" disabled={busy || !wanted.length} onClick={take}>
                <Check aria-hidden className="size-5" /> {say('swatches.takeOver', { n: wanted.length })}
              </button>
            </>
          )}
        </>
      )}
    </section>
  );
}

function Patch({ hex }: { hex: string | null }) {
  return (
    <span className="bench flex h-8 w-14 p-1" aria-hidden={!hex}>
      {hex && <span role="img" aria-label={hex} className="flex-1" style={{ background: hex }} />}
    </span>
  );
}
