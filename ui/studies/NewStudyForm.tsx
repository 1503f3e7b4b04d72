'use client';
import { yupResolver } from '@hookform/resolvers/yup';
import { useForm } from 'react-hook-form';
import { useState } from 'react';
import { number, object, string } from 'yup';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useHydrated } from '../shared/useHydrated';
import { text } from '../text/en';
import { MEDIA, SHEETS } from '../text/media';

const t = text.newStudy;

const schema = object({
  title: string().trim().required('Give the study a name.').max(120, 'At most 120 letters.'),
  master: string().trim().required('Say whose hand it is.').max(120, 'At most 120 letters.'),
  kind: string()
    .oneOf(['master', 'period'] as const)
    .required(),
  aim: string()
    .oneOf(['replica', 'study', 'remembered'] as const)
    .required(),
  medium: string().required(),
  classId: string().defined(),
  sheet: number().required(),
});

export function NewStudyForm({ classes }: { classes: { id: string; name: string; count: number }[] }) {
  const [problem, setProblem] = useState<string | null>(null);
  const hydrated = useHydrated();
  const {
    register,
    handleSubmit,
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
      sheet: 0,
    },
  });
  const submit = handleSubmit(async ({ sheet, classId, ...value }) => {
    try {
      const [, paperWidthMm, paperHeightMm] = SHEETS[sheet];
      const { id } = await send<{ id: string }>('POST', '/api/studies', {
        ...value,
        classId: classId || null,
        about: '',
        paperWidthMm,
        paperHeightMm,
      });
      window.location.assign(`/studies/${id}/look`);
    } catch (error) {
      setProblem((error as Error).message);
    }
  });
  return (
    <form onSubmit={submit} className="mx-auto grid w-full max-w-2xl gap-4 p-6" noValidate>
      <h1 className="text-3xl font-semibold">{t.title}</h1>
      <label className="grid gap-1">
        {t.name}
        <input className="input w-full" placeholder={t.namePlaceholder} aria-invalid={!!errors.title} {...register('title')} />
        {errors.title && <span className="text-error">{errors.title.message}</span>}
      </label>
      <label className="grid gap-1">
        {t.master}
        <input className="input w-full" placeholder={t.masterPlaceholder} aria-invalid={!!errors.master} {...register('master')} />
        {errors.master && <span className="text-error">{errors.master.message}</span>}
      </label>
      <fieldset className="flex flex-wrap gap-x-6 gap-y-1">
        <legend>{t.kind}</legend>
        {(['master', 'period'] as const).map((k) => (
          <label key={k} className="flex items-center gap-2">
            <input type="radio" className="radio radio-sm" value={k} {...register('kind')} />
            {t.kinds[k]}
          </label>
        ))}
      </fieldset>
      <label className="grid gap-1">
        {t.class}
        <select className="select w-full" {...register('classId')}>
          {classes.map((c) => (
            <option key={c.id} value={c.id}>
              {c.name} ({c.count})
            </option>
          ))}
          <option value="">{t.noClass}</option>
        </select>
      </label>
      <fieldset className="grid gap-1">
        <legend>{t.aim}</legend>
        {(['replica', 'study', 'remembered'] as const).map((a) => (
          <label key={a} className="flex items-center gap-2">
            <input type="radio" className="radio radio-sm" value={a} {...register('aim')} />
            {t.aims[a]}
          </label>
        ))}
      </fieldset>
      <div className="grid gap-4 sm:grid-cols-2">
        <label className="grid gap-1">
          {t.medium}
          <select className="select w-full" {...register('medium')}>
            {MEDIA.map(([value, label]) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <label className="grid gap-1">
          {t.paper}
          <select className="select w-full" {...register('sheet')}>
            {SHEETS.map(([label, w, h], i) => (
              <option key={label} value={i}>
                {label}, {w} × {h} mm
              </option>
            ))}
          </select>
        </label>
      </div>
      <Notice message={problem} />
      <button className="btn btn-primary justify-self-start" disabled={isSubmitting || !hydrated}>
        {isSubmitting ? t.making : t.make}
      </button>
    </form>
  );
}
