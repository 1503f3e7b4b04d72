'use client';
import { message, typed } from '@/core/message';
import type { HandRange } from '@/core/style/hand';
import type { Telling } from '@/core/style/readings';
import { sayRange, valueWithUnit } from '@/core/style/words';
import { Rule } from './RuleList';
import { TickRule } from './TickRule';

/** The ranges of the hand that a rule is made of, over all works or those of one group. */
export interface RuledBy {
  ranges: HandRange[];
  group: string | null;
}

interface Props {
  studyId: string;
  told: Telling;
  /** The work it is read on; a foil's reading is no rule of the hand's. */
  work: { title: string; foil: boolean };
  ruledBy: RuledBy;
  rules: readonly Rule[];
}

/** A reading of one work that can be ticked into the rules: as the hand's range where several works of it have been read. */
export function TickReading({ studyId, told, work, ruledBy, rules }: Props) {
  if (work.foil) return null;
  const range = ruledBy.ranges.find((r) => r.feature === told.feature);
  const figures = range && valueWithUnit(range.feature, range.mid, range.unit) ? sayRange(range) : null;
  return (
    <TickRule
      studyId={studyId}
      feature={told.feature}
      said={figures ?? told.said}
      evidence={range && figures ? evidenceOf(range, ruledBy.group) : message('readings.evidence.one', { title: typed(work.title) })}
      ticked={rules.find((r) => r.feature === told.feature)}
    />
  );
}

/** Where a range comes from: how many works, and of which group. */
export const evidenceOf = ({ works }: Pick<HandRange, 'works'>, group: string | null) =>
  message('readings.evidence.range', { n: works, group: group === null ? 'none' : typed(group) });
