/** Knows how passengers stand in their bell capes, and one head seen from the front. */
import { Hand } from './hand';
import { hatch, HatchSettings, oval, P, Sheet, smooth } from './sheet';

export function hatchWith(hand: Hand, more: Partial<HatchSettings> = {}): HatchSettings {
  return {
    spacing: hand.spacing,
    unevenness: hand.unevenness,
    angle: hand.angle,
    length: hand.length,
    arch: hand.arch,
    width: hand.lineWidth,
    colour: hand.ink,
    role: 'hatch',
    tremble: hand.tremble,
    ...more,
  };
}

/** Outlines a closed form by the hand's habit: heavy where it faces left, open (or thin) where it faces right. */
export function outline(sheet: Sheet, form: readonly P[], hand: Hand): void {
  const cx = form.reduce((s, p) => s + p[0], 0) / form.length;
  const faces = form.map((p, i) => {
    const a = form[(i + form.length - 1) % form.length];
    const b = form[(i + 1) % form.length];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    let nx = (b[1] - a[1]) / long;
    // The outward side is the one away from the middle.
    if (nx * (p[0] - cx) < 0 && Math.abs(p[0] - cx) > 0.2) nx = -nx;
    return p[0] < cx ? nx < -0.3 : false;
  });
  const runs = (wanted: boolean) => {
    const out: P[][] = [];
    const start = faces.findIndex((f, i) => f === wanted && faces[(i + faces.length - 1) % faces.length] !== wanted);
    if (start < 0) return faces[0] === wanted ? [form.slice()] : [];
    let run: P[] = [];
    for (let k = 0; k < form.length; k++) {
      const i = (start + k) % form.length;
      if (faces[i] === wanted) run.push(form[i]);
      else if (run.length) {
        out.push([...run, form[i]]);
        run = [];
      }
    }
    if (run.length) out.push(run);
    return out;
  };
  for (const run of runs(true)) sheet.ribbon(run, hand.windward, hand.ink, 'outline', hand.tremble);
  if (hand.lee > 0) for (const run of runs(false)) sheet.ribbon(run, hand.lee, hand.ink, 'outline', hand.tremble);
}

