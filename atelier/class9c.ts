/** Class 9C at Fennick Lane School: 24 invented students, each with a hand that misses some of the master's rules by a known amount. */
import { StandSettings, STAND_DEFAULTS, TableKind } from '../core/capture/copyStand';
import { seededRandom } from '../core/raster/statistics';
import { ANSGRAVE, Hand } from './hand';
import { drawScene, MASTER_SCENES, ownScene, Scene } from './scenes';
import { Drawing } from './sheet';

export const CLASS_NAME = '9C';
export const SCHOOL_NAME = 'Fennick Lane School';
export const SHEET: readonly [number, number] = [297, 210];

export interface Student {
  firstName: string;
  initial: string;
  /** What this hand does otherwise; empty where it is plainly good. */
  misses: Partial<Hand>;
  /** Features of which at least one should stand among the first findings; empty for good hands. */
  fault: readonly string[];
  /** Hands in a near-copy of this master's work as an original. */
  copies?: number;
  /** Attempts at the original; the fault shrinks from one to the next. */
  attempts: number;
}

const s = (firstName: string, initial: string, misses: Partial<Hand>, fault: readonly string[], more: Partial<Student> = {}): Student => ({
  firstName,
  initial,
  misses,
  fault,
  attempts: 1,
  ...more,
});

const TONE = ['colour.groundL', 'colour.groundChroma', 'colour.palette', 'value.mean', 'value.light', 'colour.chroma', 'value.lightShare'];

export const STUDENTS: readonly Student[] = [
  s('Abel', 'R', { spacing: 2.9 }, ['marks.spacing', 'marks.coverage'], { attempts: 3 }),
  s('Bruna', 'K', { angle: 118 }, ['marks.direction']),
  s('Cato', 'L', { headsTall: 3.2 }, ['proportion.figure-standing.heads-tall'], { attempts: 2 }),
  s('Dita', 'M', { motley: 0.9 }, ['colour.count', 'colour.chroma', 'colour.chromaHigh', 'colour.palette', 'colour.warm', 'colour.accent']),
  s('Edo', 'V', { lee: 0.9 }, ['edges.outlined', 'edges.sharp', 'edges.lost']),
  s('Fenna', 'B', { accent: null }, ['colour.accent', 'colour.chromaHigh']),
  s('Gus', 'T', { unevenness: 0.32, tremble: 0.7 }, [
    'marks.spacingVariation',
    'marks.straightness',
    'marks.coherence',
    'marks.strokeLength',
  ]),
  s('Hanne', 'O', {}, []),
  s('Ilya', 'P', { lineWidth: 0.85 }, ['marks.lineWidth', 'marks.coverage']),
  s('Jora', 'N', { length: [4.5, 7] }, ['marks.strokeLength'], { attempts: 2 }),
  s('Kees', 'W', { ground: '#f4f2ec' }, TONE),
  s('Lotte', 'S', {}, [], { copies: 0 }),
  s('Mika', 'A', { headsTall: 6.4 }, ['proportion.figure-standing.heads-tall']),
  s('Nour', 'E', { spacing: 1.15 }, ['marks.spacing', 'marks.coverage', 'marks.lineWidth'], { attempts: 3 }),
  s('Odd', 'F', { washOpacity: 0.95, seaWash: '#1f4a3e', shadeWash: '#2c2742' }, [
    'value.mean',
    'value.dark',
    'value.darkShare',
    'value.light',
    'colour.palette',
    'value.range',
    'value.lightShare',
    'value.focusContrast',
  ]),
  s('Pia', 'G', { angle: 178 }, ['marks.direction'], { attempts: 2 }),
  s('Quirin', 'H', {}, [], { copies: 2 }),
  s('Rasa', 'J', { crossEverywhere: true, crossing: 40 }, [
    'marks.crossing',
    'marks.coherence',
    'marks.share.cross-hatch',
    'marks.direction',
  ]),
  s('Sven', 'D', {}, []),
  s('Tuva', 'C', { accentShare: 0.03 }, ['colour.accent', 'colour.chromaHigh', 'colour.warm', 'colour.palette', 'colour.chroma']),
  s('Udo', 'I', { seaWash: '#c9707e', shadeWash: '#d08a4a' }, ['colour.cool', 'colour.warm', 'colour.balance', 'colour.palette'], {
    attempts: 2,
  }),
  s('Vera', 'Z', {}, []),
  s('Wim', 'Y', {}, [], { copies: 4 }),
  s('Yara', 'U', { ground: '#a9b4c4' }, [
    'colour.balance',
    'colour.groundL',
    'colour.groundChroma',
    'colour.cool',
    'colour.palette',
    'colour.warm',
  ]),
];

