import { heldInside, leaningCorners, movedSide, sideMiddles } from './leaning';

const frame = { x: 100, y: 50, w: 200, h: 100, turn: 0, lean: 0 } as const;

describe('a frame that sets a leaning picture straight', () => {
  test('is the plain frame without a lean, and its corners go round with quarter turns as a quarter turn of the picture puts them', () => {
    expect(leaningCorners(frame)).toEqual([
      [100, 50],
      [300, 50],
      [300, 150],
      [100, 150],
    ]);
    // A quarter clockwise: what was the lower left becomes the upper left.
    expect(leaningCorners({ ...frame, turn: 90 })[0]).toEqual([100, 150]);
    expect(leaningCorners({ ...frame, turn: 180 })[0]).toEqual([300, 150]);
    expect(leaningCorners({ ...frame, turn: 270 })[0]).toEqual([300, 50]);
  });

  test('leans against the way the picture is turned: turned clockwise by five degrees, what rises to the right by five becomes level', () => {
    const [tl, tr, , bl] = leaningCorners({ ...frame, lean: 5 });
    const rise = (Math.atan2(tl[1] - tr[1], tr[0] - tl[0]) * 180) / Math.PI;
    expect(rise).toBeCloseTo(5, 9);
    expect(Math.hypot(tr[0] - tl[0], tr[1] - tl[1])).toBeCloseTo(200, 9);
    expect(Math.hypot(bl[0] - tl[0], bl[1] - tl[1])).toBeCloseTo(100, 9);
    const middle = leaningCorners({ ...frame, lean: 5 }).reduce((s, p) => [s[0] + p[0] / 4, s[1] + p[1] / 4], [0, 0]);
    expect(middle[0]).toBeCloseTo(200, 9);
    expect(middle[1]).toBeCloseTo(100, 9);
  });

  test('is made smaller just as far as the picture asks, and keeps its middle and its shape', () => {
    const whole = { x: 0, y: 0, w: 400, h: 300, turn: 0, lean: 10 } as const;
    const held = heldInside(whole, 400, 300);
    const all = leaningCorners(held).flat();
    expect(Math.min(...all)).toBeCloseTo(0, 6);
    expect(held.w / held.h).toBeCloseTo(4 / 3, 9);
    expect([held.x + held.w / 2, held.y + held.h / 2]).toEqual([200, 150]);
    expect(heldInside({ ...frame, lean: 3 }, 400, 300)).toMatchObject({ w: 200, h: 100 });
  });

  test('a side goes where it is put along its own way out, and stops at the picture’s edge', () => {
    expect(movedSide(frame, 'right', [350, 0], 400, 300)).toMatchObject({ x: 100, y: 50, w: 250, h: 100 });
    expect(movedSide(frame, 'left', [90, 0], 400, 300)).toMatchObject({ x: 90, w: 210 });
    expect(movedSide(frame, 'top', [0, 20], 400, 300)).toMatchObject({ y: 20, h: 130 });
    expect(movedSide(frame, 'bottom', [0, 900], 400, 300).h).toBeCloseTo(250, 3);
    // Pushed over the other side it keeps the least size.
    expect(movedSide(frame, 'right', [-50, 0], 400, 300)).toMatchObject({ x: 100, w: 16 });
    const leaning = { ...frame, lean: 8 };
    const moved = movedSide(leaning, 'right', sideMiddles({ ...leaning, w: 240 }).right, 400, 300);
    const still = sideMiddles(moved).left;
    const was = sideMiddles(leaning).left;
    expect(Math.hypot(still[0] - was[0], still[1] - was[1])).toBeLessThan(1e-9);
    expect(moved.w).toBeGreaterThan(leaning.w);
  });
});