/** A caped passenger; `foot` is the middle under the cape, `height` from crown to sole in mm. Hands are never shown. */
export function passenger(sheet: Sheet, hand: Hand, foot: P, height: number, lean = 0, hooded = false): void {
  const head = height / hand.headsTall;
  const top = foot[1] - height;
  const cx = foot[0] + lean;
  const chin = top + head;
  const shoulder = chin + 0.12 * head;
  const broad = 0.25 * height;
  const shoulders = 0.62 * head + 0.05 * height;
  const sole = foot[1];
  const hem = sole - 0.05 * height;
  const cape = smooth(
    [
      [cx - 0.3 * head, shoulder - 0.04 * head],
      [cx - shoulders * 0.8, shoulder + 0.22 * head],
      [foot[0] - broad * 0.62, shoulder + 0.45 * (hem - shoulder)],
      [foot[0] - broad * 0.86, shoulder + 0.78 * (hem - shoulder)],
      [foot[0] - broad * 1.08, hem - 0.06 * height],
      [foot[0] - broad * 1.04, hem],
      [foot[0], hem + 0.025 * height],
      [foot[0] + broad * 1.04, hem],
      [foot[0] + broad * 1.08, hem - 0.06 * height],
      [foot[0] + broad * 0.86, shoulder + 0.78 * (hem - shoulder)],
      [foot[0] + broad * 0.62, shoulder + 0.45 * (hem - shoulder)],
      [cx + shoulders * 0.8, shoulder + 0.22 * head],
      [cx + 0.3 * head, shoulder - 0.04 * head],
    ],
    true,
    6,
  );
  const face = oval(cx, top + 0.56 * head, 0.36 * head, 0.44 * head);
  sheet.fill(cape, hand.ground);
  sheet.wash(cape, hand.shadeWash, hand.washOpacity);
  // Shoes peep out below the hem.
  for (const side of [-1, 1])
    sheet.fill(oval(foot[0] + side * 0.09 * height, sole - 0.018 * height, 0.055 * height, 0.02 * height, 16), hand.ink);
  const lee: P[] = cape.filter((p) => p[0] >= foot[0] - broad * (hand.hatched > 0.9 ? 0.25 : 0)).map((p): P => [p[0], p[1]]);
  hatch(sheet, hand.hatched > 1 ? cape : lee, hatchWith(hand));
  if (hand.crossEverywhere) hatch(sheet, lee, hatchWith(hand, { angle: hand.angle - hand.crossing, role: 'cross' }));
  // One fold from the neck.
  sheet.ribbon(
    smooth([
      [cx + 0.05 * head, shoulder + 0.1 * head],
      [cx + 0.02 * height, (shoulder + hem) / 2],
      [foot[0] + 0.04 * height, hem - 0.02 * height],
    ]),
    hand.lineWidth,
    hand.ink,
    'line',
    hand.tremble,
  );
  outline(sheet, cape, hand);
  sheet.fill(face, hand.ground);
  const cap = hooded
    ? smooth(
        [
          [cx - 0.46 * head, top + 0.62 * head],
          [cx - 0.44 * head, top + 0.2 * head],
          [cx, top],
          [cx + 0.44 * head, top + 0.2 * head],
          [cx + 0.46 * head, top + 0.62 * head],
          [cx, top + 0.34 * head],
        ],
        true,
        6,
      )
    : smooth(
        [
          [cx - 0.42 * head, top + 0.36 * head],
          [cx - 0.38 * head, top + 0.12 * head],
          [cx, top],
          [cx + 0.38 * head, top + 0.12 * head],
          [cx + 0.42 * head, top + 0.36 * head],
          [cx, top + 0.3 * head],
        ],
        true,
        6,
      );
  sheet.fill(cap, hand.ink, 0.92);
  outline(sheet, face, hand);
  const eyes = top + hand.eyeLine * head;
  for (const side of [-1, 1]) sheet.dot([cx + side * 0.13 * head, eyes], Math.max(0.25, 0.035 * head), hand.ink);
  sheet.stroke([cx, eyes + 0.05 * head], [cx - 0.03 * head, eyes + 0.16 * head], hand.lineWidth, hand.ink, 'line');
  sheet.stroke(
    [cx - 0.09 * head, eyes + 0.26 * head],
    [cx + 0.09 * head, eyes + 0.26 * head],
    hand.lineWidth,
    hand.ink,
    'line',
    0.01 * head,
  );
  if (hand.white) {
    const touch = cape.filter((p) => p[0] < foot[0] - broad * 0.5 && p[1] < (shoulder + hem) / 2).map((p): P => [p[0] + 1.6, p[1] + 0.6]);
    if (touch.length > 2) sheet.ribbon(touch, 0.8, '#fbfaf4', 'highlight', 0.1);
  }
  sheet.landmarks.push({
    template: 'figure-standing',
    points: {
      crown: [cx, top],
      chin: [cx, chin],
      'neck-base': [cx, shoulder],
      'shoulder-left': [cx - shoulders, shoulder + 0.22 * head],
      'shoulder-right': [cx + shoulders, shoulder + 0.22 * head],
      sole: [foot[0], sole],
      'hem-left': [foot[0] - broad * 1.06, hem],
      'hem-right': [foot[0] + broad * 1.06, hem],
    },
  });
}

