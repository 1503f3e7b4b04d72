'use client';
import { SERIES, Series } from '@/core/lesson/sheets';
import { useSay } from '../words/Words';

/** The named sheets, series by series, to be chosen from. */
export function SheetOptions() {
  const say = useSay();
  return (Object.keys(SERIES) as Series[]).map((series) => (
    <optgroup key={series} label={say(`sheets.series.${series}`)}>
      {Object.keys(SERIES[series]).map((name) => (
        <option key={name} value={name}>
          {say.typed(name)}
        </option>
      ))}
    </optgroup>
  ));
}
