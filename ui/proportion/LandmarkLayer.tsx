'use client';
import { Message, message, Typed } from '@/core/message';
import { Handle } from '../shared/looking/Handle';
import { useSay } from '../words/Words';

export type Points = Record<string, [number, number]>;

interface Props {
  points: Points;
  names: readonly { name: string; said: Message | Typed }[];
  selected: string | null;
  /** Px of the picture in one px of the screen. */
  unit: number;
  onSelect: (name: string) => void;
  /** While a handle moves. */
  onDrag: (name: string, at: [number, number]) => void;
  /** When it has come to rest: worth saving. */
  onRest: (label: Message) => void;
  onRemove: (name: string) => void;
}

/** The placed points over a picture: a cross with a ring each, moved by pointer or arrow keys, removed with Delete. */
export function LandmarkLayer({ points, names, selected, unit, onSelect, onDrag, onRest, onRemove }: Props) {
  const say = useSay();
  return (
    <g>
      {names
        .filter((n) => points[n.name])
        .map(({ name, said }) => {
          const [x, y] = points[name];
          return (
            <Handle
              key={name}
              at={[x, y]}
              label={say('proportion.handle', { point: said, x: Math.round(x), y: Math.round(y) })}
              unit={unit}
              selected={name === selected}
              onSelect={() => onSelect(name)}
              onMove={(to) => onDrag(name, to)}
              onRest={() => onRest(message('edits.movePoint', { point: said }))}
              onRemove={() => onRemove(name)}
            />
          );
        })}
    </g>
  );
}
