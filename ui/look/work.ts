import type { Layered } from '../shared/layers/LayerCanvas';
import type { Message } from '@/core/message';
import type { ReadPlace } from './PlaceFrame';

/** A work as the Look bench shows it. */
export interface LookWork {
  id: string;
  studyId: string;
  title: string;
  dated: string;
  widthMm: number | null;
  heightMm: number | null;
  group: string | null;
  foil: boolean;
  impressions: string;
  credit: string;
  version: number;
  frame: ReadPlace['frame'];
  leftOut: ReadPlace['leftOut'];
  leftOutAs: ReadPlace['leftOutAs'];
  /** The work it is a part of, and where it lies there, in shares of its width and height. */
  partOf: string | null;
  partAt: [x: number, y: number, w: number, h: number] | null;
  /** What stood model for it. */
  models: { id: string; title: string; credit: string; pictureId: string }[];
  pictureId: string;
  pictureWidth: number;
  pictureHeight: number;
  layered: Layered;
  halted: { state: 'stopped' | 'failed'; messages: Message[] } | null;
  facts: { id: string; text: string; source: string | null }[];
}
