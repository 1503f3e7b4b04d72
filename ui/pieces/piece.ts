/** A piece as the benches show it. */
import { Message, message, typed } from '@/core/message';

export interface Piece {
  id: string;
  studentId: string | null;
  student: string | null;
  kind: 'warm-up' | 'copy' | 'original';
  attempt: number;
  state: 'waiting' | 'ready' | 'no-sheet' | 'failed' | 'stopped';
  /** Measuring or comparing was stopped or given up. */
  halted: { state: 'stopped' | 'failed'; messages: Message[] } | null;
  messages: Message[];
  photoId: string;
  photoWidth: number;
  photoHeight: number;
  rectifiedId: string | null;
  /** Size of the squared-up picture, px. */
  uprightWidth: number | null;
  uprightHeight: number | null;
  /** Landmarks placed on it, by template. */
  sets: { template: string; points: Record<string, [number, number]> }[];
  corners: [number, number][] | null;
  paperWidthMm: number;
  paperHeightMm: number;
  /** A photograph of a sheet, a file that came whole, or the photograph of an object. */
  capture: 'photograph' | 'whole' | 'object';
  /** False where it has no size in the world. */
  sized: boolean;
  /** The group of works it is held against; null for all. */
  groupId: string | null;
  version: number;
  closeness: number | null;
  ownInvention: number | null;
}

/** What is messages of a piece beside its state, one thing after another. */
const several = (messages: readonly Message[]): Message =>
  messages.length === 1 ? messages[0] : message('shared.both', { first: messages[0], second: several(messages.slice(1)) });

/** A piece's state with what was messages of it. */
export const pieceState = ({ state }: Pick<Piece, 'state'>, messages: readonly Message[]): Message =>
  messages.length
    ? message('pieces.state', { state: message(`pieces.states.${state}`), told: several(messages) })
    : message('pieces.stateAlone', { state: message(`pieces.states.${state}`) });

/** No sheet was found, or only what may be a field inside the picture: perhaps the picture fills the photograph. */
export const perhapsWhole = ({ capture, state, messages }: Pick<Piece, 'capture' | 'state' | 'messages'>): boolean =>
  capture === 'photograph' && (state === 'no-sheet' || messages.some((m) => m.key === 'capture.perhaps-inside'));

export const kindOfPiece = (kind: Piece['kind']): Message => message(`pieces.kinds.${kind}`);

/** Whose piece it is, a name or whoever studies alone. */
const whose = ({ student }: Pick<Piece, 'student'>) => (student === null ? message('app.you') : typed(student));

/** "Abel R, original 2" */
export const pieceName = (p: Pick<Piece, 'student' | 'kind' | 'attempt'>): Message =>
  message('pieces.of', { who: whose(p), kind: kindOfPiece(p.kind), n: p.attempt });

/** "Abel R, original, attempt 2" */
export const pieceTitle = (p: Pick<Piece, 'student' | 'kind' | 'attempt'>): Message =>
  message('pieces.ofAttempt', { who: whose(p), kind: kindOfPiece(p.kind), n: p.attempt });
