import ferry from './drawings/ferry.webp';
import head from './drawings/head.webp';
import lights from './drawings/lights.webp';
import mast from './drawings/mast.webp';

/** Works of the demo's invented master, hung on a neutral wall. */
export function Drawings({ className = '' }: { className?: string }) {
  return (
    <div aria-hidden className={`bench grid grid-cols-6 content-center items-center gap-4 overflow-hidden p-8 max-lg:p-4 ${className}`}>
      {(
        [
          [head, 'col-span-2'],
          [ferry, 'col-span-4'],
          [lights, 'col-span-4'],
          [mast, 'col-span-2'],
        ] as const
      ).map(([drawing, place]) => (
        <img
          key={drawing.src}
          src={drawing.src}
          width={drawing.width}
          height={drawing.height}
          alt=""
          className={`h-auto w-full ${place}`}
        />
      ))}
    </div>
  );
}
