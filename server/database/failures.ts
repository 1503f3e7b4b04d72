/** Knows what the errors of a database mean: given up for another's sake, out of reach, or out of room. */

const DEADLOCK = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']);
const LOST = new Set([
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'EHOSTUNREACH',
  'ENETUNREACH',
  'ER_SERVER_SHUTDOWN',
  'ER_CONNECTION_KILLED',
  // A cluster's node that has lost the others answers this to everything.
  'ER_UNKNOWN_COM_ERROR',
  'POOL_NOEXIST',
  'POOL_NONEONLINE',
]);
const FULL = new Set(['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ER_ERROR_ON_WRITE', 'ENOSPC', 'EDQUOT']);

interface Failure {
  code?: unknown;
  message?: unknown;
  cause?: unknown;
}

/** The error and whatever it was wrapped around. */
function* chain(error: unknown): Generator<Failure> {
  for (let e = error as Failure | undefined; e && typeof e === 'object'; e = e.cause as typeof e) yield e;
}

const has = (error: unknown, codes: Set<string>): boolean => [...chain(error)].some((e) => typeof e.code === 'string' && codes.has(e.code));

export const isDuplicate = (error: unknown): boolean => has(error, new Set(['ER_DUP_ENTRY']));
/** Does `work`; where the database refuses a second row of the same key, what `taken` makes of it is thrown instead. */
export async function unlessTaken<T>(work: () => Promise<T>, taken: (error: unknown) => Error): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw isDuplicate(error) ? taken(error) : error;
  }
}

/** A row that another row must stand on is not there. */
export const isOrphan = (error: unknown): boolean => has(error, new Set(['ER_NO_REFERENCED_ROW', 'ER_NO_REFERENCED_ROW_2']));
export const isDeadlock = (error: unknown): boolean => has(error, DEADLOCK);
/** The database is out of reach, or went away in the middle. */
export const isLost = (error: unknown): boolean =>
  has(error, LOST) || [...chain(error)].some((e) => /in closed state|Pool is closed|Connection lost/.test(String(e.message)));
/** A cluster's node that has lost the others: it takes connections and answers nothing. */
export const isSevered = (error: unknown): boolean => has(error, new Set(['ER_UNKNOWN_COM_ERROR']));
export const isFull = (error: unknown): boolean =>
  has(error, FULL) || [...chain(error)].some((e) => /No space left on device|Errcode: 28/.test(String(e.message)));
