/** A compared piece as it hangs on the wall. */
export interface Hung {
  id: string;
  /** Null where one person studies alone. */
  name: string | null;
  kind: 'warm-up' | 'copy' | 'original';
  attempt: number;
  pictureId: string;
  closeness: number;
  ownInvention: number;
}
