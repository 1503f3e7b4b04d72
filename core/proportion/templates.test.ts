/** Each template read on points whose measures are reckoned by hand from the definitions of `landmarks.md`'s table. */
import { Landmarks } from './align';
import { LandmarkSet, linesOf, measureProportions, proportionsOf } from './measures';
import { TEMPLATE_NAMES, TemplateName, TEMPLATES } from './templates';

const read = (template: TemplateName, points: Landmarks, frame: readonly [number, number, number, number] | null = null) =>
  Object.fromEntries(measureProportions(template, points, frame).map((p) => [p.name, p.value]));

test('a turned face: the far eye and half of the mouth, the middle line, the corner of the jaw', () => {
  const face: Landmarks = {
    crown: [60, 0],
    chin: [60, 200],
    'eye-far-outer': [20, 100],
    'eye-far-inner': [35, 100],
    'eye-near-inner': [55, 100],
    'eye-near-outer': [85, 106],
    'nose-base': [40, 140],
    'cheek-far': [10, 120],
    'ear-near-bottom': [130, 130],
    'mouth-far': [30, 160],
    'mouth-centre': [42, 160],
    'mouth-near': [66, 160],
    'jaw-near': [130, 200],
  };
  const is = read('face-three-quarter', face);
  expect(is['eye-line']).toBeCloseTo(101.5 / 200, 9);
  expect(is['eye-pair']).toBeCloseTo(15 / Math.hypot(30, 6), 9);
  expect(is.midline).toBeCloseTo(30 / 120, 9);
  expect(is['mouth-pair']).toBeCloseTo(12 / 24, 9);
  expect(is['jaw-angle']).toBeCloseTo(90, 9);
  expect(is['eye-tilt']).toBeCloseTo((Math.atan2(6, 65) * 180) / Math.PI, 9);
  expect(is['brow-third']).toBeNull();
});

test('a face from the side: how far the nose stands out, the lean of the face, the place of the ear, and the head’s depth', () => {
  const is = read('face-profile', {
    crown: [60, 0],
    chin: [20, 200],
    brow: [10, 80],
    'nose-root': [14, 90],
    'nose-base': [14, 140],
    'nose-tip': [0, 130],
    'ear-top': [100, 80],
    'ear-bottom': [100, 130],
    nape: [160, 140],
  });
  const head = Math.hypot(40, 200);
  expect(is['nose-projection']).toBeCloseTo(14 / head, 9);
  expect(is['face-angle']).toBeCloseTo((Math.atan2(10, 120) * 180) / Math.PI, 9);
  expect(is['ear-place']).toBeCloseTo(90 / 150, 9);
  expect(is['head-depth']).toBeCloseTo(150 / head, 9);
});

test('pairs of a front face, the slope of its brows and where it looks', () => {
  const is = read('face-front', {
    'eye-left-outer': [10, 50],
    'eye-left-inner': [40, 50],
    'eye-right-inner': [60, 50],
    'eye-right-outer': [80, 50],
    'eye-left-top': [25, 44],
    'eye-left-bottom': [25, 56],
    'eye-right-top': [70, 47],
    'eye-right-bottom': [70, 53],
    'pupil-left': [19, 50],
    'pupil-right': [66, 50],
    'pupil-left-rim': [22, 50],
    'pupil-right-rim': [66, 48],
    'brow-left-outer': [10, 30],
    'brow-left-inner': [40, 36],
    'brow-right-inner': [60, 30],
    'brow-right-outer': [80, 34],
  });
  expect(is['eye-width-pair']).toBeCloseTo(1.5, 9);
  expect(is['eye-height-pair']).toBeCloseTo(2, 9);
  expect(is['eye-height']).toBeCloseTo((12 / 30 + 6 / 20) / 2, 9);
  expect(is['pupil-size']).toBeCloseTo((6 / 30 + 4 / 20) / 2, 9);
  expect(is['pupil-size-pair']).toBeCloseTo(1.5, 9);
  expect(is.gaze).toBeCloseTo(0.3, 9);
  expect(is['brow-slope-left']).toBeCloseTo((Math.atan2(6, 30) * 180) / Math.PI, 9);
  expect(is['brow-slope-right']).toBeCloseTo((-Math.atan2(4, 20) * 180) / Math.PI, 9);
});

test('seated and bent figures: shares of what is seen, lengths along the limbs, joints, the bend of the whole', () => {
  const seated = read('figure-seated', {
    crown: [50, 0],
    chin: [50, 20],
    'neck-base': [50, 25],
    crotch: [60, 75],
    sole: [120, 125],
    'knee-left': [100, 75],
    'ankle-left': [100, 115],
  });
  expect(seated['heads-tall']).toBeCloseTo(125 / 20, 9);
  expect(seated['trunk-share']).toBeCloseTo(50 / 125, 9);
  expect(seated['thigh-to-shank']).toBeCloseTo(1, 9);
  const bent = read('figure-bent', {
    crown: [100, 0],
    chin: [100, 10],
    'neck-base': [100, 20],
    crotch: [100, 60],
    sole: [140, 60],
    'shoulder-left': [90, 20],
    'elbow-left': [90, 40],
    'wrist-left': [110, 40],
    'knee-left': [130, 60],
    'ankle-left': [130, 90],
  });
  expect(bent['line-of-action']).toBeCloseTo(90, 9);
  expect(bent['elbow-angle']).toBeCloseTo(90, 9);
  expect(bent['knee-angle']).toBeCloseTo(90, 9);
  expect(bent['hip-angle']).toBeCloseTo(90, 9);
  expect(bent['leg-length']).toBeCloseTo(6, 9);
  expect(bent['trunk-length']).toBeCloseTo(4, 9);
  expect(bent['arm-length']).toBeCloseTo(4, 9);
});