/** The hand at an attempt: each further one is halfway nearer to the master. */
export function handOf(student: Student, attempt: number): Hand {
  const { ...misses } = student.misses;
  const near = 0.45 ** (attempt - 1);
  const hand: Hand = { ...ANSGRAVE };
  for (const [key, value] of Object.entries(misses) as [keyof Hand, unknown][]) {
    const masters = ANSGRAVE[key];
    const blended =
      typeof value === 'number' && typeof masters === 'number'
        ? masters + near * (value - masters)
        : Array.isArray(value) && Array.isArray(masters)
          ? value.map((v: number, i: number) => masters[i] + near * (v - masters[i]))
          : attempt > 2
            ? masters
            : value;
    Object.assign(hand, { [key]: blended });
  }
  // Nobody draws like a machine: every student wavers a little more than the master.
  return { ...hand, tremble: Math.max(hand.tremble, 0.16) };
}

export interface DemoPiece {
  /** Names the piece for good: student, kind, attempt. */
  key: string;
  student: number;
  kind: 'copy' | 'original';
  attempt: number;
  title: string;
  drawing: Drawing;
  stand: StandSettings;
  seed: number;
}

const TABLES: readonly TableKind[] = ['wood', 'plain', 'wood', 'cluttered'];

function standOf(seed: number): StandSettings {
  const r = seededRandom(seed * 6151 + 29);
  const pick = (low: number, high: number) => low + (high - low) * r();
  return {
    ...STAND_DEFAULTS,
    seed,
    width: 2000,
    height: 1500,
    paper: SHEET,
    rotation: pick(-6, 6),
    tilt: pick(0, 11),
    tiltToward: pick(0, 360),
    fill: pick(0.86, 0.93),
    table: TABLES[Math.floor(r() * TABLES.length)],
    falloff: pick(0.03, 0.16),
    cast: [pick(0.99, 1.03), 1, pick(0.96, 1.01)],
    vignette: pick(0, 0.06),
    exposure: pick(0.95, 1),
    blur: pick(0.3, 0.55),
    noise: pick(0.8, 2),
  };
}

function sceneOf(student: Student, index: number, kind: DemoPiece['kind'], attempt: number): Scene {
  if (kind === 'copy') return MASTER_SCENES[[0, 2, 5, 4][index % 4]].scene;
  if (student.copies !== undefined) return { ...MASTER_SCENES[student.copies].scene, seed: 900 + index };
  return ownScene(index * 10 + (attempt > 1 ? attempt : 1));
}

/** Every piece the class hands in, in the order it arrives: copies first, then originals attempt by attempt. `only` keeps the first so many students. */
export function demoPieces(only = STUDENTS.length): DemoPiece[] {
  const out: DemoPiece[] = [];
  STUDENTS.slice(0, only).forEach((student, i) => {
    const add = (kind: DemoPiece['kind'], attempt: number) => {
      const seed = 1000 + i * 20 + (kind === 'copy' ? 0 : attempt);
      const drawing = drawScene(sceneOf(student, i, kind, attempt), handOf(student, kind === 'copy' ? 1 : attempt), SHEET[0], SHEET[1]);
      out.push({
        key: `${student.firstName}-${student.initial}-${kind}-${attempt}`,
        student: i,
        kind,
        attempt,
        title: '',
        drawing,
        stand: standOf(seed),
        seed,
      });
    };
    add('copy', 1);
    for (let a = 1; a <= student.attempts; a++) add('original', a);
  });
  return out.sort((a, b) => (a.kind === b.kind ? a.attempt - b.attempt || a.student - b.student : a.kind === 'original' ? -1 : 1));
}
