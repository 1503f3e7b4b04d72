/** Knows from which address this installation is used, and that a change may only come from its own pages. */
import { sentence, UserError } from './errors';

const LOOPBACK = ['127.0.0.1', 'localhost'];

export const configuredOrigin = (): string => new URL(process.env.OLDHAND_ORIGIN ?? 'http://127.0.0.1:4170').origin;

/** The address people type; on loopback its number and its name both count. */
export function ownOrigins(): string[] {
  const origin = configuredOrigin();
  const { hostname } = new URL(origin);
  return LOOPBACK.includes(hostname) ? LOOPBACK.map((name) => origin.replace(hostname, name)) : [origin];
}

/** Refuses a change that another page sent. The Host header is not asked: a proxy may set it as it likes. */
export function checkOrigin(request: Request): void {
  if (request.method === 'GET' || request.method === 'HEAD') return;
  const origin = request.headers.get('origin');
  if (origin === null || !ownOrigins().includes(origin)) throw new UserError(403, sentence('otherPage'));
}

/**
 * The address a request came from, where the school's own proxy says it: the last entry, which that proxy itself added.
 * Without a configured proxy anybody could write it, so it is not known.
 */
export function addressOf(headers: Headers): string | null {
  const name = process.env.OLDHAND_PROXY_HEADER?.trim();
  if (!name) return null;
  return headers.get(name)?.split(',').at(-1)?.trim().slice(0, 64) || null;
}
