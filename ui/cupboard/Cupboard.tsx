import type { Kit } from '@/core/colour/mixing';

/** The paints a teacher has, as thick paint and let down with white. */
export function Cupboard({ kits }: { kits: (Kit & { id: string })[] }) {
  return (
    <div className="mx-auto w-full max-w-6xl p-6">
      <h1 className="mb-4 text-3xl font-semibold">Cupboard</h1>
      {kits.length === 0 && <p>No paints yet.</p>}
      {kits.map((k) => (
        <section key={k.id} className="border-t-2 border-base-content/60 pt-2">
          <h2 className="text-xl font-semibold">{k.name}</h2>
          <ul className="mt-3 grid grid-cols-2 gap-4 sm:grid-cols-3 lg:grid-cols-4">
            {k.paints.map((p) => (
              <li key={p.name} className="flex gap-3">
                <span aria-hidden className="flex h-14 w-20 shrink-0">
                  <span className="flex-[3]" style={{ background: p.masstone }} />
                  {p.tint && <span className="flex-[2]" style={{ background: p.tint.hex }} />}
                </span>
                <span>
                  {p.name}
                  <span className="block text-sm">{p.pigment}</span>
                  {p.tint && (
                    <span className="block text-xs">
                      tint {p.tint.parts[0]} : {p.tint.parts[1]}
                    </span>
                  )}
                </span>
              </li>
            ))}
          </ul>
          <p className="mt-4 max-w-prose text-sm">
            Look on each tube for conformance to ASTM D-4236 or EN 71 as your local rules ask, and follow its label and your school’s
            policy.
          </p>
        </section>
      ))}
    </div>
  );
}
