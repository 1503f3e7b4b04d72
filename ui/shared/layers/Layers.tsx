'use client';
import { createContext, ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { inField } from '../looking/tools';
import { LayerName, LAYERS, Lit, litBy } from './layers';

interface Layers {
  on: ReadonlySet<LayerName>;
  toggle: (name: LayerName) => void;
  /** What the reading in hand speaks of. */
  lit: Lit | null;
  light: (lit: Lit | null) => void;
  /** The colour chosen in a palette, hex, whose places the layer of colours shows. */
  chosen: string | null;
  choose: (hex: string | null) => void;
}

const Laid = createContext<Layers | null>(null);

/** Which layers were on last, while one moves between the steps and works. */
let kept: ReadonlySet<LayerName> = new Set();

/** Gives everything inside one set of layers: toggled by key, lit by the readings. */
export function LayersOver({ first = [], children }: { first?: readonly LayerName[]; children: ReactNode }) {
  const [on, setOn] = useState<ReadonlySet<LayerName>>(() => new Set([...kept, ...first]));
  const [lit, light] = useState<Lit | null>(null);
  const [chosen, choose] = useState<string | null>(null);
  const toggle = useCallback(
    (name: LayerName) =>
      setOn((was) => {
        const next = new Set(was);
        if (!next.delete(name)) next.add(name);
        return next;
      }),
    [],
  );
  useEffect(() => {
    kept = on;
  }, [on]);
  useEffect(() => {
    const down = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.repeat || inField(e.target)) return;
      const layer = LAYERS.find((l) => l.key === e.key.toLowerCase());
      if (layer) toggle(layer.name);
      if (e.key === 'Escape') light(null);
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, [toggle]);
  const value = useMemo(() => ({ on, toggle, lit, light, chosen, choose }), [on, toggle, lit, chosen]);
  return <Laid value={value}>{children}</Laid>;
}

/** The layers over the pictures of this bench; null where it has none. */
export const useLayersHere = (): Layers | null => useContext(Laid);

/** The layers over the pictures of a bench that has them. */
export function useLayers(): Layers {
  const layers = useLayersHere();
  if (!layers) throw new Error('no layers: this stands outside LayersOver');
  return layers;
}

/** What a reading needs to light its place while it is pointed at or focused. */
export function useLight(what: Lit | null | string) {
  const { light } = useLayers();
  const lit = typeof what === 'string' ? litBy(what) : what;
  return lit
    ? {
        onMouseEnter: () => light(lit),
        onMouseLeave: () => light(null),
        onFocus: () => light(lit),
        onBlur: () => light(null),
      }
    : {};
}

/** Something told whose place shows on the picture while it is pointed at or focused. */
export function Place({
  of,
  as: As = 'div',
  className,
  id,
  children,
}: {
  of: Lit | string | null;
  as?: 'div' | 'li' | 'tr';
  className?: string;
  id?: string;
  children: ReactNode;
}) {
  const light = useLight(of);
  return (
    <As {...light} id={id} className={className}>
      {children}
    </As>
  );
}
