import { canvasPx, nameOfSheet, printedMm, sizeNamed, stripOf, STRIPS } from './sheets';

test('strips are cut along the long side, known either way round, and no named sheet is one', () => {
  expect(stripOf(70, 297)).toMatchObject({ paper: 'A4', into: 3 });
  expect(stripOf(420, 148.5)).toMatchObject({ paper: 'A3', into: 2 });
  expect(stripOf(4.25 * 25.4, 11 * 25.4)).toMatchObject({ paper: 'Letter', into: 2 });
  expect(stripOf(148, 210)).toBeNull();
  for (const { paper, into, size } of STRIPS) {
    expect(nameOfSheet(...size)).toBeNull();
    const [short, long] = sizeNamed(paper)!;
    expect([size[0] * into, size[1]]).toEqual([expect.closeTo(short, 9), long]);
  }
});

test('a print at 300 dpi: three hundred dots are an inch, A4 is 2480 by 3508', () => {
  // ISO 216 A4 in inches times 300, rounded: the figures printers give.
  expect(printedMm(300)).toBeCloseTo(25.4, 9);
  expect(Math.round(printedMm(2480))).toBe(210);
  expect(Math.round(printedMm(3508))).toBe(297);
  expect([canvasPx(210), canvasPx(297)]).toEqual([2480, 3508]);
});
