/** Sheets that are printed, as plain data between threads. */
import type { PaperSheet } from '../../core/proportion/paper';

export interface SheetFile {
  sheets: readonly PaperSheet[];
  /** What the printer takes, mm. */
  page: readonly [number, number];
  /** Under every title: the study and the day. */
  about: string;
  author: string;
}
