'use client';
import { Trash2 } from 'lucide-react';
import { ReactNode, useState } from 'react';
import { typed } from '@/core/message';
import { countOf, habitOf, Seen, SEEN } from '@/core/style/inventory';
import { Rule, RuleList } from '../rules/RuleList';
import { TickSentence } from '../rules/TickRule';
import { Bench } from '../shared/Bench';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

interface Motif {
  id: string;
  name: string;
  seen: Record<string, Seen>;
  version: number;
}

interface Props {
  studyId: string;
  work: { id: string; title: string; pictureId: string; pictureWidth: number; pictureHeight: number; foil: boolean };
  /** The works that are counted: those of the hand, in the group of the one that is shown. */
  counted: readonly string[];
  motifs: readonly Motif[];
  rules: readonly Rule[];
  views: ReactNode;
  strip: ReactNode;
}

/** What a master always or never shows: motifs looked for work by work, counted over the works, made into rules. */
export function InventoryBench({ studyId, work, counted, motifs, rules, views, strip }: Props) {
  const say = useSay();
  const looking = useLooking();
  const { act, problem } = useChange(`motifs:${studyId}`);
  const [name, setName] = useState('');
  // What was ticked is shown before it is kept.
  const [ahead, setAhead] = useState<Readonly<Record<string, Seen | undefined>>>({});
  const path = `/api/studies/${studyId}/motifs`;
  return (
    <Bench
      tools={<ToolRow {...looking} />}
      strip={strip}
      picture={
        <PictureView
          pictureId={work.pictureId}
          width={work.pictureWidth}
          height={work.pictureHeight}
          alt={say.typed(work.title)}
          on={looking.on}
        />
      }
    >
      {views}
      <h2 className="mt-3 text-lg font-semibold">{say('inventory.title')}</h2>
      <p className="text-sm">{say('inventory.how')}</p>
      {!motifs.length && <p className="mt-2">{say('inventory.none')}</p>}
      <ul className="mt-2 grid gap-3">
        {motifs.map((m) => {
          const count = countOf(m, counted);
          const habit = habitOf(m, counted);
          return (
            <li key={m.id} className="border-t border-base-300 pt-2">
              <div className="flex items-center justify-between gap-2">
                <span className="font-semibold">{say.typed(m.name)}</span>
                <button
                  type="button"
                  className="p-1"
                  aria-label={say('inventory.remove', { name: typed(m.name) })}
                  onClick={() => void act(() => send('DELETE', `${path}/${m.id}`))}
                >
                  <Trash2 aria-hidden className="size-4" />
                </button>
              </div>
              <fieldset className="flex flex-wrap gap-x-3 text-sm">
                <legend className="sr-only">{say('inventory.here', { name: typed(m.name), work: typed(work.title) })}</legend>
                {SEEN.map((s) => (
                  <label key={s} className="inline-flex items-center gap-1">
                    <input
                      type="radio"
                      className="radio radio-xs"
                      name={`motif-${m.id}`}
                      checked={(ahead[m.id] ?? m.seen[work.id]) === s}
                      onChange={() => {
                        setAhead((was) => ({ ...was, [m.id]: s }));
                        void act(() => send('PATCH', `${path}/${m.id}`, { version: m.version, seen: { ...m.seen, [work.id]: s } })).then(
                          () => setAhead((was) => ({ ...was, [m.id]: undefined })),
                        );
                      }}
                    />
                    {say(`inventory.seen.${s}`)}
                  </label>
                ))}
              </fieldset>
              <p className="text-sm">{say('inventory.count', { of: count.of, ...count.by, open: count.open })}</p>
              {habit && (
                <p className="mt-1 flex gap-2 text-sm">
                  <TickSentence studyId={studyId} said={habit.said} evidence={habit.evidence} kind={habit.kind} rules={rules} />
                  <span>{say(habit.said)}</span>
                </p>
              )}
            </li>
          );
        })}
      </ul>
      <form
        className="mt-3 flex gap-2"
        onSubmit={async (e) => {
          e.preventDefault();
          if (await act(() => send('POST', path, { name }))) setName('');
        }}
      >
        <input
          className="input flex-1"
          aria-label={say('inventory.new')}
          placeholder={say('inventory.example')}
          required
          maxLength={80}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <button className="btn">{say('shared.add')}</button>
      </form>
      <Notice said={problem} />
      <RuleList studyId={studyId} rules={rules} />
    </Bench>
  );
}
