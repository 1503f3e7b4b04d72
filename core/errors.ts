/** What the computation tells a person: an input that cannot be used, named with its remedy. Engine errors are never this. */
export class CoreError extends Error {
  override readonly name = 'CoreError';
}
