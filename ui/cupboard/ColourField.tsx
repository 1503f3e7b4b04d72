'use client';
import { Pipette } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { typedColour } from '@/core/colour/typedColour';
import { byteFromLinear, linearFromByte } from '@/core/colour/srgb';
import type { Message } from '@/core/message';
import { Field } from '../shared/Field';
import { FileButton } from '../shared/FileButton';
import { useSay } from '../words/Words';

const SHOWN = 320;
/** Half the side of the square that is picked, px of the shown picture: grain and brush marks are averaged. */
const AROUND = 4;

interface Props {
  label: string;
  hex: string;
  /** Told the colour, or null while what is typed is none. */
  onHex: (hex: string | null) => void;
  problem: Message | null;
}

/** A colour as `#rrggbb`, as L*a*b*, or picked from a photograph, which never leaves the page. */
export function ColourField({ label, hex, onHex, problem }: Props) {
  const say = useSay();
  const [text, setText] = useState(hex);
  const [photo, setPhoto] = useState<ImageBitmap | null>(null);
  const [unread, setUnread] = useState(false);
  const read = typedColour(text);
  const give = (next: string) => {
    setText(next);
    const now = typedColour(next);
    onHex('hex' in now ? now.hex : null);
  };
  const see = async (file: File) => {
    const made = await createImageBitmap(file, { colorSpaceConversion: 'none', imageOrientation: 'from-image' }).catch(() => null);
    setUnread(!made);
    setPhoto(made);
  };
  return (
    <div className="grid gap-1">
      <Field label={label} problem={problem}>
        <span className="flex items-center gap-2">
          <span
            aria-hidden
            className="size-9 flex-none border border-base-content/50"
            style={{ background: 'hex' in read ? read.hex : 'transparent' }}
          />
          <input className="input w-full" placeholder={say('materials.colourHow')} value={text} onChange={(e) => give(e.target.value)} />
        </span>
      </Field>
      {text && 'wrong' in read && (
        <span role="alert" className="text-sm text-error">
          {say(read.wrong === 'outside' ? 'materials.colourOutside' : 'materials.colourWrong')}
        </span>
      )}
      <FileButton small icon={Pipette} label={say('materials.pick')} accept="image/*" onFile={(file) => void see(file)} />
      {unread && (
        <span role="alert" className="text-sm text-error">
          {say('materials.notRead')}
        </span>
      )}
      {photo && <Picking photo={photo} onPick={give} />}
    </div>
  );
}

/** The photograph, small; a click gives the mean colour there, in linear light. */
function Picking({ photo, onPick }: { photo: ImageBitmap; onPick: (hex: string) => void }) {
  const say = useSay();
  const canvas = useRef<HTMLCanvasElement>(null);
  const k = SHOWN / Math.max(photo.width, photo.height);
  const [w, h] = [Math.max(1, Math.round(photo.width * k)), Math.max(1, Math.round(photo.height * k))];
  useEffect(() => {
    const context = canvas.current?.getContext('2d', { willReadFrequently: true });
    if (!context) return;
    context.imageSmoothingQuality = 'high';
    context.drawImage(photo, 0, 0, w, h);
  }, [photo, w, h]);
  const pick = (x: number, y: number) => {
    const [left, top] = [Math.max(0, x - AROUND), Math.max(0, y - AROUND)];
    const { data } = canvas
      .current!.getContext('2d')!
      .getImageData(left, top, Math.min(w, x + AROUND + 1) - left, Math.min(h, y + AROUND + 1) - top);
    const mean = [0, 1, 2].map((c) => {
      let sum = 0;
      for (let i = c; i < data.length; i += 4) sum += linearFromByte[data[i]];
      return byteFromLinear(sum / (data.length / 4));
    });
    onPick(`#${mean.map((v) => v.toString(16).padStart(2, '0')).join('')}`);
  };
  return (
    <>
      <p className="text-sm">{say('materials.picking')}</p>
      <canvas
        ref={canvas}
        width={w}
        height={h}
        className="cursor-crosshair border border-base-300"
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          pick(Math.floor(((e.clientX - box.left) / box.width) * w), Math.floor(((e.clientY - box.top) / box.height) * h));
        }}
      />
    </>
  );
}
