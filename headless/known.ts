/** Pictures named on the command line with their widths and landmarks, and how they are measured at one scale, one at a time. */
import { typed } from '../core/message';
import { cropImage, Rect } from '../core/raster/image';
import { Measured, withoutMarks } from '../core/style/compare';
import { resolutionOf } from '../core/style/prepare';
import { measurePicture, ProfileOptions } from '../core/style/profile';
import { OneScale, ownRung, Resolution, Rung } from '../core/style/scale';
import { Say } from '../words/say';
import { Files, landmarksFor } from './measure';
import { warn } from './warnings';
import { number, Words } from './options';
import { openPicture } from './picture';
import { Unusable } from './unusable';

export interface Asked {
  path: string;
  widthMm: number | null;
  landmarks?: string;
}

/** Pictures given as --`what`, in order, with the width and landmarks that follow each. */
export function askedAs(what: string, words: Words): Asked[] {
  const out: Asked[] = [];
  for (const { name, value } of words.options) {
    if (name === what) out.push({ path: value, widthMm: null });
    if (name !== `${what}-width-mm` && name !== `${what}-landmarks`) continue;
    const before = out.at(-1);
    if (!before) throw new Unusable('follows', { name: typed(name), what: typed(what) });
    if (name === `${what}-width-mm`) before.widthMm = number(name, value, 1, 20000);
    else before.landmarks = value;
  }
  return out;
}

export interface Known extends Resolution {
  path: string;
  frame: Rect;
  landmarks: ProfileOptions['landmarks'];
  own: Files['own'];
}

/** What decides the scale a picture is compared at; the picture itself is opened again to be read, so that one at a time is held. */
export async function known(asked: Asked, what: string, files: Files, say: Say): Promise<Known> {
  const { image } = await openPicture(asked.path);
  const landmarks = await landmarksFor({ path: asked.landmarks, what: `--${what}-landmarks` }, asked.path, image, files, say);
  return { path: asked.path, landmarks, own: files.own, ...resolutionOf(image, { widthMm: asked.widthMm }) };
}

export async function measured({ path, ...options }: Known, rung: Rung, marks = true): Promise<Measured> {
  const { profile, layout } = measurePicture((await openPicture(path)).image, { ...options, rung });
  return {
    features: marks ? profile.features : withoutMarks(profile.features),
    proportions: profile.proportions,
    palette: profile.palette,
    layout,
    widthMm: options.widthMm,
  };
}

/** Works measured at their one scale; one known too poorly is measured as finely as it is known, without its marks, and said. */
export async function measuredWorks(
  works: readonly Known[],
  { rung, tooPoor }: Pick<OneScale, 'rung'> & { tooPoor: readonly Known[] },
  say: Say,
): Promise<Measured[]> {
  const out: Measured[] = [];
  for (const w of works) {
    const poor = tooPoor.includes(w);
    if (poor) warn('tooPoor', w.path, say);
    out.push(await measured(w, poor ? ownRung(w) : rung, !poor));
  }
  return out;
}

/** A picture's six tiles measured as if each were a work; where things stand in a tile says nothing of the whole. */
export async function measuredTiles({ path, frame: [x, y, w, h], widthMm, sharpness }: Known, rung: Rung): Promise<Measured[]> {
  const { image } = await openPicture(path);
  const [across, down] = w >= h ? [3, 2] : [2, 3];
  const [tw, th] = [Math.floor(w / across), Math.floor(h / down)];
  const wide = widthMm === null ? null : (widthMm * tw) / w;
  const tileRung: Rung = rung.per === 'mm' ? rung : { per: 'side', px: Math.round((rung.px * Math.max(tw, th)) / Math.max(w, h)) };
  return Array.from({ length: across * down }, (_, k) => {
    const tile = cropImage(image, [x + (k % across) * tw, y + Math.floor(k / across) * th, tw, th]);
    const { profile, layout } = measurePicture(tile, { frame: [0, 0, tw, th], widthMm: wide, sharpness, rung: tileRung });
    const features = Object.fromEntries(Object.entries(profile.features).filter(([, f]) => f.group !== 'composition'));
    return { features, palette: profile.palette, layout, widthMm: wide };
  });
}
