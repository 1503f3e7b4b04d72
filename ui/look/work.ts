import type { Layered } from '../shared/layers/LayerCanvas';
import type { Message } from '@/core/message';
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
  pictureId: string;
  pictureWidth: number;
  pictureHeight: number;
  layered: Layered;
  halted: { state: 'stopped' | 'failed'; messages: Message[] } | null;
  facts: { id: string; text: string; source: string | null }[];
}
