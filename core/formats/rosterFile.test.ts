import { parse } from 'csv-parse/sync';
import { toldBy } from '../../tests/support/english';
import { nameIn, readRosterTable, rosterAsCsv, rosterFrom, shownName, toldApart } from './rosterFile';

const taken = (text: string) => {
  const table = readRosterTable(text);
  return rosterFrom(table, table.guess);
};
test.each([
  ['Abel R', 'Abel', 'R'],
  ['Abel R.', 'Abel', 'R'],
  ['Abel Reed', 'Abel', 'R'],
  ['Reed, Abel', 'Abel', 'R'],
  ['Anna Lena Şahin', 'Anna Lena', 'Ş'],
  ['Jo', 'Jo', ''],
])('“%s” is %s and %s', (text, firstName, initial) => expect(nameIn(text)).toEqual({ firstName, initial }));

test('one name a line, with or without commas in it', () => {
  expect(taken('Abel R\n\n  Bruna K.\nLund, Cato\n').map(shownName)).toEqual(['Abel R', 'Bruna K', 'Cato L']);
});

test('of a school’s table only first name and initial are taken, and what is offered beside', () => {
  const text = 'Surname;Forename;Date of birth;Seat;Left-handed\nReed;Abel;2011-02-03;A1;yes\nKant;Bruna;2011-05-06;A2;\n';
  const table = readRosterTable(text);
  expect(table.guess).toEqual(['lastName', 'firstName', null, 'seat', 'leftHanded']);
  const students = rosterFrom(table, table.guess);
  expect(students).toEqual([
    { firstName: 'Abel', initial: 'R', seat: 'A1', leftHanded: true },
    { firstName: 'Bruna', initial: 'K', seat: 'A2' },
  ]);
  expect(JSON.stringify(students)).not.toMatch(/Reed|2011/);
});

test('a table without heads, with tabs or commas', () => {
  expect(taken('Abel\tReed\tx\nBruna\tKant\ty\n')).toEqual([
    { firstName: 'Abel', initial: 'R' },
    { firstName: 'Bruna', initial: 'K' },
  ]);
  expect(taken('first name,initial\r\nAbel,r\r\n')).toEqual([{ firstName: 'Abel', initial: 'R' }]);
});

test('equal names are told apart, those there already counted', () => {
  const [a, b, c] = toldApart(
    [
      { firstName: 'Mia', initial: 'K' },
      { firstName: 'mia', initial: 'k' },
      { firstName: 'Mía', initial: 'L' },
    ],
    [{ firstName: 'Mia', initial: 'K', nth: 1 }],
  );
  expect([a, b, c].map((s) => s.nth)).toEqual([2, 3, 1]);
  expect(shownName(a)).toBe('Mia K 2');
  expect(shownName(c)).toBe('Mía L');
});

test('what is written is read again', () => {
  const list = [
    { firstName: 'Abel', initial: 'R', nth: 1, seat: 'A1', table: '2', leftHanded: true, needs: 'large print, "big" pens' },
    { firstName: '=Bruna', initial: '', nth: 1, seat: '', table: '', leftHanded: false, needs: '' },
  ];
  const csv = rosterAsCsv(list);
  expect(csv).not.toMatch(/^=/m);
  expect(taken(csv)[0]).toEqual({
    firstName: 'Abel',
    initial: 'R',
    seat: 'A1',
    table: '2',
    leftHanded: true,
    needs: 'large print, "big" pens',
  });
});

test('an empty list, four hundred lines, no column of names, a line without one', () => {
  expect(toldBy(() => readRosterTable(' \n'))).toMatch(/empty|no line/i);
  expect(toldBy(() => readRosterTable(Array.from({ length: 400 }, (_, i) => `A${i}`).join('\n')))).toMatch(/400.*200/);
  expect(toldBy(() => rosterFrom(readRosterTable('Seat;Table\n1;2\n'), ['seat', 'table']))).toMatch(/first name/i);
  expect(toldBy(() => taken('first name;seat\nAbel;1\n;2\n'))).toMatch(/2/);
});

test('another reader of such tables finds the same list in it', () => {
  const told = { initial: 'B', seat: '3, left', table: 'window "A"', leftHanded: true, needs: 'large print;\nfront row', nth: 1 };
  // csv-parse reads after RFC 4180, by code of its own.
  const rows = parse(rosterAsCsv([{ ...told, firstName: 'Zoë' }]), { columns: true }) as Record<string, string>[];
  expect(rows).toEqual([
    { 'first-name': 'Zoë', initial: 'B', seat: '3, left', table: 'window "A"', 'left-handed': 'yes', needs: 'large print;\nfront row' },
  ]);
});
