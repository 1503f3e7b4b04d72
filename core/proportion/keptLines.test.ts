import { english } from '../../tests/support/english';
import { CoreError } from '../errors';
import { carryLines, checkedLines } from './keptLines';

const SIZE = [400, 300] as const;
const yard = {
  id: 'a',
  name: ' yard ',
  ends: [
    [10, 20],
    [200, 90],
  ],
} as const;

describe('kept lines', () => {
  test('are taken as they were given, without room round their names', () => {
    expect(checkedLines([yard], SIZE)).toEqual([{ ...yard, name: 'yard' }]);
  });

  test.each([
    ['no list', 'yard', /At most 40/],
    ['no name', [{ ...yard, name: ' ' }], /Line 1 needs a name/],
    ['one id twice', [yard, yard], /“yard” cannot be told/],
    ['one end', [{ ...yard, ends: [[1, 2]] }], /two ends/],
    [
      'an end that is no number',
      [
        {
          ...yard,
          ends: [
            [1, 2],
            [NaN, 3],
          ],
        },
      ],
      /two ends/,
    ],
    [
      'an end outside',
      [
        {
          ...yard,
          ends: [
            [1, 2],
            [500, 3],
          ],
        },
      ],
      /runs out of the picture/,
    ],
    [
      'no length',
      [
        {
          ...yard,
          ends: [
            [1, 2],
            [1.5, 2],
          ],
        },
      ],
      /too short/,
    ],
  ])('are refused with %s, told by name', (_, value, said) => {
    let told = '';
    try {
      checkedLines(value, SIZE);
    } catch (e) {
      told = e instanceof CoreError ? english(e.said) : '';
    }
    expect(told).toMatch(said);
  });

  test('go along to a picture made from theirs; one that is cut off goes', () => {
    const half = ([x, y]: readonly [number, number]): [number, number] | null => (x > 150 ? null : [x / 2, y / 2]);
    const kept = checkedLines(
      [
        yard,
        {
          ...yard,
          id: 'b',
          ends: [
            [10, 20],
            [100, 90],
          ],
        },
      ],
      SIZE,
    );
    expect(carryLines(kept, ([x, y]) => half([x, y]))).toEqual([
      {
        id: 'b',
        name: 'yard',
        ends: [
          [5, 10],
          [50, 45],
        ],
      },
    ]);
  });
});
