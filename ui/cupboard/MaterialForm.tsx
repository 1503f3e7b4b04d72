'use client';
import { Check, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { typed } from '@/core/message';
import { isMixed, Material, MATERIAL_KINDS, MaterialKind, Properties, PROPERTIES, PROPERTIES_OF } from '@/core/colour/materials';
import type { Key } from '@/words/catalogue';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { PanelHead } from '../shared/PanelHead';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { ColourField } from './ColourField';
import type { KeptKit, KeptMaterial } from './kit';
import { Swatch } from './Swatch';
import { useSay } from '../words/Words';

const NEW: Material = { kind: 'paint', name: '', pigment: '', masstone: null, tint: null, strength: 1, properties: {} };
const FIELDS = ['name', 'pigment', 'masstone', 'tint', 'strength', 'properties'];
/** A tint begins at what most swatch cards show. */
const USUAL_PARTS: [number, number] = [1, 4];

interface Props {
  kit: KeptKit;
  /** Null for a new one. */
  material: KeptMaterial | null;
  onClose: () => void;
}

/** All that is known of a material; saved as one, so that half a colour is never mixed with. */
export function MaterialForm({ kit, material, onClose }: Props) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const [draft, setDraft] = useState<Material>(material ?? { ...NEW, kind: kit.materials.at(-1)?.kind ?? 'paint' });
  const [parts, setParts] = useState((draft.tint?.parts ?? USUAL_PARTS).map(String));
  const set = (fields: Partial<Material>) => setDraft((d) => ({ ...d, ...fields }));
  const { kind } = draft;
  const sent = { ...draft, tint: draft.tint && { ...draft.tint, parts: parts.map(Number) } };
  const save = () =>
    act(() =>
      material
        ? send('PATCH', `/api/materials/${material.id}`, { ...sent, version: material.version })
        : send('POST', `/api/kits/${kit.id}/materials`, sent),
    );
  return (
    <form
      className="grid content-start gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <PanelHead title={material ? say.typed(material.name) : say('materials.newIn', { kit: typed(kit.name) })} onClose={onClose} />
      <Swatch material={draft} />
      <Field label={say('materials.kind')}>
        <select className="select w-full" value={kind} onChange={(e) => set({ kind: e.target.value as MaterialKind })}>
          {MATERIAL_KINDS.map((k) => (
            <option key={k} value={k}>
              {say(`materials.kinds.${k}`)}
            </option>
          ))}
        </select>
      </Field>
      <Field label={say('materials.name')} problem={refused('name')}>
        <input className="input w-full" required maxLength={80} value={draft.name} onChange={(e) => set({ name: e.target.value })} />
      </Field>
      {kind !== 'paper' && kind !== 'tool' && (
        <Field label={say('materials.pigment')} problem={refused('pigment')}>
          <input
            className="input w-full"
            maxLength={60}
            placeholder={say('materials.pigmentExample')}
            value={draft.pigment}
            onChange={(e) => set({ pigment: e.target.value })}
          />
        </Field>
      )}
      {kind !== 'tool' && (
        <ColourField
          label={say(kind === 'paper' ? 'materials.tone' : 'materials.colour')}
          hex={draft.masstone ?? ''}
          onHex={(masstone) => set({ masstone })}
          problem={refused('masstone')}
        />
      )}
      {isMixed(kind) && (
        <>
          <ColourField
            label={say('materials.tint')}
            hex={draft.tint?.hex ?? ''}
            onHex={(hex) => set({ tint: hex ? { hex, parts: USUAL_PARTS } : null })}
            problem={refused('tint')}
          />
          {(draft.tints ?? []).map((t) => (
            <p key={`${t.hex}${t.parts.join()}`} className="flex items-center gap-2 text-sm">
              <span aria-hidden className="size-6 border border-base-300" style={{ background: t.hex }} />
              {say('cupboard.tint', { paint: t.parts[0], white: t.parts[1] })}
              <button type="button" className="link" onClick={() => set({ tints: draft.tints?.filter((o) => o !== t) })}>
                {say('materials.dropTint')}
              </button>
            </p>
          ))}
          {draft.tint ? (
            <Field label={say('materials.tintParts')}>
              <span className="flex items-center gap-2">
                {[0, 1].map((i) => (
                  <input
                    key={i}
                    className="input w-20"
                    inputMode="numeric"
                    aria-label={say('materials.tintParts')}
                    value={parts[i]}
                    onChange={(e) => setParts((p) => p.map((v, k) => (k === i ? e.target.value : v)))}
                  />
                ))}
              </span>
            </Field>
          ) : (
            <Field label={say('materials.strength')} problem={refused('strength')}>
              <input
                className="input w-full"
                type="number"
                min={0.01}
                max={100}
                step="any"
                title={say('materials.strengthHow')}
                value={draft.strength}
                onChange={(e) => set({ strength: Number(e.target.value) })}
              />
            </Field>
          )}
        </>
      )}
      <fieldset className="grid gap-3 border-t border-base-300 pt-2">
        <legend className="pe-2 font-semibold">{say('materials.more')}</legend>
        {PROPERTIES_OF[kind].map((name) => (
          <Property
            key={name}
            name={name}
            value={draft.properties[name]}
            onValue={(value) => set({ properties: { ...draft.properties, [name]: value } })}
          />
        ))}
      </fieldset>
      <Notice said={refused('properties') ?? other(FIELDS)} />
      <div className="flex flex-wrap gap-2">
        <button className="btn btn-primary" disabled={busy || (kind !== 'tool' && draft.masstone === null)}>
          <Check aria-hidden className="size-5" /> {say(busy ? 'shared.saving' : material ? 'materials.change' : 'materials.add')}
        </button>
        {material && (
          <button
            type="button"
            className="btn"
            disabled={busy}
            onClick={() => void act(() => send('DELETE', `/api/materials/${material.id}`)).then((done) => done && onClose())}
          >
            <Trash2 aria-hidden className="size-5" /> {say('materials.remove')}
          </button>
        )}
      </div>
    </form>
  );
}