test('animals and birds, facing left', () => {
  const animal = read('animal-side', {
    withers: [100, 50],
    'fore-foot': [104, 150],
    poll: [60, 20],
    muzzle: [30, 60],
    chest: [80, 90],
    elbow: [100, 100],
    croup: [200, 60],
    'tail-root': [230, 70],
  });
  expect(animal['body-shape']).toBeCloseTo(1.5, 9);
  expect(animal['head-length']).toBeCloseTo(0.5, 9);
  expect(animal['leg-share']).toBeCloseTo(0.5, 9);
  expect(animal['neck-length']).toBeCloseTo(0.5, 9);
  expect(animal['back-tilt']).toBeCloseTo((Math.atan2(10, 100) * 180) / Math.PI, 9);
  expect(animal['head-angle']).toBeCloseTo((Math.atan2(40, 30) * 180) / Math.PI, 9);
  const face = read('animal-front', {
    crown: [50, 0],
    chin: [50, 100],
    'muzzle-top': [50, 60],
    'ear-left-tip': [20, -30],
    'face-left': [10, 40],
    'face-right': [90, 40],
  });
  expect(face['muzzle-share']).toBeCloseTo(0.4, 9);
  expect(face['ear-height']).toBeCloseTo(0.3, 9);
  expect(face['face-shape']).toBeCloseTo(0.8, 9);
  const bird = {
    breast: [0, 100],
    'tail-root': [100, 100],
    crown: [0, 40],
    nape: [20, 55],
    'tail-tip': [150, 100],
    belly: [50, 130],
    foot: [55, 170],
  };
  const is = read('bird-side', { ...(bird as unknown as Landmarks), 'wing-bend': [20, 90], 'wing-tip': [120, 90] });
  expect(is).toMatchObject({ 'head-share': 0.25, 'tail-share': 0.5, 'body-tilt': 0, 'wing-share': 1, 'leg-share': 0.4 });
  const open = read('bird-open', { ...(bird as unknown as Landmarks), 'wing-left-tip': [-100, 60], 'wing-right-tip': [200, 60], 'wing-left-bend': [-60, 20], 'wing-right-bend': [160, 20] }); // prettier-ignore
  expect(open).toMatchObject({ 'wing-span': 3, 'wing-angle': 45 });
});

test('a view and a table of things are measured in the picture’s frame', () => {
  const view = read(
    'landscape',
    {
      'horizon-left': [100, 290],
      'horizon-right': [500, 310],
      'skyline-high': [200, 140],
      'skyline-low': [400, 260],
      'foreground-edge': [300, 420],
      'subject-left': [300, 300],
      'subject-right': [400, 300],
      'subject-top': [350, 200],
      'subject-bottom': [350, 380],
    },
    [100, 100, 400, 400],
  );
  expect(view).toMatchObject({ horizon: 0.5, 'skyline-range': 0.3, 'subject-across': 0.625, 'subject-down': 0.475, foreground: 0.2 });
  expect(view['subject-share']).toBeCloseTo((100 * 180) / 160000, 9);
  const box = (n: number, l: number, t: number, r: number, b: number): Landmarks => ({
    [`object-${n}-left`]: [l, (t + b) / 2],
    [`object-${n}-right`]: [r, (t + b) / 2],
    [`object-${n}-top`]: [(l + r) / 2, t],
    [`object-${n}-bottom`]: [(l + r) / 2, b],
  });
  const things = read(
    'still-life',
    {
      'table-edge-left': [0, 60],
      'table-edge-right': [200, 60],
      ...box(1, 20, 20, 60, 80),
      ...box(2, 50, 50, 110, 90),
      ...box(3, 140, 60, 160, 90),
      'object-4-top': [5, 5],
    },
    [0, 0, 200, 100],
  );
  expect(things).toMatchObject({ 'table-edge': 0.6, count: 3, tallest: 0.6, spread: 0.7, 'widest-to-tallest': 1 });
  expect(things.overlaps).toBeCloseTo(1 / 3, 9);
});

test('figures beside each other are told of together, each with the next one to its right', () => {
  const figure = (name: string, x: number, top: number): LandmarkSet => ({
    template: 'figure-standing',
    name,
    points: { crown: [x, top], 'shoulder-left': [x - 20, top + 20], 'shoulder-right': [x + 20, top + 20], sole: [x, 200] },
  });
  const all = proportionsOf([figure('middle', 100, 100), figure('left', 30, 100), figure('right', 130, 150)], null);
  const bodies = all.filter((p) => p.template === 'two-bodies');
  expect(bodies.map((p) => p.set)).toEqual([
    'left + middle',
    'left + middle',
    'left + middle',
    'middle + right',
    'middle + right',
    'middle + right',
  ]);
  expect(bodies.slice(0, 3).map((p) => p.value)).toEqual([0.3, 0, 1]);
  expect(bodies[4].value).toBeCloseTo((10 * 50) / (40 * 50), 9);
  expect(bodies[5].value).toBeCloseTo(2, 9);
  expect(proportionsOf([figure('one', 100, 100)], null).some((p) => p.template === 'two-bodies')).toBe(false);
});

test('every template is drawn: its lines join its own points, and its paths can be drawn', () => {
  for (const name of TEMPLATE_NAMES) {
    const { points, joined, drawing } = TEMPLATES[name];
    const names = new Set(points.map((p) => p.name));
    for (const point of joined.flat()) expect([name, point, names.has(point)]).toEqual([name, point, true]);
    expect(drawing.length).toBeGreaterThan(1);
    for (const path of drawing) expect([name, path]).toEqual([name, expect.stringMatching(/^M[-0-9.A-Z ]+$/)]);
    expect(linesOf(TEMPLATES[name], 'nothing', {})).toEqual([]);
  }
});
