/** A compared piece as it hangs on the wall. */
export interface Hung {
  id: string;
  name: string;
  kind: 'warm-up' | 'copy' | 'original';
  attempt: number;
  pictureId: string;
  closeness: number;
  ownInvention: number;
}