/** A head and shoulders from the front, filling most of the sheet. */
export function headStudy(sheet: Sheet, hand: Hand, cx: number, top: number, head: number): void {
  const face = 0.33 * head;
  const at = (x: number, y: number): P => [cx + x * head, top + y * head];
  const skull = smooth(
    [
      at(-0.3, 0.18),
      at(0, 0),
      at(0.3, 0.18),
      at(0.33, 0.5),
      at(0.27, 0.78),
      at(0.11, 0.985),
      at(0, 1),
      at(-0.11, 0.985),
      at(-0.27, 0.78),
      at(-0.33, 0.5),
    ],
    true,
    8,
  );
  const shoulders = smooth(
    [at(-0.22, 1.12), at(-0.62, 1.34), at(-0.92, 1.9), at(-0.95, 2.2), at(0.95, 2.2), at(0.92, 1.9), at(0.62, 1.34), at(0.22, 1.12)],
    true,
    8,
  );
  const neck: P[] = [at(-0.2, 0.84), at(-0.2, 1.2), at(0.2, 1.2), at(0.2, 0.84)];
  sheet.fill(shoulders, hand.ground);
  sheet.wash(shoulders, hand.shadeWash, hand.washOpacity);
  hatch(
    sheet,
    shoulders.filter((p) => p[0] > cx - 0.35 * head),
    hatchWith(hand),
  );
  outline(sheet, shoulders, hand);
  sheet.fill(neck, hand.ground);
  hatch(sheet, [at(-0.02, 0.94), at(-0.02, 1.2), at(0.2, 1.2), at(0.2, 0.84)], hatchWith(hand));
  sheet.fill(skull, hand.ground);
  const shade = skull.filter((p) => p[0] > cx + 0.08 * head);
  sheet.wash(shade, hand.shadeWash, hand.washOpacity * 0.6);
  hatch(sheet, shade, hatchWith(hand));
  outline(sheet, skull, hand);
  const hair = smooth(
    [at(-0.33, 0.5), at(-0.34, 0.2), at(0, -0.015), at(0.34, 0.2), at(0.33, 0.5), at(0.25, 0.24), at(0, 0.19), at(-0.25, 0.24)],
    true,
    8,
  );
  sheet.fill(hair, hand.ink, 0.9);
  const eye = hand.eyeLine;
  const eyeWidth = 0.4 * face;
  const gap = 0.42 * face;
  const pts: Record<string, [number, number]> = {};
  const put = (name: string, p: P) => (pts[name] = [p[0], p[1]]);
  for (const side of [-1, 1] as const) {
    const inner: P = [cx + side * (gap / 2), top + eye * head];
    const outer: P = [cx + side * (gap / 2 + eyeWidth), top + eye * head];
    sheet.ribbon(smooth([outer, [(inner[0] + outer[0]) / 2, inner[1] - 0.03 * head], inner]), hand.lineWidth * 1.3, hand.ink, 'line', 0.05);
    sheet.ribbon(smooth([outer, [(inner[0] + outer[0]) / 2, inner[1] + 0.02 * head], inner]), hand.lineWidth, hand.ink, 'line', 0.05);
    sheet.dot([(inner[0] + outer[0]) / 2, inner[1] - 0.004 * head], 0.022 * head, hand.ink);
    const brow: P = [(inner[0] + outer[0]) / 2, top + (eye - 0.085) * head];
    sheet.ribbon(
      smooth([[outer[0], brow[1] + 0.015 * head], brow, [inner[0], brow[1] + 0.01 * head]]),
      hand.windward,
      hand.ink,
      'line',
      0.1,
    );
    const name = side < 0 ? 'left' : 'right';
    put(`eye-${name}-inner`, inner);
    put(`eye-${name}-outer`, outer);
    put(`pupil-${name}`, [(inner[0] + outer[0]) / 2, inner[1]]);
    put(`brow-${name}`, brow);
    put(`face-${name}`, [cx + side * face, top + eye * head]);
    put(`neck-${name}`, [cx + side * 0.2 * head, top + 1.08 * head]);
    put(`nose-${name}`, [cx + side * 0.066 * head, top + 0.745 * head]);
    put(`mouth-${name}`, [cx + side * 0.105 * head, top + 0.84 * head]);
  }
  sheet.ribbon(
    smooth([at(-0.02, eye + 0.02), at(-0.035, 0.7), at(-0.066, 0.745), at(0, 0.765), at(0.05, 0.75)]),
    hand.lineWidth,
    hand.ink,
    'line',
    0.05,
  );
  sheet.ribbon(
    smooth([at(-0.105, 0.84), at(-0.03, 0.832), at(0, 0.838), at(0.03, 0.832), at(0.105, 0.84)]),
    hand.lineWidth * 1.4,
    hand.ink,
    'line',
    0.05,
  );
  if (hand.white) sheet.ribbon(smooth([at(-0.24, 0.62), at(-0.26, 0.5), at(-0.2, 0.36)]), 1.1, '#fbfaf4', 'highlight', 0.1);
  put('crown', at(0, 0));
  put('hairline', at(0, 0.19));
  put('nose-base', at(0, 0.765));
  put('mouth-centre', at(0, 0.838));
  put('chin', at(0, 1));
  put('neck-base', at(0, 1.24));
  sheet.landmarks.push({ template: 'face-front', points: pts });
}
