'use client';
import { Archive, ArchiveRestore, Copy } from 'lucide-react';
import { useState } from 'react';
import { LESSON_MEDIA, mediumName, isLessonMedium } from '@/core/lesson/media';
import type { Size } from '@/core/lesson/sheets';
import { Message, typed } from '@/core/message';
import { ClassChoice, ClassOptions } from '../classes/ClassOptions';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useVersioned } from '../shared/server/useVersioned';
import { TypedArea, TypedInput } from '../shared/typing/Typed';
import { CutSheets } from './CutSheets';
import { SheetField } from './SheetField';
import { useSay } from '../words/Words';

interface AboutView {
  id: string;
  title: string;
  master: string;
  kind: 'master' | 'period';
  aim: 'replica' | 'study' | 'remembered';
  medium: string;
  otherMedia: string[];
  about: string;
  classId: string | null;
  otherClasses: string[];
  paperWidthMm: number;
  paperHeightMm: number;
  archived: boolean;
  version: number;
}

interface Props {
  study: AboutView;
  classes: ClassChoice[];
  papers: { name: string; size: Size }[];
  source: { title: string; width: number; height: number } | null;
}

const FIELDS = [
  'title',
  'master',
  'medium',
  'otherMedia',
  'classId',
  'otherClasses',
  'about',
  'paperWidthMm',
  'paperHeightMm',
  'kind',
  'aim',
];
const OWN = 'own';

/** Everything a study was begun with, to be changed: saved as it is left, and undone like all else. */
export function AboutStudy({ study, classes, papers, source }: Props) {
  const say = useSay();
  const { save, busy, refused, other } = useVersioned(`/api/studies/${study.id}`, study.version);
  const taking = classes.filter((c) => c.id === study.classId || study.otherClasses.includes(c.id));
  const students = taking.reduce((sum, c) => sum + c.count, 0) || 1;
  const further = classes.filter((c) => c.id !== study.classId);
  const others = LESSON_MEDIA.filter((m) => m !== study.medium);
  return (
    <div className="overflow-y-auto">
      <div className="mx-auto grid w-full max-w-6xl gap-8 p-6 lg:grid-cols-2">
        <section className="grid content-start gap-4">
          <h2 className="text-2xl font-semibold">{say('about.title')}</h2>
          <Field label={say('newStudy.name')} problem={refused('title')}>
            <TypedInput
              place={`study:${study.id}:title`}
              stored={study.title}
              className="input w-full"
              maxLength={120}
              skip={(t) => !t.trim()}
              onSave={(title) => save({ title })}
            />
          </Field>
          <Field label={say('newStudy.master')} problem={refused('master')}>
            <TypedInput
              place={`study:${study.id}:master`}
              stored={study.master}
              className="input w-full"
              maxLength={120}
              skip={(t) => !t.trim()}
              onSave={(master) => save({ master })}
            />
          </Field>
          <Choice
            legend={say('newStudy.kind')}
            name="kind"
            value={study.kind}
            of={(['master', 'period'] as const).map((k) => [k, say(`newStudy.kinds.${k}`)])}
            onValue={(kind) => void save({ kind })}
          />
          <Field label={say('newStudy.class')} problem={refused('classId')}>
            <select
              className="select w-full"
              value={study.classId ?? ''}
              disabled={busy}
              onChange={(e) => void save({ classId: e.target.value || null })}
            >
              <ClassOptions classes={classes} />
              <option value="">{say('newStudy.noClass')}</option>
            </select>
          </Field>
          {further.length > 0 && (study.classId !== null || study.otherClasses.length > 0) && (
            <fieldset>
              <legend>{say('about.otherClasses')}</legend>
              <div className="mt-1 flex flex-wrap gap-x-5 gap-y-1">
                {further.map((c) => (
                  <label key={c.id} className="flex items-center gap-2">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-sm"
                      checked={study.otherClasses.includes(c.id)}
                      disabled={busy}
                      onChange={(e) =>
                        void save({
                          otherClasses: e.target.checked ? [...study.otherClasses, c.id] : study.otherClasses.filter((o) => o !== c.id),
                        })
                      }
                    />
                    {say('newStudy.classOf', { name: typed(c.name), n: c.count })}
                  </label>
                ))}
              </div>
              <Notice said={refused('otherClasses')} />
            </fieldset>
          )}
          <Choice
            legend={say('newStudy.aim')}
            name="aim"
            value={study.aim}
            of={(['replica', 'study', 'remembered'] as const).map((a) => [a, say(`newStudy.aims.${a}`)])}
            onValue={(aim) => void save({ aim })}
          />
          <MediumPart key={study.medium} study={study} problem={refused('medium')} onMedium={(medium) => save({ medium })} />
          <fieldset>
            <legend>{say('about.otherMedia')}</legend>
            <div className="mt-1 flex flex-wrap gap-x-5 gap-y-1">
              {others.map((m) => (
                <label key={m} className="flex items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-sm"
                    checked={study.otherMedia.includes(m)}
                    disabled={busy}
                    onChange={(e) =>
                      void save({ otherMedia: e.target.checked ? [...study.otherMedia, m] : study.otherMedia.filter((o) => o !== m) })
                    }
                  />
                  {say(mediumName(m))}
                </label>
              ))}
            </div>
          </fieldset>
          <Field label={say('about.about')} problem={refused('about')}>
            <TypedArea
              place={`study:${study.id}:about`}
              stored={study.about}
              className="textarea w-full"
              rows={4}
              maxLength={5000}
              onSave={(about) => save({ about })}
            />
          </Field>
          <Notice said={other(FIELDS)} />
        </section>
        <section className="grid content-start gap-6">
          <SheetPart
            key={`${study.paperWidthMm}:${study.paperHeightMm}`}
            study={study}
            source={source}
            papers={papers}
            students={students}
            busy={busy}
            problem={refused('paperWidthMm') ?? refused('paperHeightMm')}
            onTake={(paperWidthMm, paperHeightMm) => void save({ paperWidthMm, paperHeightMm })}
          />
          <Again study={study} classes={classes} />
          <div className="grid gap-2 border-t border-base-300 pt-4">
            <button
              type="button"
              className="btn justify-self-start"
              disabled={busy}
              onClick={() => void save({ archived: !study.archived })}
            >
              {study.archived ? <ArchiveRestore aria-hidden className="size-5" /> : <Archive aria-hidden className="size-5" />}
              {say(study.archived ? 'about.takeOut' : 'about.putAway')}
            </button>
            <p className="text-sm">{say('about.putAwayHow')}</p>
          </div>
        </section>
      </div>
    </div>
  );
}

