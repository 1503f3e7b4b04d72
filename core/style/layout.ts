/** Knows where a picture's darks and forms lie, small enough to lay one layout over another and see how alike they are. */
import { gaussian } from '../raster/filters';
import { Mask, Plane } from '../raster/image';
import { reducePlane } from '../raster/resample';
import { keypointsOf, packed, PackedPoints } from './keypoints';

const SIDE = 48;

export interface Layout {
  width: number;
  height: number;
  /** Height of the picture over its width, which the cells only keep nearly. */
  tall: number;
  /** Darkness there (100 − L*), softened; row-major, rounded to 0.1. */
  weight: number[];
  /** Worked or bare, 0–100. */
  shape: number[];
  /** Points by which the very same picture is found again, however turned. */
  points: PackedPoints;
}

/** A plane's numbers times `factor`, to a tenth. */
function tenths({ data }: Plane, factor: number): number[] {
  const out: number[] = [];
  for (let i = 0; i < data.length; i++) out.push(Math.round(data[i] * factor * 10) / 10);
  return out;
}

/** Layout of a form-size picture, given by its L*, on a lattice of at most 48 cells. */
export function layoutOf(form: Plane, worked: Mask): Layout {
  const lattice = {
    w: Math.max(8, Math.round((SIDE * form.width) / Math.max(form.width, form.height))),
    h: Math.max(8, Math.round((SIDE * form.height) / Math.max(form.width, form.height))),
  };
  const w = Math.min(form.width, lattice.w);
  const h = Math.min(form.height, lattice.h);
  const light = reducePlane(form, w, h);
  const dark: Plane = { ...light, data: light.data.map((L) => 100 - L) };
  const bits: Plane = { width: form.width, height: form.height, data: new Float32Array(worked.data) };
  return {
    width: w,
    height: h,
    tall: form.height / form.width,
    weight: tenths(gaussian(dark, 0.8), 1),
    shape: tenths(reducePlane(bits, w, h), 100),
    points: packed(keypointsOf(form)),
  };
}
