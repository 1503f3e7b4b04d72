'use client';
import { useMemo } from 'react';
import { amount, message, typed } from '@/core/message';
import { ruleSentence } from '@/core/style/words';
import { placeOnSheet } from '@/core/proportion/transfer';
import type { TemplateName } from '@/core/proportion/templates';
import { Paper, Sheet, SHEET_MARGIN, Squares } from '../shared/paper/Paper';
import { wholePicture } from '../shared/reading/client';
import type { MasterWork, Reference, Rule } from './reference';
import { ShownCanvas } from './ShownCanvas';
import { useGhost, useManner } from './useGhost';
import { useSay } from '../words/Words';

interface Props {
  study: string;
  date: string;
  reference: Reference;
  template: TemplateName;
  works: MasterWork[];
  rules: Rule[];
  paper: readonly [number, number];
}

const PRINT_SIDE = 1800;
const COLUMNS = 8;

/** The ghost on the class's paper at true scale: pale, to draw over or beside; and what lies beside it: the reference, works by the master, and the rules. */
export function GhostSheet({ study, date, reference, template, works, rules, paper }: Props) {
  const say = useSay();
  const from = useMemo(() => reference.sets.find((s) => s.template === template)?.points ?? {}, [reference.sets, template]);
  const { bent } = useManner(template, works, from);
  const { ghost, points } = useGhost(reference, template, from, bent?.points ?? null, reference.strength, reference.parts, PRINT_SIDE);
  const [w, h] = [reference.pictureWidth, reference.pictureHeight];
  const placing = placeOnSheet([w, h], paper, 'fit', SHEET_MARGIN);
  const title = say('make.sheet.name', { title: typed(reference.title), share: amount(reference.strength, 'share') });
  const about = say('make.sheet.head', {
    study: typed(study),
    credited: reference.credit ? 'yes' : 'no',
    credit: typed(reference.credit),
    date: typed(say.day(date)),
    side: amount(placing.width / COLUMNS, 'mm'),
  });
  const mm = (p: readonly [number, number]): [number, number] => [
    placing.left + (p[0] / w) * placing.width,
    placing.top + (p[1] / h) * placing.height,
  ];
  return (
    <Paper size={paper}>
      {!bent && <p role="status">{say(Object.keys(from).length ? 'make.noMaster' : 'make.noPoints')}</p>}
      <Sheet size={paper} title={title} about={about} pictureId={reference.pictureId}>
        <ShownCanvas
          picture={ghost}
          label={title}
          className="absolute"
          style={{
            left: `${placing.left}mm`,
            top: `${placing.top}mm`,
            width: `${placing.width}mm`,
            height: `${placing.height}mm`,
            filter: 'grayscale(1)',
            opacity: 0.42,
          }}
        />
        <svg viewBox={`0 0 ${paper[0]} ${paper[1]}`} className="absolute inset-0 h-full w-full" aria-hidden>
          <Squares {...placing} columns={COLUMNS} />
          {Object.entries(points).map(([name, p]) => {
            const [x, y] = mm(p);
            return <path key={name} d={`M${x - 1.5} ${y}h3M${x} ${y - 1.5}v3`} stroke="#000" strokeWidth="0.3" />;
          })}
        </svg>
      </Sheet>
      <Sheet size={paper} title={say('make.sheet.beside')} about={about} pictureId={reference.pictureId} last>
        <div
          className="absolute grid content-start gap-[6mm]"
          style={{ left: `${SHEET_MARGIN}mm`, right: `${SHEET_MARGIN}mm`, top: `${SHEET_MARGIN + 4}mm`, bottom: `${SHEET_MARGIN}mm` }}
        >
          <div className="flex items-end gap-[5mm]">
            {[{ id: reference.id, title: reference.title, pictureId: reference.pictureId }, ...works.slice(0, 2)].map((shown) => (
              <figure key={shown.id} className="min-w-0 flex-1">
                <img src={wholePicture(shown.pictureId)} alt="" className="mx-auto w-auto" style={{ maxHeight: `${paper[1] * 0.38}mm` }} />
                <figcaption className="mt-[1mm] truncate text-center" style={{ fontSize: '3.2mm' }}>
                  {say.typed(shown.title)}
                </figcaption>
              </figure>
            ))}
          </div>
          {rules.length > 0 && (
            <section style={{ fontSize: '4mm' }}>
              <h2 className="font-semibold" style={{ fontSize: '5mm' }}>
                {say('make.checklist')}
              </h2>
              <ul className="grid gap-[2mm]">
                {rules.map((r) => (
                  <li key={r.id}>
                    {say('make.sheet.rule', { rule: message('rules.sentence', { kind: r.kind, sentence: ruleSentence(r) }) })}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </Sheet>
    </Paper>
  );
}
