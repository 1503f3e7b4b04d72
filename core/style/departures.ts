/** Knows the manner of a hand as departures from nature: the range of each measure over its works, and how surely it is not nature's. */
import type { Landmarks } from '../proportion/align';
import { Frame, readAll } from '../proportion/measures';
import { asRatio, onScale, placingVariances } from '../proportion/placingSpread';
import type { Measure, Template } from '../proportion/template';
import { mean } from '../raster/statistics';
import { PROPORTIONS } from './features';
import { studentTwoSided } from './student';

/** The sets of one work, and its frame. */
export interface MeasuredFigures {
  sets: readonly Landmarks[];
  frame: Frame | null;
}

export interface Departure extends Pick<Measure, 'name' | 'unit'> {
  /** Least, middle and greatest of the works' means. */
  low: number;
  mid: number;
  high: number;
  works: number;
  figures: number;
  /** Nature's, or what two equal sides would give. */
  nature: number;
  /** Middle ÷ nature's; null for angles and offsets. */
  times: number | null;
  /** One side of a pair against the other: the master's own inequality. */
  pair: boolean;
  /** How likely so large a departure would come by chance, were the hand's own measure nature's. */
  chance: number;
  sure: 'clear' | 'likely' | 'open';
}

/** Departures that come by chance less often than this are clear, or likely. */
const [CLEAR, LIKELY] = [0.01, 0.1];
/** For how many works the usual spread between works of one hand counts beside their own. */
const USUAL_COUNTS = 4;
/** Nature's proportions hold within so much (degrees: by so many), and so do equal sides of one face: common practice, no source. */
const NATURE = { ratio: 0.03, degrees: 1, offset: 0.005 };

const natureSpread = (unit: Measure['unit']) => (unit === 'degrees' || unit === 'offset' ? NATURE[unit] : NATURE.ratio);

/**
 * Every measure that nature (or evenness, for pairs) says something of, surest departure first. Several figures of a work count as one
 * between them. The variance between works is moderated by the usual one (Smyth 2004), placing and nature's own spread are added, and
 * the middle is held against nature by Student's t.
 */
export function departuresOf(template: Template, works: readonly MeasuredFigures[]): Departure[] {
  const read = works.map(({ sets, frame }) =>
    sets.map((points) => ({ measures: readAll(template, points, frame), unsure: placingVariances(template, points, frame) })),
  );
  return template.measures
    .flatMap(({ name, unit, canon, even }, k): Departure[] => {
      const nature = canon ?? even ?? null;
      if (nature === null) return [];
      const inWorks = read
        .map((figures) =>
          figures.flatMap(({ measures, unsure }) => {
            const at = onScale(measures[k]);
            return at === null ? [] : [{ at, unsure: unsure.get(name) ?? 0 }];
          }),
        )
        .filter((figures) => figures.length > 0);
      if (!inWorks.length) return [];
      const means = inWorks.map((figures) => mean(figures.map((f) => f.at)));
      const [n, centre] = [means.length, mean(means)];
      const usual = PROPORTIONS[unit].typical ** 2;
      const squares = means.reduce((s, v) => s + (v - centre) ** 2, 0);
      const variance = (squares + USUAL_COUNTS * usual) / (n - 1 + USUAL_COUNTS);
      const placing = mean(inWorks.map((figures) => mean(figures.map((f) => f.unsure)) / figures.length));
      const ratio = asRatio({ unit });
      const by = centre - (ratio ? Math.log(nature) : nature);
      const t = by / Math.sqrt((variance + placing) / n + natureSpread(unit) ** 2);
      const chance = studentTwoSided(t, n - 1 + USUAL_COUNTS);
      const back = (v: number) => (ratio ? Math.exp(v) : v);
      return [
        {
          name,
          unit,
          low: back(Math.min(...means)),
          mid: back(centre),
          high: back(Math.max(...means)),
          works: n,
          figures: inWorks.reduce((s, f) => s + f.length, 0),
          nature,
          times: ratio ? Math.exp(by) : null,
          pair: canon === null,
          chance,
          sure: chance < CLEAR ? 'clear' : chance < LIKELY ? 'likely' : 'open',
        },
      ];
    })
    .sort((a, b) => a.chance - b.chance);
}
