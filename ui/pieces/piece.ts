/** A piece as the benches show it. */
export interface Piece {
  id: string;
  studentId: string | null;
  student: string | null;
  kind: 'warm-up' | 'copy' | 'original';
  attempt: number;
  state: 'waiting' | 'ready' | 'no-sheet' | 'failed' | 'stopped';
  /** Measuring or comparing was stopped or given up. */
  held: { state: 'stopped' | 'failed'; told: string } | null;
  told: string;
  photoId: string;
  photoWidth: number;
  photoHeight: number;
  rectifiedId: string | null;
  corners: [number, number][] | null;
  paperWidthMm: number;
  paperHeightMm: number;
  version: number;
  closeness: number | null;
  ownInvention: number | null;
}

export const STATES: Record<Piece['state'], string> = {
  waiting: 'being measured',
  ready: 'measured',
  'no-sheet': 'no sheet found: place its corners',
  failed: 'could not be measured',
  stopped: 'measuring was stopped',
};
