'use client';
import Link from 'next/link';
import { ArrowLeft, Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { amount, typed } from '@/core/message';
import { sizeNamed } from '@/core/lesson/sheets';
import { WARM_UPS, WarmStrokes, WarmUp, warmUpSheets } from '@/core/lesson/warmUps';
import { Bench } from '../shared/Bench';
import { PaperPreview } from '../shared/paper/PaperPreview';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  strokes: WarmStrokes;
  /** What suits the lesson's medium. */
  suits: readonly WarmUp[];
  /** The work that was measured; null where the usual figures are practised. */
  measuredOn: string | null;
  printer: string;
  leftHanded: boolean;
}

/** Warm-ups from the master's own gap, slant, length and weight: which, for which hand, and the sheets as they will be printed. */
export function WarmUps({ studyId, strokes, suits, measuredOn, printer, leftHanded }: Props) {
  const say = useSay();
  const [chosen, setChosen] = useState<ReadonlySet<WarmUp>>(() => new Set(suits));
  const [left, setLeft] = useState(leftHanded);
  const [shown, setShown] = useState<WarmUp>(suits[0] ?? 'boxes');
  const wanted = WARM_UPS.filter((w) => chosen.has(w));
  const page = sizeNamed(printer) ?? sizeNamed('A4')!;
  const [sheet] = useMemo(() => warmUpSheets([shown], strokes, page, left), [shown, strokes, page, left]);
  const query = new URLSearchParams([...wanted.map((w) => ['sheet', w]), ['left', left ? 'yes' : 'no']]);
  return (
    <Bench picture={<PaperPreview sheet={sheet} label={say(sheet.title)} />}>
      <p>
        <Link className="link inline-flex items-center gap-1 text-sm" href={`/studies/${studyId}/plan`}>
          <ArrowLeft aria-hidden className="size-4" /> {say('warmUps.back')}
        </Link>
      </p>
      <h2 className="mt-2 text-lg font-semibold">{say('warmUps.title')}</h2>
      <p className="text-sm">
        {measuredOn
          ? say('warmUps.measured', {
              work: typed(measuredOn),
              gap: amount(strokes.gap, 'mm'),
              slant: amount(strokes.slant, 'degrees'),
              length: amount(strokes.length, 'mm'),
              width: amount(strokes.width, 'mm'),
            })
          : say('warmUps.usual')}
      </p>
      <fieldset className="mt-3 grid gap-1">
        <legend className="font-semibold">{say('warmUps.which')}</legend>
        {WARM_UPS.map((w) => (
          <div key={w} className="flex items-center gap-2">
            <input
              type="checkbox"
              id={`warm-${w}`}
              className="checkbox checkbox-sm"
              checked={chosen.has(w)}
              onChange={() => {
                const next = new Set(chosen);
                if (!next.delete(w)) next.add(w);
                setChosen(next);
                setShown(w);
              }}
            />
            <label htmlFor={`warm-${w}`} className="flex-1">
              {say(`warmUps.sheet.${w}`)}
              {suits.includes(w) && <span className="ms-2 text-xs">{say('warmUps.suits')}</span>}
            </label>
            <button
              type="button"
              className={`btn btn-xs ${shown === w ? 'btn-neutral' : ''}`}
              aria-pressed={shown === w}
              onClick={() => setShown(w)}
            >
              {say('warmUps.look')}
            </button>
          </div>
        ))}
      </fieldset>
      <label className="mt-2 flex items-center gap-2">
        <input type="checkbox" className="checkbox checkbox-sm" checked={left} onChange={(e) => setLeft(e.target.checked)} />
        {say('warmUps.left')}
      </label>
      {wanted.length > 0 && (
        <p className="mt-3">
          <a className="btn btn-primary" href={`/api/studies/${studyId}/warm-ups?${query}`} target="_blank" rel="noreferrer">
            <Printer aria-hidden className="size-4" /> {say('carry.open')}
          </a>
        </p>
      )}
    </Bench>
  );
}
