/** What every table is declared with: ids, keys, instants, and the column types that MariaDB needs spelled out. */
import { asMessage, Message, message, typed } from '../../core/message';
import { customType, datetime, varchar } from 'drizzle-orm/mysql-core';

/** A row's own id. */
export const id = () => varchar('id', { length: 36 }).primaryKey();

/** The id of another row. */
export const key = (name: string) => varchar(name, { length: 36 });

/** A moment in UTC, to the millisecond. */
export const instant = (name: string) => datetime(name, { mode: 'date', fsp: 3 });

/** JSON kept as text: MariaDB's JSON is text with a check, and its driver hands it back as a string. */
export const jsonText = <T>(name: string) =>
  customType<{ data: T; driverData: string }>({
    dataType: () => 'longtext',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (value) => (typeof value === 'string' ? JSON.parse(value) : value) as T,
  })(name);

/** What stands in a text column as messages; text from before messages were kept stays as it is. */
function readSaid(text: string): Message[] {
  if (text === '') return [];
  if (text.startsWith('[{"key":')) {
    const list = (JSON.parse(text) as unknown[]).map((m) => asMessage(m));
    if (list.every((m) => m !== null)) return list;
  }
  return [message('shared.plain', { text: typed(text) })];
}

/** What was told a person, kept as keys and values so that it can be said in any language. */
export const said = customType<{ data: Message[]; driverData: string }>({
  dataType: () => 'text',
  // A log of edits from before messages were kept puts plain text back.
  toDriver: (messages) => (typeof messages === 'string' ? messages : messages.length ? JSON.stringify(messages) : ''),
  fromDriver: (text) => readSaid(String(text)),
});

export const longBlob = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'longblob' });
