'use client';
import { useEffect, useSyncExternalStore } from 'react';
import { together } from '@/core/marks/among';
import type { MarksWhere } from '@/core/marks/where';
import type { Places } from '@/core/style/places';
import type { ReadAs } from '@/core/style/prepare';
import { readingWorker, wholePicture } from '../reading/client';
import { lately } from '../reading/lately';

/** A picture whose places can be told. */
export interface Subject {
  pictureId: string;
  as: Pick<ReadAs, 'widthMm' | 'frame' | 'leftOut'>;
}

/** What is known so far of where things lie in a picture. */
export interface Where {
  places: Places | null;
  marks: readonly MarksWhere[];
  failed: boolean;
}

const NOTHING: Where = { places: null, marks: [], failed: false };

/** One picture's places, read by the worker while somebody wants them: first all but the marks, then window by window. */
class Reader {
  where = NOTHING;
  private wanted = { places: 0, marks: 0 };
  private reading = false;
  private readonly told = new Set<() => void>();
  constructor(private readonly subject: Subject) {}

  subscribe = (tell: () => void) => {
    this.told.add(tell);
    return () => this.told.delete(tell);
  };

  want(what: 'places' | 'marks'): () => void {
    this.wanted[what]++;
    void this.read();
    return () => void this.wanted[what]--;
  }

  private set(next: Partial<Where>) {
    this.where = { ...this.where, ...next };
    this.told.forEach((tell) => tell());
  }

  /** One thing after another, so that what else is asked of the worker meanwhile, such as the reading window, has its turn between two. */
  private async read() {
    if (this.reading) return;
    this.reading = true;
    const [worker, url, { as }] = [readingWorker(), wholePicture(this.subject.pictureId), this.subject];
    try {
      if (!this.where.places) this.set({ places: await worker.places(url, as), failed: false });
      const { windows } = this.where.places!;
      while (this.wanted.marks > 0 && this.where.marks.length < windows)
        this.set({ marks: together([...this.where.marks, await worker.marks(url, as, this.where.marks.length)]) });
    } catch {
      this.set({ failed: true });
    } finally {
      this.reading = false;
    }
  }
}

const readerOf = lately(
  6,
  ({ pictureId, as }: Subject) => JSON.stringify([pictureId, as]),
  (subject) => new Reader(subject),
);

const never = () => () => undefined;

/** Where things lie in a picture, as far as it has been read; it is read while `wanted`, and then kept. */
export function useWhere(subject: Subject | null, wanted: { places: boolean; marks: boolean }): Where {
  const reader = subject && readerOf(subject);
  const { places, marks } = wanted;
  useEffect(() => {
    if (!reader || (!places && !marks)) return;
    // What is only passed over is not read.
    let letGo: (() => void) | null = null;
    const timer = setTimeout(() => (letGo = reader.want(marks ? 'marks' : 'places')), 120);
    return () => {
      clearTimeout(timer);
      letGo?.();
    };
  }, [reader, places, marks]);
  const now = () => reader?.where ?? NOTHING;
  return useSyncExternalStore(reader?.subscribe ?? never, now, () => NOTHING);
}
