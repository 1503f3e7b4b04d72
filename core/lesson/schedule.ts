/** Knows how steps, demonstrations and drying fall into periods: nothing touches a sheet before it is ready, and waiting is put to use. */
import { CoreError } from '../errors';
import { Message, message, Typed, typed, Values } from '../message';
import { whyWait } from './order';
import { beside, nameOf, saysOf, Said, Technique, Who } from './technique';

export interface TimedStep {
  technique: Technique;
  minutes: number;
  dry: number;
  /** Which of the ways to do it is taken; null leaves it open. */
  option: Message | Typed | null;
  /** Groups that do it one after another, since there are not tools for all at once. */
  rounds: number;
  /** What the same step is known by in another group's timetable. */
  step: number;
}

export type EntryKind = 'look' | 'hand-out' | 'warm-up' | 'watch' | 'turn' | 'meanwhile' | 'wait' | 'spare' | 'again' | 'clear-up' | 'talk';

export interface Entry {
  kind: EntryKind;
  /** Minutes after the bell. */
  start: number;
  minutes: number;
  title: Message;
  text: Message;
  /** Place in the list of steps, from 0; null for what frames them. */
  step: number | null;
  /** 1 or 2 where a step runs over a break. */
  part: number | null;
  /** Who is at a turn, where it is not the students by themselves. */
  who?: Who;
  /** Which of how many groups is at it, where they take turns. */
  round?: { n: number; of: number };
}

/** Minutes of a period in which the teacher shows a step to others. */
export interface Busy {
  period: number;
  start: number;
  end: number;
  step: number;
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
  reason: Message;
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
/** From so many free minutes on all try once more, on a fresh sheet. */
const ANOTHER = 12;
/** Where even the longest lesson in the shortest periods is at its end. */
const MOST_PERIODS = 120;

class Clock {
  readonly periods: Entry[][] = [[]];
  t = 0;

  constructor(
    readonly lengthOf: (period: number) => number,
    readonly frame: Frame,
    readonly named: Values,
  ) {
    this.add('look', frame.look, 'look');
    this.add('hand-out', frame.handOut, 'hand-out');
    this.add('warm-up', frame.warmUp, 'warm-up', named);
  }

  /** Minutes left before clearing up. */
  get left(): number {
    return this.lengthOf(this.periods.length - 1) - this.frame.clearUp - this.t;
  }

  /** An entry whose title and text stand under `schedule` in `words/`. */
  add(kind: EntryKind, minutes: number, said: string, values?: Values, of: Partial<Pick<Entry, 'step' | 'part' | 'who' | 'round'>> = {}) {
    if (minutes <= 0) return;
    const [title, text] = [message(`schedule.${said}.title`, values), message(`schedule.${said}.text`, values)];
    this.periods.at(-1)!.push({ kind, start: this.t, minutes, title, text, step: null, part: null, ...of });
    this.t += minutes;
  }

  /** A sentence about a technique; empty where its teacher says nothing. */
  says(t: Technique, what: Said): Message | Typed {
    return saysOf(t, what, this.named) ?? typed('');
  }

  /** Ends the period; `spare` is the technique whose extra task fills what is left. */
  close(spare: Technique): void {
    this.rest(spare, 0);
    this.add('clear-up', this.frame.clearUp, 'clear-up');
  }

  /** What is left until so many minutes before clearing up: extra for the quick or, where it is long, another try for all. */
  rest(spare: Technique, keep: number): void {
    const minutes = this.left - keep;
    if (minutes >= ANOTHER) this.add('again', minutes, 'again');
    else this.add('spare', minutes, 'spare', { extra: this.says(spare, 'extra') });
  }

