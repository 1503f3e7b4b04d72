'use client';
import { amount, Message, message, typed } from '@/core/message';
import { changesFrom } from '@/core/proportion/changes';
import { measureName } from '@/core/proportion/measures';
import type { TemplateName } from '@/core/proportion/templates';
import { proportionFeature } from '@/core/style/proportionNames';
import { measureWithUnit } from '@/core/style/words';
import { Place } from '../shared/layers/Layers';
import { useSay } from '../words/Words';
import type { Points } from './LandmarkLayer';

interface Props {
  template: TemplateName;
  /** The work's points, and those of each of its models; null where none are placed. */
  work: Points | null;
  models: readonly { id: string; title: string; points: Points | null }[];
}

/** Changes told at most: the rest is within what placing points can tell. */
const MOST_TOLD = 8;

/** What the master changed against what stood model: most first. */
export function Changed({ template, work, models }: Props) {
  const say = useSay();
  return models.map(({ id, title, points }) => {
    const both = [work, points].every((p) => p !== null && Object.keys(p).length > 0);
    const changes = both ? changesFrom(template, points!, work!) : [];
    return (
      <section key={id} className="mt-3">
        <h2 className="text-lg font-semibold">{say('proportion.model.changed', { title: typed(title) })}</h2>
        {changes.length === 0 ? (
          <p className="text-sm">{say(both ? 'proportion.model.same' : 'proportion.model.needs')}</p>
        ) : (
          <ul className="list-disc ps-5 text-sm">
            {changes.slice(0, MOST_TOLD).map((c) => (
              <Place as="li" key={c.measure} of={proportionFeature(template, c.measure)}>
                {say(
                  told(c.times, {
                    measure: measureName(template, c.measure),
                    from: measureWithUnit({ template, name: c.measure, unit: c.unit, value: c.from }),
                    to: measureWithUnit({ template, name: c.measure, unit: c.unit, value: c.to }),
                  }),
                )}
              </Place>
            ))}
          </ul>
        )}
      </section>
    );
  });
}

const told = (times: number | null, values: Record<'measure' | 'from' | 'to', Message | ReturnType<typeof amount>>): Message =>
  times === null
    ? message('proportion.model.turned', values)
    : message('proportion.model.times', { ...values, times: amount(times, 'times') });
