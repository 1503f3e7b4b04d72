/** Knows the numbers by which kinds of mark are told apart: the evidence of a piece, each on a scale where differences count alike. */
import { crossingOf, Evidence } from './evidence';

const log = (v: number, least: number) => Math.log(v + least);

/** One number of each name, in this order, none of them beyond a few tens. */
export function cluesOf(e: Evidence): Record<string, number> {
  const second = e.directions.length > 1 ? e.directions[1].weight / e.directions[0].weight : 0;
  const crossing = ((crossingOf(e.directions) ?? 0) * Math.PI) / 180;
  const { build } = e;
  const out: Record<string, number> = {
    coverage: e.coverage,
    lines: log(e.lineCoverage, 0.01),
    between: e.coverage - e.lineCoverage,
    contrast: log(Math.max(0, e.lineContrast), 2),
    specked: e.speckShare,
    specks: log(e.specks, 1),
    stroked: e.strokeShare,
    strokes: log(e.strokeCount, 1),
    straight: e.straightness,
    curl: log(e.curl, 0.005),
    longest: log(e.longest, 0.05),
    ends: log(e.ends, 0.005),
    forks: log(e.forks, 0.005),
    coiled: e.coiled,
    second,
    crossing: second * Math.sin(crossing) ** 2,
    peaked: e.peaked,
    coherence: e.coherence,
    order: e.order,
    turning: e.order - e.coherence,
    turn: log(e.turn, 3),
    spaced: e.spacing ? 1 : 0,
    spacedTwice: e.secondSpacing ? 1 : 0,
    uneven: e.spacing ? e.spacing.variation : 0.4,
    tone: log(e.toneSpread, 0.5),
    steepest: log(e.steepest, 0.3),
    grain: log(e.grain, 0.3),
    sheet: e.groundKnown ? 1 : 0,
    covered: build.covered,
    even: log(build.even.mean, 2),
    evenMiddling: build.even.middling,
    evenLong: build.even.long,
    plain: log(build.plain.mean, 2),
    plainMiddling: build.plain.middling,
    plainLong: build.plain.long,
    borders: log(build.borders.share, 0.002),
    step: log(build.borders.height, 2),
    rim: build.borders.rim,
    outlined: build.borders.outlined,
    cutOut: build.borders.between,
    ridgesDark: log(build.ridges.dark[0] + build.ridges.dark[1], 0.002),
    ridgesLight: log(build.ridges.light[0] + build.ridges.light[1], 0.002),
    ridgesThin: log(build.ridges.dark[0] + build.ridges.light[0], 0.002),
    ridgesBroad: log(build.ridges.dark[1] + build.ridges.light[1], 0.002),
    ridgesLong: build.ridges.long,
    ridgesHeight: log(build.ridges.height, 2),
    ridgesStraight: build.ridges.straightness,
    ridgesCurl: log(build.ridges.curl, 0.01),
    ridgesWay: build.ridges.coherence,
    ridgesNear: build.ridges.neighbours,
    ridgesTurning: build.ridges.neighbours - build.ridges.coherence,
    ridgesCount: log(build.ridges.count, 5),
  };
  build.sizes.forEach((s, k) => {
    out[`energy${k}`] = log(s.energy, 0.3);
    out[`way${k}`] = s.coherence;
    out[`local${k}`] = s.local;
    out[`dark${k}`] = s.darkRidge;
    out[`light${k}`] = s.lightRidge;
    out[`darkDot${k}`] = s.darkDot;
    out[`lightDot${k}`] = s.lightDot;
    out[`bend${k}`] = log(s.bend, 0.1);
  });
  build.bands.forEach((b, k) => {
    out[`detail${k}`] = log(b.light, 0.2);
    out[`lean${k}`] = b.dark;
    if (k) out[`colour${k}`] = log(b.colour / Math.max(0.2, b.light), 0.05);
  });
  return out;
}