  nextPeriod(spare: Technique): void {
    this.close(spare);
    this.periods.push([]);
    this.t = 0;
    this.add('hand-out', this.frame.handOut, 'hand-out-again');
  }
}

interface Layer {
  technique: Technique;
  step: number;
  ready: number;
  period: number;
}

/** What must still dry before a step may begin, in this period. */
function waitFor(layers: readonly Layer[], next: Technique, clock: Clock): { minutes: number; reason: Message; after: number } | null {
  let most: { minutes: number; reason: Message; after: number } | null = null;
  for (const l of layers) {
    if (l.period !== clock.periods.length - 1 || l.ready <= clock.t) continue;
    const reason = whyWait(l.technique, next);
    if (reason && (!most || l.ready - clock.t > most.minutes)) most = { minutes: l.ready - clock.t, reason, after: l.step };
  }
  return most;
}

/** What is worth trying on scrap beforehand. */
const PRACTISED = new Set(['line', 'tone', 'wash', 'paint', 'fill', 'light', 'print']);

/** Puts drying time to use: practice for the coming step, then words, then waiting. */
function useWait(clock: Clock, minutes: number, coming: readonly Technique[], first: boolean): void {
  const next = coming.find((t) => PRACTISED.has(t.role)) ?? coming[0];
  const until = clock.t + minutes;
  const practise = Math.min(8, until - clock.t);
  if (practise >= 3) {
    const ways = { name: nameOf(next), easier: clock.says(next, 'easier'), bolder: clock.says(next, 'bolder') };
    const both = saysOf(next, 'easier', clock.named) && saysOf(next, 'bolder', clock.named);
    clock.add('meanwhile', practise, both ? 'practise' : 'practise-plain', ways);
  }
  const write = Math.min(8, until - clock.t);
  if (write >= 3) clock.add('meanwhile', write, first ? 'write' : 'walk');
  clock.add('wait', until - clock.t, 'wait');
}

/** Minutes of a turn before the break: a last minute or two is not worth setting out for again, so the break moves forward. */
function before(minutes: number, left: number, leastTurn: number): number {
  const now = Math.min(minutes, Math.max(0, left));
  return now < minutes && minutes - now < leastTurn && minutes >= 2 * leastTurn ? minutes - leastTurn : now;
}

/** So long the one group waits, at most, to be shown a step together with the other. */
const SHOWN_TOGETHER = 8;

/**
 * Waits until the teacher is free to show a step: while others are shown something else, and for a few minutes where the same step is about to
 * be shown to them. The time is for practice.
 */
function untilFree(clock: Clock, busy: readonly Busy[], step: TimedStep): void {
  const { technique } = step;
  for (;;) {
    const now = busy.filter((b) => b.period === clock.periods.length - 1);
    const together = now.find((b) => b.step === step.step && b.start >= clock.t && b.start - clock.t <= SHOWN_TOGETHER);
    if (together?.start === clock.t) return;
    const other = now.find((b) => b.step !== step.step && b.start < clock.t + technique.demonstration && b.end > clock.t);
    const again = now.find((b) => b.step === step.step && b.start < clock.t && b.end > clock.t);
    const until = together?.start ?? other?.end ?? again?.end;
    if (until === undefined) return;
    clock.add('meanwhile', Math.min(until - clock.t, clock.left), 'practise-plain', { name: nameOf(technique) });
    if (clock.left <= 0) return;
  }
}

export interface Bounds {
  /** Minutes of a period, from 0 on, and of the shortest of them. */
  lengthOf: (period: number) => number;
  shortest: number;
  frame: Frame;
  /** What the sentences can name. */
  named: Values;
  /** Fewest minutes for which anybody settles to work. */
  leastTurn?: number;
  /** When the teacher shows others something. */
  busy?: readonly Busy[];
  /** As many periods at least. */
  periods?: number;
}

/**
 * Lays timed steps into periods. Demonstrations come before each turn and may fall into drying time; a step is split over a break unless it
 * must be done in one go; where tools are few, groups do it one after another. As many periods are made as are needed. At least one step.
 */
export function schedule(
  steps: readonly TimedStep[],
  { lengthOf, shortest, frame, named, leastTurn = SHORTEST_PART, busy = [], periods = 1 }: Bounds,
): Schedule {
  const least = frame.look + frame.handOut + frame.warmUp + frame.clearUp + SHORTEST_PART;
  if (shortest < least) throw new CoreError('period', { length: shortest, least });
  const clock = new Clock(lengthOf, frame, named);
  const layers: Layer[] = [];
  const waits: Wait[] = [];
  steps.forEach((timed, k) => {
    const { technique, minutes, dry, option, rounds } = timed;
    const spare = k > 0 ? steps[k - 1].technique : technique;
    const demonstration = technique.demonstration;
    const oneGo = IN_ONE_GO.has(technique.role);
    let need = waitFor(layers, technique, clock);
    // What cannot be parted into two turns worth settling to is done in one.
    const usable = lengthOf(clock.periods.length) - frame.clearUp - frame.handOut;
    const whole = oneGo || minutes < 2 * leastTurn;
    const smallest = whole ? Math.min(minutes, usable - demonstration) : leastTurn;
    const room = () => Math.max(demonstration, need?.minutes ?? 0) + smallest <= clock.left || clock.periods.length >= MOST_PERIODS;
    const overBreak = () => {
      if (need) waits.push({ step: k, ...need, overBreak: true });
      clock.nextPeriod(spare);
      need = null;
    };
    if (!room()) overBreak();
    if (demonstration > 0 && busy.length) {
      untilFree(clock, busy, timed);
      need = waitFor(layers, technique, clock);
      if (!room()) {
        overBreak();
        untilFree(clock, busy, timed);
      }
    }
    const name = nameOf(technique);
    clock.add('watch', demonstration, 'watch', { name, watch: clock.says(technique, 'watch') }, { step: k });
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
    const turn = { name, does: clock.says(technique, 'does'), option: option ?? typed('') };
    const said = option === null ? 'turn' : 'turn-as';
    const who = technique.own && technique.own.who !== 'turn' ? { who: technique.own.who } : {};
    for (let n = 1; n <= rounds; n++) {
      if (n > 1 && smallest > clock.left && clock.periods.length < MOST_PERIODS) clock.nextPeriod(technique);
      const now = before(minutes, clock.left, leastTurn);
      let open = minutes - now;
      const of = { step: k, ...who, ...(rounds > 1 && { round: { n, of: rounds } }) };
      clock.add('turn', now, said, turn, { ...of, part: open > 0 ? 1 : null });
      while (open > 0 && clock.periods.length < MOST_PERIODS) {
        clock.nextPeriod(technique);
        const part = before(open, clock.left, leastTurn);
        clock.add('turn', part, said, turn, { ...of, part: 2 });
        open -= part;
      }
    }
    if (dry > 0 && !beside(technique)) layers.push({ technique, step: k, ready: clock.t + dry, period: clock.periods.length - 1 });
  });
  const last = steps[steps.length - 1].technique;
  if (clock.left < frame.talk) clock.nextPeriod(last);
  while (clock.periods.length < periods) clock.nextPeriod(last);
  clock.rest(last, frame.talk);
  clock.add('talk', frame.talk, 'talk');
  clock.add('clear-up', frame.clearUp, 'clear-up');
  return { periods: clock.periods, waits };
}
