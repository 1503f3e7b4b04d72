/** Column types that MariaDB needs spelled out. */
import { customType } from 'drizzle-orm/mysql-core';

/** JSON kept as text: MariaDB's JSON is text with a check, and its driver hands it back as a string. */
export const jsonText = <T>(name: string) =>
  customType<{ data: T; driverData: string }>({
    dataType: () => 'longtext',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (value) => (typeof value === 'string' ? JSON.parse(value) : value) as T,
  })(name);

export const longBlob = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'longblob' });
