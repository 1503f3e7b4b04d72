/** Trials on real hands, when a folder of pictures is given: each picture left out in turn against all others, the hand under test left out of the priors. */
import { mean, quantile } from '../../core/raster/statistics';
import { compare, Comparison } from '../../core/style/compare';
import { FEATURE_GROUPS } from '../../core/style/features';
import { oneScale } from '../../core/style/scale';
import { atOwnScale, byHand, drawnHands, Piece, realPictures } from '../fit/hands';
import { priorsFrom } from '../fit/priors';
import { number, table } from './tables';

const SCORES = ['overall', ...FEATURE_GROUPS] as const;
const QUANTILES = [0, 0.1, 0.25, 0.5, 0.75, 0.9, 1];
/** Other pictures of one hand may fall under this own invention in one of twenty cases. */
const COPY = 25;

/** Area under the receiver's operating curve: how often one of the first beats one of the second. */
export function rocArea(first: readonly number[], second: readonly number[]): number {
  let won = 0;
  for (const a of first) for (const b of second) won += a > b ? 1 : a === b ? 0.5 : 0;
  return won / (first.length * second.length);
}

interface Trial {
  hand: string;
  own: Comparison[];
  others: Comparison[];
}

const scoreOf = ({ closeness }: Comparison, s: (typeof SCORES)[number]): number | null =>
  s === 'overall' ? closeness.overall : closeness.groups[s];

const scores = (list: readonly Comparison[], s: (typeof SCORES)[number]): number[] => list.flatMap((c) => scoreOf(c, s) ?? []);

function trialOf(hand: string, real: readonly Piece[], drawn: readonly Piece[]): Trial {
  const fitted = [...byHand([...drawn, ...real.filter((p) => p.hand !== hand)]).values()].filter((works) => works.length > 2);
  const priors = priorsFrom(fitted.map(atOwnScale));
  const all = real.filter((p) => p.hand === hand);
  const held = (piece: Piece) => {
    const works = all.filter((w) => w !== piece);
    const { rung } = oneScale(
      works.map((w) => w.resolution),
      piece.resolution,
    );
    return compare(
      works.map((w) => w.at(rung)),
      piece.at(rung),
      { as: 'original', priors },
    );
  };
  return { hand, own: all.map(held), others: real.filter((p) => p.hand !== hand).map(held) };
}

/** The table of real hands; `folder` holds pictures named hand-X-N, and others by nobody who is among those. */
export async function handsAccuracy(folder: string | null): Promise<string> {
  if (!folder) return 'No folder of real pictures was given (`--pictures DIR`).';
  const real = await realPictures(folder);
  const drawn = await drawnHands(5);
  const trials = [...byHand(real).keys()].map((hand) => trialOf(hand, real, drawn));
  const area = (t: Trial, s: (typeof SCORES)[number]) => rocArea(scores(t.own, s), scores(t.others, s));
  const spread = (name: string, list: readonly Comparison[], s: (typeof SCORES)[number]) => [
    `${name}, ${s}`,
    ...QUANTILES.map((q) => number(quantile(scores(list, s), q), 0)),
  ];
  const [own, others] = [trials.flatMap((t) => t.own), trials.flatMap((t) => t.others)];
  const findings = own.map((c) => c.findings.filter((f) => f.distance !== 0).length);
  const told = own.filter((c) => c.ownInvention < COPY).length;
  return [
    'ROC area of closeness (how often a hand’s own further work comes out closer than a work by somebody else), and the middle closeness of both:',
    table(
      ['hand', ...SCORES],
      [
        ...trials.map((t) => [
          t.hand,
          ...SCORES.map(
            (s) =>
              `${number(area(t, s), 3)} (${number(quantile(scores(t.own, s), 0.5), 0)} against ${number(quantile(scores(t.others, s), 0.5), 0)})`,
          ),
        ]),
        ['mean', ...SCORES.map((s) => number(mean(trials.map((t) => area(t, s))), 3))],
      ],
    ),
    table(
      ['closeness', 'least', '10 %', '25 %', 'middle', '75 %', '90 %', 'most'],
      (['overall', 'marks'] as const).flatMap((s) => [spread('own further works', own, s), spread('works by others', others, s)]),
    ),
    `Findings on a hand’s own further work: ${number(quantile(findings, 0.5), 0)} in the middle, ${number(quantile(findings, 0.75), 0)} at three quarters, ${Math.max(...findings)} at most. Own invention under ${COPY} for ${told} of ${own.length} different pictures of one hand.`,
  ].join('\n\n');
}
