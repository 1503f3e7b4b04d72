'use client';
import { typed } from '@/core/message';
import { useSay } from '../words/Words';

export interface ClassChoice {
  id: string;
  name: string;
  /** How many are on its list. */
  count: number;
}

/** Classes to be chosen from, with how many are in each. */
export function ClassOptions({ classes }: { classes: readonly ClassChoice[] }) {
  const say = useSay();
  return classes.map((c) => (
    <option key={c.id} value={c.id}>
      {say('newStudy.classOf', { name: typed(c.name), n: c.count })}
    </option>
  ));
}