interface SheetProps extends Pick<Props, 'study' | 'source' | 'papers'> {
  students: number;
  busy: boolean;
  problem: Message | null;
  onTake: (width: number, height: number) => void;
}

/** The class's sheet as it is being chosen, with its cuts; taken with one press, so that what is tried out changes nothing. */
function SheetPart({ study, source, papers, students, busy, problem, onTake }: SheetProps) {
  const say = useSay();
  const [[width, height], setSize] = useState([study.paperWidthMm, study.paperHeightMm]);
  return (
    <>
      <div className="grid gap-3">
        <h2 className="text-2xl font-semibold">{say('about.sheet')}</h2>
        <SheetField
          label={say('newStudy.paper')}
          width={width}
          height={height}
          source={source}
          onSize={(w, h) => setSize([w, h])}
          problem={problem}
        />
        {(width !== study.paperWidthMm || height !== study.paperHeightMm) && (
          <button type="button" className="btn btn-primary justify-self-start" disabled={busy} onClick={() => onTake(width, height)}>
            {say(busy ? 'shared.saving' : 'about.takeSheet')}
          </button>
        )}
        <p className="text-sm">{say('about.sheetHow')}</p>
      </div>
      <section className="grid gap-2">
        <h2 className="text-xl font-semibold">{say('sheets.cutting')}</h2>
        <CutSheets width={width} height={height} students={students} papers={papers} />
      </section>
    </>
  );
}

interface MediumProps extends Pick<Props, 'study'> {
  problem: Message | null;
  onMedium: (medium: string) => Promise<boolean>;
}

/** The main medium: one of those the planner knows, or one of the teacher's own. */
function MediumPart({ study, problem, onMedium }: MediumProps) {
  const say = useSay();
  const known = isLessonMedium(study.medium);
  const [own, setOwn] = useState(!known);
  return (
    <>
      <Field label={say('newStudy.medium')} problem={problem}>
        <select
          className="select w-full"
          value={own ? OWN : study.medium}
          onChange={(e) => {
            setOwn(e.target.value === OWN);
            if (e.target.value !== OWN) void onMedium(e.target.value);
          }}
        >
          {LESSON_MEDIA.map((m) => (
            <option key={m} value={m}>
              {say(mediumName(m))}
            </option>
          ))}
          <option value={OWN}>{say('about.ownMedium')}</option>
        </select>
      </Field>
      {own && (
        <Field label={say('about.ownMediumName')}>
          <TypedInput
            place={`study:${study.id}:medium`}
            stored={known ? '' : study.medium}
            className="input w-full"
            maxLength={60}
            skip={(t) => !t.trim()}
            onSave={onMedium}
          />
        </Field>
      )}
    </>
  );
}

interface ChoiceProps<V extends string> {
  legend: string;
  name: string;
  value: V;
  of: (readonly [V, string])[];
  onValue: (value: V) => void;
}

function Choice<V extends string>({ legend, name, value, of, onValue }: ChoiceProps<V>) {
  return (
    <fieldset className="grid gap-1">
      <legend>{legend}</legend>
      {of.map(([v, said]) => (
        <label key={v} className="flex items-center gap-2">
          <input type="radio" name={name} className="radio radio-sm" checked={value === v} onChange={() => onValue(v)} />
          {said}
        </label>
      ))}
    </fieldset>
  );
}

/** The same study begun again for another class. */
function Again({ study, classes }: Pick<Props, 'study' | 'classes'>) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const [title, setTitle] = useState('');
  const [classId, setClassId] = useState('');
  return (
    <form
      className="grid gap-3 border-t border-base-300 pt-4"
      onSubmit={(e) => {
        e.preventDefault();
        void act(async () => {
          const { id } = await send<{ id: string }>('POST', `/api/studies/${study.id}/copy`, { title, classId: classId || null });
          window.location.assign(`/studies/${id}/about`);
        });
      }}
    >
      <h2 className="text-xl font-semibold">{say('about.again')}</h2>
      <p className="text-sm">{say('about.againHow')}</p>
      <Field label={say('newStudy.name')} problem={refused('title')}>
        <input className="input w-full" required maxLength={120} value={title} onChange={(e) => setTitle(e.target.value)} />
      </Field>
      <Field label={say('newStudy.class')} problem={refused('classId')}>
        <select className="select w-full" value={classId} onChange={(e) => setClassId(e.target.value)}>
          <option value="">{say('newStudy.noClass')}</option>
          <ClassOptions classes={classes} />
        </select>
      </Field>
      <Notice said={other(['title', 'classId'])} />
      <button className="btn justify-self-start" disabled={busy}>
        <Copy aria-hidden className="size-5" /> {say(busy ? 'shared.saving' : 'about.copy')}
      </button>
    </form>
  );
}
