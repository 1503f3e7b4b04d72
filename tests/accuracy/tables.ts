/** Knows how the accuracy notes are set: tables, percentages, sets of seeds. */
export const percent = (v: number, places = 1): string => (Number.isFinite(v) ? `${(100 * v).toFixed(places)} %` : '–');

export const number = (v: number, places = 2): string => (Number.isFinite(v) ? v.toFixed(places) : '–');

export function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  return [head, head.map(() => '---'), ...rows].map((r) => `| ${r.join(' | ')} |`).join('\n');
}

export interface SeedSet {
  name: string;
  seeds: readonly number[];
}

/** Seeds that were looked at while a reading was being set, and seeds that were not. */
export function seedSets(many: number, train = 1, test = 5001): SeedSet[] {
  const from = (first: number) => Array.from({ length: many }, (_, i) => first + i);
  return [
    { name: 'Train seeds', seeds: from(train) },
    { name: 'Test seeds', seeds: from(test) },
  ];
}
