import { RgbImage } from '../raster/image';
import { atRung, oneScale, ownRung, Resolution, rungName } from './scale';

const known = (width: number, widthMm: number | null, sharpness = 1): Resolution => ({
  width,
  height: Math.round(0.7 * width),
  widthMm,
  sharpness,
});

test('the scale is the coarsest of works and piece, rounded down on the ladder', () => {
  // 1800 px over 300 mm are 6 px/mm; 1100 px over 200 mm are 5.5.
  expect(oneScale([known(1800, 300), known(2400, 300)], known(1100, 200)).rung).toEqual({ per: 'mm', px: 4 });
  expect(oneScale([known(3600, 300)], known(3600, 300)).rung).toEqual({ per: 'mm', px: 10 });
  // What is known more finely than the ladder goes is read at its finest rung.
  expect(oneScale([known(9000, 300)], known(9000, 300)).rung).toEqual({ per: 'mm', px: 10 });
});

test('where any width is unknown, the long side is the scale', () => {
  expect(oneScale([known(1800, 300)], known(1100, null)).rung).toEqual({ per: 'side', px: 1024 });
  expect(ownRung({ width: 700, height: 1000, widthMm: null, sharpness: 1 })).toEqual({ per: 'side', px: 768 });
});

test('an enlarged picture counts for what it holds', () => {
  expect(ownRung(known(2400, 300, 0.5))).toEqual(ownRung(known(1200, 300)));
});

test('a frame found a pixel tighter does not cost a rung', () => {
  expect(oneScale([known(1200, 300)], known(1198, 300)).rung.px).toBe(4);
  expect(oneScale([known(1200, 300)], known(1170, 300)).rung.px).toBe(3);
});

test('one poor work does not blind the others', () => {
  const { rung, tooPoor } = oneScale([known(1800, 300), known(1700, 300), known(400, 300)], known(1800, 300));
  expect(tooPoor).toEqual([2]);
  expect(rung.px).toBe(4);
  // A piece that poor, or two works alone of which one is a little coarser, does set the scale.
  expect(oneScale([known(1800, 300), known(1700, 300)], known(400, 300))).toEqual({ rung: { per: 'mm', px: 1 }, tooPoor: [] });
  expect(oneScale([known(1800, 300), known(900, 300)], known(1800, 300))).toEqual({ rung: { per: 'mm', px: 3 }, tooPoor: [] });
});

test('a picture is brought to a rung and never enlarged', () => {
  const image: RgbImage = { width: 120, height: 80, data: new Uint8Array(120 * 80 * 3).fill(90) };
  expect(atRung(image, { widthMm: 60, sharpness: 1 }, { per: 'mm', px: 1 })).toMatchObject({ width: 60, height: 40 });
  expect(atRung(image, { widthMm: 60, sharpness: 1 }, { per: 'mm', px: 10 })).toMatchObject({ width: 120, height: 80 });
  expect(atRung(image, { widthMm: null, sharpness: 1 }, { per: 'side', px: 96 })).toMatchObject({ width: 96, height: 64 });
  expect(atRung(image, { widthMm: null, sharpness: 0.5 }, null)).toMatchObject({ width: 60, height: 40 });
  expect(rungName(null)).toBe('');
  expect(rungName({ per: 'mm', px: 1.5 })).toBe('1.5/mm');
});
