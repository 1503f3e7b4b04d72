/** Knows how steps, demonstrations and drying fall into periods: nothing touches a sheet before it is ready, and waiting is put to use. */
import { CoreError } from '../errors';
import { whyWait } from './order';
import { Technique } from './technique';

export interface TimedStep {
  technique: Technique;
  minutes: number;
  dry: number;
}

export type EntryKind = 'look' | 'hand-out' | 'warm-up' | 'watch' | 'turn' | 'meanwhile' | 'wait' | 'spare' | 'clear-up' | 'talk';

export interface Entry {
  kind: EntryKind;
  /** Minutes after the bell. */
  start: number;
  minutes: number;
  title: string;
  text: string;
  /** Place in the list of steps, from 0; null for what frames them. */
  step: number | null;
  /** 1 or 2 where a step runs over a break. */
  part: number | null;
}

export interface Frame {
  look: number;
  warmUp: number;
  talk: number;
  clearUp: number;
  handOut: number;
}

interface Wait {
  step: number;
  after: number;
  minutes: number;
  reason: string;
  /** Dried over the break between two periods. */
  overBreak: boolean;
}

export interface Schedule {
  periods: Entry[][];
  waits: Wait[];
}

/** A wash or an inking is done in one go; a part shorter than this is not worth setting out for. */
const IN_ONE_GO = new Set(['wash', 'ground', 'fix']);
const SHORTEST_PART = 5;
const SHORTEST_REST = 4;
const MOST_PERIODS = 30;

class Clock {
  readonly periods: Entry[][] = [[]];
  t = 0;

  constructor(
    readonly length: number,
    readonly frame: Frame,
  ) {
    this.add(
      'look',
      frame.look,
      'Look together',
      'The source large on the wall: what strikes you first? Then the rules, one by one, found in the picture.',
    );
    this.add('hand-out', frame.handOut, 'Hand out', 'Materials to the tables, names on the backs, the source where everybody sees it.');
    this.add(
      'warm-up',
      frame.warmUp,
      'Warm up',
      'Arm and wrist loose, then practice strokes in boxes on scrap, at the measured gap and angle.',
    );
  }

  /** Minutes left before clearing up. */
  get left(): number {
    return this.length - this.frame.clearUp - this.t;
  }

  add(kind: EntryKind, minutes: number, title: string, text: string, step: number | null = null, part: number | null = null) {
    if (minutes <= 0) return;
    this.periods.at(-1)!.push({ kind, start: this.t, minutes, title, text, step, part });
    this.t += minutes;
  }

  close(spare: string): void {
    this.add('spare', this.left, 'Finish; extra for the quick', spare);
    this.add('clear-up', this.frame.clearUp, 'Clear up', 'Sheets flat to dry, tools washed and counted in, tables wiped wet.');
  }

  nextPeriod(spare: string): void {
    this.close(spare);
    this.periods.push([]);
    this.t = 0;
    this.add(
      'hand-out',
      this.frame.handOut,
      'Hand out and recall',
      'Sheets back, the source up again; somebody says where we stopped and what comes next.',
    );
  }
}

interface Layer {
  technique: Technique;
  step: number;
  ready: number;
  period: number;
}

/** What must still dry before a step may begin, in this period. */
function waitFor(layers: readonly Layer[], next: Technique, clock: Clock): { minutes: number; reason: string; after: number } | null {
  let most: { minutes: number; reason: string; after: number } | null = null;
  for (const l of layers) {
    if (l.period !== clock.periods.length - 1 || l.ready <= clock.t) continue;
    const reason = whyWait(l.technique, next);
    if (reason && (!most || l.ready - clock.t > most.minutes)) most = { minutes: l.ready - clock.t, reason, after: l.step };
  }
  return most;
}

/** What is worth trying on scrap beforehand. */
const PRACTISED = new Set(['line', 'tone', 'wash', 'paint', 'light', 'print']);

