'use client';
import { yupResolver } from '@hookform/resolvers/yup';
import { LESSON_MEDIA, mediumName } from '@/core/lesson/media';
import { Message, message } from '@/core/message';
import type { Key } from '@/words/catalogue';
import { useForm, useWatch } from 'react-hook-form';
import { useState } from 'react';
import { object, string } from 'yup';
import { ClassChoice, ClassOptions } from '../classes/ClassOptions';
import { RosterField, useRoster } from '../classes/RosterField';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { problemOf, send } from '../shared/request';
import { useHydrated } from '../shared/useHydrated';
import { SheetField } from './SheetField';
import { useSay } from '../words/Words';

/** A class that is made along with the study. */
const NEW = 'new';

const schema = object({
  title: string()
    .trim()
    .required('newStudy.needs.title' satisfies Key)
    .max(120, 'newStudy.needs.letters' satisfies Key),
  master: string()
    .trim()
    .required('newStudy.needs.master' satisfies Key)
    .max(120, 'newStudy.needs.letters' satisfies Key),
  kind: string()
    .oneOf(['master', 'period'] as const)
    .required(),
  aim: string()
    .oneOf(['replica', 'study', 'remembered'] as const)
    .required(),
  medium: string().required(),
  classId: string().defined(),
});

/** What is wrong with a field, where something is. */
const said = (error: { message?: string } | undefined): Message | null => (error?.message ? message(error.message) : null);

export function NewStudyForm({ classes }: { classes: ClassChoice[] }) {
  const say = useSay();
  const [problem, setProblem] = useState<Message | null>(null);
  const hydrated = useHydrated();
  const {
    register,
    handleSubmit,
    control,
    formState: { errors, isSubmitting },
  } = useForm({
    resolver: yupResolver(schema),
    defaultValues: {
      title: '',
      master: '',
      kind: 'master' as const,
      aim: 'study' as const,
      medium: 'pen-and-wash',
      classId: classes[0]?.id ?? '',
    },
  });
  const [sheet, setSheet] = useState<[number, number]>([297, 210]);
  const [className, setClassName] = useState('');
  const roster = useRoster();
  const asked = useWatch({ control, name: 'classId' });
  const submit = handleSubmit(async ({ classId, ...value }) => {
    try {
      const [paperWidthMm, paperHeightMm] = sheet;
      const made = classId === NEW && (await send<{ id: string }>('POST', '/api/classes', { name: className, students: roster.entries }));
      const { id } = await send<{ id: string }>('POST', '/api/studies', {
        ...value,
        classId: made ? made.id : classId || null,
        about: '',
        paperWidthMm,
        paperHeightMm,
      });
      window.location.assign(`/studies/${id}/look`);
    } catch (error) {
      setProblem(problemOf(error));
    }
  });
  return (
    <form onSubmit={submit} className="mx-auto grid w-full max-w-2xl gap-4 p-6" noValidate>
      <h1 className="text-3xl font-semibold">{say('newStudy.title')}</h1>
      <Field label={say('newStudy.name')} problem={said(errors.title)}>
        <input
          className="input w-full"
          placeholder={say('newStudy.namePlaceholder')}
          aria-invalid={!!errors.title}
          {...register('title')}
        />
      </Field>
      <Field label={say('newStudy.master')} problem={said(errors.master)}>
        <input
          className="input w-full"
          placeholder={say('newStudy.masterPlaceholder')}
          aria-invalid={!!errors.master}
          {...register('master')}
        />
      </Field>
      <fieldset className="flex flex-wrap gap-x-6 gap-y-1">
        <legend>{say('newStudy.kind')}</legend>
        {(['master', 'period'] as const).map((k) => (
          <label key={k} className="flex items-center gap-2">
            <input type="radio" className="radio radio-sm" value={k} {...register('kind')} />
            {say(`newStudy.kinds.${k}`)}
          </label>
        ))}
      </fieldset>
      <Field label={say('newStudy.class')}>
        <select className="select w-full" {...register('classId')}>
          <ClassOptions classes={classes} />
          <option value="">{say('newStudy.noClass')}</option>
          <option value={NEW}>{say('newStudy.newClass')}</option>
        </select>
      </Field>
      {asked === NEW && (
        <div className="grid gap-3 border-s-2 border-base-300 ps-4">
          <Field label={say('newStudy.className')}>
            <input className="input w-full" required maxLength={80} value={className} onChange={(e) => setClassName(e.target.value)} />
          </Field>
          <RosterField roster={roster} refused={null} />
        </div>
      )}
      <fieldset className="grid gap-1">
        <legend>{say('newStudy.aim')}</legend>
        {(['replica', 'study', 'remembered'] as const).map((a) => (
          <label key={a} className="flex items-center gap-2">
            <input type="radio" className="radio radio-sm" value={a} {...register('aim')} />
            {say(`newStudy.aims.${a}`)}
          </label>
        ))}
      </fieldset>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label={say('newStudy.medium')}>
          <select className="select w-full" {...register('medium')}>
            {LESSON_MEDIA.map((value) => (
              <option key={value} value={value}>
                {say(mediumName(value))}
              </option>
            ))}
          </select>
        </Field>
        <SheetField label={say('newStudy.paper')} width={sheet[0]} height={sheet[1]} onSize={(w, h) => setSheet([w, h])} />
      </div>
      <Notice said={problem} />
      <button className="btn btn-primary justify-self-start" disabled={isSubmitting || !hydrated}>
        {isSubmitting ? say('newStudy.making') : say('newStudy.make')}
      </button>
    </form>
  );
}
