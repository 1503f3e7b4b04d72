/** Input that cannot be used: one clear line, exit 2. */
export class Unusable extends Error {}
