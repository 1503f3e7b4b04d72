'use client';
import { FileUp } from 'lucide-react';
import { useMemo, useState } from 'react';
import { CoreError } from '@/core/errors';
import { readRosterTable, ROSTER_COLUMNS, RosterColumn, RosterEntry, rosterFrom, RosterTable, shownName } from '@/core/formats/rosterFile';
import { Message, message, several, typed } from '@/core/message';
import { Field } from '../shared/Field';
import { FileButton } from '../shared/FileButton';
import { useSay } from '../words/Words';

/** More than any class list. */
const MOST_BYTES = 400_000;
/** Names shown of those that would be taken. */
const SHOWN = 6;

interface Read {
  table: RosterTable | null;
  entries: RosterEntry[];
  problem: Message | null;
}

function readAll(text: string, chosen: readonly (RosterColumn | null)[] | null): Read {
  if (!text.trim()) return { table: null, entries: [], problem: null };
  let table: RosterTable | null = null;
  try {
    table = readRosterTable(text);
    return { table, entries: rosterFrom(table, chosen ?? table.guess), problem: null };
  } catch (error) {
    return { table, entries: [], problem: error instanceof CoreError ? error.said : message('errors.wrong') };
  }
}

/** A class list in the making: pasted text, and where it is a table the way its columns are taken. */
export function useRoster() {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<(RosterColumn | null)[] | null>(null);
  const read = useMemo(() => readAll(text, chosen), [text, chosen]);
  const change = (next: string) => {
    setText(next);
    setChosen(null);
  };
  return { ...read, text, chosen: chosen ?? read.table?.guess ?? [], change, choose: setChosen };
}

interface Props {
  roster: ReturnType<typeof useRoster>;
  /** What the server refused of it. */
  refused: Message | null;
}

export function RosterField({ roster: { text, table, entries, problem, chosen, change, choose }, refused }: Props) {
  const say = useSay();
  return (
    <div className="grid gap-2">
      <Field label={say('classes.roster')} problem={problem ?? refused}>
        <textarea
          className="textarea w-full"
          rows={7}
          placeholder={say('classes.rosterExample')}
          value={text}
          onChange={(e) => change(e.target.value)}
        />
      </Field>
      <FileButton
        small
        icon={FileUp}
        label={say('classes.list.file')}
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        onFile={(file) => void file.slice(0, MOST_BYTES).text().then(change)}
      />
      {table && table.heads.length > 1 && (
        <fieldset className="grid gap-2 border border-base-300 p-2">
          <legend className="text-sm">{say('classes.list.taken')}</legend>
          {table.heads.map((head, i) => (
            <label key={i} className="grid grid-cols-2 items-center gap-2">
              <span className="truncate" title={table.rows[0]?.[i]}>
                {head ? say('classes.list.columnNamed', { head: typed(head) }) : say('classes.list.column', { n: i + 1 })}
              </span>
              <select
                className="select select-sm w-full"
                value={chosen[i] ?? ''}
                onChange={(e) =>
                  choose(
                    chosen.map((c, k) => (k === i ? ((e.target.value || null) as RosterColumn | null) : c === e.target.value ? null : c)),
                  )
                }
              >
                <option value="">{say('classes.list.as.none')}</option>
                {ROSTER_COLUMNS.map((c) => (
                  <option key={c} value={c}>
                    {say(`classes.list.as.${c}`)}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </fieldset>
      )}
      {table && !problem && (
        <p className="text-sm">
          {say('classes.list.preview', { n: entries.length, names: several(entries.slice(0, SHOWN).map((e) => typed(shownName(e)))) })}
        </p>
      )}
      <p className="text-sm">{say('classes.minors')}</p>
    </div>
  );
}
