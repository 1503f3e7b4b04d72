/** A line over a picture that is seen on light and dark alike: yellow on a dark rim. `unit` is px of the picture to one of the screen. */
export function Haloed({
  d,
  unit,
  width,
  dash,
  pale,
}: {
  d: string;
  unit: number;
  /** Px of the screen. */
  width: number;
  /** Px of the screen drawn, and left out. */
  dash?: readonly [number, number];
  /** White instead: what only stands beside. */
  pale?: boolean;
}) {
  return (
    <>
      <path d={d} stroke="#000" strokeWidth={(width + RIM) * unit} opacity={0.5} />
      <path d={d} stroke={pale ? '#fff' : '#ffd23e'} strokeWidth={width * unit} strokeDasharray={dash?.map((v) => v * unit).join(' ')} />
    </>
  );
}

const RIM = 2.2;