interface PropertyProps {
  name: keyof Properties;
  value: Properties[keyof Properties];
  onValue: (value: Properties[keyof Properties] | undefined) => void;
}

/** One thing that may be known of a material; empty where it is not. */
function Property({ name, value, onValue }: PropertyProps) {
  const say = useSay();
  const asked = PROPERTIES[name];
  const label = say(`materials.properties.${name}`);
  if (asked.as === 'flag')
    return (
      <Field label={label}>
        <select
          className="select w-full"
          value={value === undefined ? '' : value ? 'yes' : 'no'}
          onChange={(e) => onValue(e.target.value === '' ? undefined : e.target.value === 'yes')}
        >
          <option value="">{say('materials.unknown')}</option>
          <option value="yes">{say('materials.yes')}</option>
          <option value="no">{say('materials.no')}</option>
        </select>
      </Field>
    );
  if (asked.as === 'choice')
    return (
      <Field label={label}>
        <select
          className="select w-full"
          value={String(value ?? '')}
          onChange={(e) => onValue((e.target.value || undefined) as PropertyProps['value'])}
        >
          <option value="">{say('materials.unknown')}</option>
          {asked.of.map((v) => (
            <option key={v} value={v}>
              {say(`materials.${name}.${v}` as Key)}
            </option>
          ))}
        </select>
      </Field>
    );
  if (asked.as === 'text')
    return (
      <Field label={label}>
        <textarea
          className="textarea w-full"
          rows={2}
          maxLength={asked.most}
          value={String(value ?? '')}
          onChange={(e) => onValue(e.target.value || undefined)}
        />
      </Field>
    );
  return (
    <Field label={asked.unit === 'mm' ? say('materials.inMm', { name: label }) : label}>
      <input
        className="input w-full"
        type="number"
        step="any"
        min={asked.least}
        max={asked.most}
        value={typeof value === 'number' ? value : ''}
        onChange={(e) => onValue(e.target.value === '' ? undefined : Number(e.target.value))}
      />
    </Field>
  );
}
