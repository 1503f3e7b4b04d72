/** What every table is declared with: ids, keys, instants, and the column types that MariaDB needs spelled out. */
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

export const longBlob = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'longblob' });