/** Puts drying time to use: practice for the coming step, then words, then waiting. */
function useWait(clock: Clock, minutes: number, coming: readonly Technique[], first: boolean): void {
  const next = coming.find((t) => PRACTISED.has(t.role)) ?? coming[0];
  const until = clock.t + minutes;
  const practise = Math.min(8, until - clock.t);
  if (practise >= 3)
    clock.add(
      'meanwhile',
      practise,
      `Practise on scrap: ${next.name.toLowerCase()}`,
      next.easier ? `Easier: ${next.easier}. Bolder: ${next.bolder}.` : next.does,
    );
  const write = Math.min(8, until - clock.t);
  if (write >= 3)
    clock.add(
      'meanwhile',
      write,
      first ? 'Write a principle down' : 'Walk round and look',
      first
        ? 'One sentence: what does this hand always do? And where in the picture is that seen?'
        : 'Hands behind the back: what works in three neighbours’ sheets?',
    );
  clock.add('wait', until - clock.t, 'Let it dry', 'Test with the back of the hand: cool means damp.');
}

/**
 * Lays timed steps into periods of `length` minutes. Demonstrations come before each turn and may fall into drying time;
 * a step is split over a break unless it must be done in one go. As many periods are made as are needed.
 */
export function schedule(steps: readonly TimedStep[], length: number, frame: Frame): Schedule {
  if (length < frame.look + frame.handOut + frame.warmUp + frame.clearUp + SHORTEST_PART)
    throw new CoreError(
      `minutes: a period of ${length} minutes leaves no time to work; give at least ${frame.look + frame.handOut + frame.warmUp + frame.clearUp + SHORTEST_PART}`,
    );
  const clock = new Clock(length, frame);
  const layers: Layer[] = [];
  const waits: Wait[] = [];
  const usable = length - frame.clearUp - frame.handOut;
  steps.forEach(({ technique, minutes, dry }, k) => {
    const spare = k > 0 ? steps[k - 1].technique.extra : technique.extra;
    const demonstration = technique.demonstration;
    const oneGo = IN_ONE_GO.has(technique.role);
    let need = waitFor(layers, technique, clock);
    const smallest = oneGo ? Math.min(minutes, usable - demonstration) : Math.min(SHORTEST_PART, minutes);
    if (Math.max(demonstration, need?.minutes ?? 0) + smallest > clock.left && clock.periods.length < MOST_PERIODS) {
      if (need) waits.push({ step: k, ...need, overBreak: true });
      clock.nextPeriod(spare[0].toUpperCase() + spare.slice(1) + '.');
      need = null;
    }
    clock.add('watch', demonstration, `Watch: ${technique.name.toLowerCase()}`, `Look for ${technique.watch}.`, k);
    need = waitFor(layers, technique, clock);
    if (need) {
      waits.push({ step: k, ...need, overBreak: false });
      useWait(
        clock,
        need.minutes,
        steps.slice(k).map((s) => s.technique),
        !waits.slice(0, -1).some((w) => !w.overBreak),
      );
    }
    let now = Math.min(minutes, Math.max(0, clock.left));
    // A last minute or two is not worth setting out for again: the break moves forward.
    if (now < minutes && minutes - now < SHORTEST_REST && minutes - SHORTEST_REST >= SHORTEST_PART) now = minutes - SHORTEST_REST;
    const rest = minutes - now;
    clock.add('turn', now, technique.name, technique.does, k, rest > 0 ? 1 : null);
    let open = rest;
    while (open > 0 && clock.periods.length < MOST_PERIODS) {
      clock.nextPeriod(technique.extra[0].toUpperCase() + technique.extra.slice(1) + '.');
      const part = Math.min(open, clock.left);
      clock.add('turn', part, technique.name, technique.does, k, 2);
      open -= part;
    }
    if (dry > 0) layers.push({ technique, step: k, ready: clock.t + dry, period: clock.periods.length - 1 });
  });
  if (clock.left < frame.talk) clock.nextPeriod(steps.at(-1)?.technique.extra ?? '');
  const spare = clock.left - frame.talk;
  clock.add('spare', spare, 'Finish; extra for the quick', `${steps.map((s) => s.technique.extra).at(-1) ?? 'a second try on scrap'}.`);
  clock.add(
    'talk',
    frame.talk,
    'Hang and talk',
    'What works is said first. Then one thing each would try next. Title, name and credit on the back.',
  );
  clock.add('clear-up', frame.clearUp, 'Clear up', 'Sheets flat to dry, tools washed and counted in, tables wiped wet.');
  return { periods: clock.periods, waits };
}
