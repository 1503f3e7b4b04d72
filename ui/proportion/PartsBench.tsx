'use client';
import { ImagePlus, Printer } from 'lucide-react';
import { ReactNode, useState } from 'react';
import { typed } from '@/core/message';
import { PartAs, PART_AS } from '@/core/composition/lineSheet';
import { Bench } from '../shared/Bench';
import { FileButton } from '../shared/FileButton';
import { Notice } from '../shared/Notice';
import { readingWorker, wholePicture } from '../shared/reading/client';
import { useMadePicture } from '../shared/reading/useMadePicture';
import { useChange } from '../shared/server/useChange';
import { PICTURE_FILES } from '../shared/pictureFiles';
import { sendPicture } from '../shared/request';
import { useSay } from '../words/Words';

interface Part {
  key: string;
  name: string;
  from: string;
  of: 'shape' | 'work' | 'own';
  pictureId: string;
  width: number;
  height: number;
  outline: [number, number][] | null;
}

interface Props {
  studyId: string;
  parts: readonly Part[];
  views: ReactNode;
}

/** Parts to choose and combine from: which, cleaned to what, and how many boxes for one's own. */
export function PartsBench({ studyId, parts, views }: Props) {
  const say = useSay();
  const { act, problem } = useChange();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(() => new Set(parts.filter((p) => p.of === 'shape').map((p) => p.key)));
  const [as, setAs] = useState<PartAs>('line');
  const [columns, setColumns] = useState(3);
  const [empty, setEmpty] = useState(3);
  const picked = parts.filter((p) => chosen.has(p.key));
  const query = new URLSearchParams([
    ...picked.map((p) => ['part', p.key]),
    ['as', as],
    ['columns', String(columns)],
    ['empty', String(empty)],
  ]);
  return (
    <Bench
      picture={
        <ul className="grid flex-1 content-start gap-3 overflow-auto" style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}>
          {picked.map((p) => (
            <li key={p.key} className="bg-white p-2 text-center text-sm text-black">
              <Shown part={p} as={as} />
              {say.typed(p.name)}
            </li>
          ))}
          {Array.from({ length: empty }, (_, i) => (
            <li key={i} className="flex aspect-square items-end justify-center border-2 border-dashed border-white p-2 text-sm text-white">
              {say('partsSheet.own')}
            </li>
          ))}
        </ul>
      }
    >
      {views}
      <h2 className="mt-3 text-lg font-semibold">{say('partsSheet.title')}</h2>
      <p className="text-sm">{say('partsSheet.how')}</p>
      {!parts.some((p) => p.of === 'shape') && <p className="alert mt-2 text-sm">{say('partsSheet.needsShapes')}</p>}
      {(['shape', 'work', 'own'] as const).map((of) => {
        const list = parts.filter((p) => p.of === of);
        return (
          list.length > 0 && (
            <fieldset key={of} className="mt-3">
              <legend className="font-semibold">{say(`partsSheet.of.${of}`)}</legend>
              {list.map((p) => (
                <label key={p.key} className="flex items-center gap-2 text-sm">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-sm"
                    checked={chosen.has(p.key)}
                    onChange={() => {
                      const next = new Set(chosen);
                      if (!next.delete(p.key)) next.add(p.key);
                      setChosen(next);
                    }}
                  />
                  {of === 'shape' ? say('partsSheet.from', { name: typed(p.name), work: typed(p.from) }) : say.typed(p.name)}
                </label>
              ))}
            </fieldset>
          )
        );
      })}
      <p className="mt-2">
        <FileButton
          icon={ImagePlus}
          small
          label={say('partsSheet.upload')}
          accept={PICTURE_FILES}
          onFile={(file) =>
            void act(async () => {
              const { id } = await sendPicture<{ id: string }>(`/api/studies/${studyId}/references`, file, file.name, {});
              setChosen((was) => new Set([...was, id]));
            })
          }
        />
      </p>
      <Notice said={problem} />
      <fieldset className="mt-3 grid gap-1">
        <legend className="font-semibold">{say('partsSheet.cleaned')}</legend>
        {PART_AS.map((a) => (
          <label key={a} className="flex items-center gap-2 text-sm">
            <input type="radio" name="as" className="radio radio-sm" checked={as === a} onChange={() => setAs(a)} />
            {say(`partsSheet.as.${a}`)}
          </label>
        ))}
      </fieldset>
      <div className="mt-2 grid gap-2">
        {(
          [
            ['columns', columns, setColumns, 1, 6],
            ['empty', empty, setEmpty, 0, 60],
          ] as const
        ).map(([name, value, set, least, most]) => (
          <label key={name} className="flex items-center justify-between gap-2 text-sm">
            {say(`partsSheet.${name}`)}
            <input
              type="number"
              className="input input-sm w-24"
              min={least}
              max={most}
              value={value}
              onChange={(e) => Number.isInteger(e.target.valueAsNumber) && set(Math.min(most, Math.max(least, e.target.valueAsNumber)))}
            />
          </label>
        ))}
      </div>
      {picked.length + empty > 0 && (
        <p className="mt-3">
          <a className="btn btn-primary" href={`/api/studies/${studyId}/parts?${query}`} target="_blank" rel="noreferrer">
            <Printer aria-hidden className="size-4" /> {say('carry.open')}
          </a>
        </p>
      )}
    </Bench>
  );
}

/** A part as it will be printed: cleaned, or as it is, within its outline. */
function Shown({ part: { pictureId, outline, key, name }, as }: { part: Part; as: PartAs }) {
  const say = useSay();
  const url = useMadePicture(`${key}:${pictureId}:${as}:${JSON.stringify(outline)}`, () =>
    readingWorker().cleaned(wholePicture(pictureId), outline, as),
  );
  return (
    <div className="mx-auto grid aspect-square w-full place-items-center" aria-busy={!url}>
      {url ? (
        <img src={url} alt={say.typed(name)} className="max-h-full max-w-full object-contain" />
      ) : (
        <span className="loading loading-sm" aria-hidden />
      )}
    </div>
  );
}
