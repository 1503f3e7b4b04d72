import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { realExamples, pictureTiles } from './fit/material';
const out = (await realExamples('/work/shared/pictures')).filter((e) => e.reversed);
writeFileSync('/tmp/rev.json', JSON.stringify(out));
writeFileSync('/tmp/places.json', JSON.stringify(await pictureTiles('/work/shared/pictures')));
console.log(out.length, createHash('sha256').update(readFileSync('/tmp/rev.json')).digest('hex').slice(0, 6));
