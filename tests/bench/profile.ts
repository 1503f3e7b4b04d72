/** How long a full profile of the JPEG named on the command line takes, and how much memory, against decoding and reducing it with the image library alone. */
import { readFileSync } from 'node:fs';
import { Profiler, Session } from 'node:inspector';
import sharp from 'sharp';
import { median } from '../../core/raster/statistics';
import { measurePicture } from '../../core/style/profile';

const ROUNDS = 5;

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const begun = performance.now();
  await work();
  return performance.now() - begun;
};

sharp.concurrency(1);
sharp.cache(false);
const jpeg = readFileSync(process.argv[2]);

/** Full-resolution decode to raw, then the reduction: so nothing is shrunk while loading. */
async function base(): Promise<void> {
  const { data, info } = await sharp(jpeg).raw().toBuffer({ resolveWithObject: true });
  await sharp(data, { raw: { width: info.width, height: info.height, channels: 3 } })
    .resize(1024)
    .raw()
    .toBuffer();
}

async function profile(): Promise<void> {
  const { data, info } = await sharp(jpeg).autoOrient().removeAlpha().raw().toBuffer({ resolveWithObject: true });
  measurePicture({ width: info.width, height: info.height, data });
}

await base();
const first = await timed(profile);
const bases: number[] = [];
const profiles: number[] = [];
// In turns, since a shared machine is faster at one time than at another.
for (let i = 0; i < ROUNDS; i++) {
  bases.push(await timed(base), await timed(base));
  profiles.push(await timed(profile));
}
bases.push(await timed(base), await timed(base));
const [b, p] = [median(bases), median(profiles)];
const peakMb = process.resourceUsage().maxRSS / 1024;

/** The picture's profile at other sizes, in ms by megapixels. */
const growth: Record<number, number> = {};
for (const megapixels of [1, 3, 6, 12, 24]) {
  const width = Math.round(Math.sqrt((megapixels * 1e6 * 4) / 3));
  const sized = await sharp(jpeg).resize(width).jpeg({ quality: 92 }).toBuffer();
  const { data, info } = await sharp(sized).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const image = { width: info.width, height: info.height, data };
  const times: number[] = [];
  for (let i = 0; i < 3; i++) times.push(await timed(async () => measurePicture(image)));
  growth[megapixels] = median(times);
}

/** Shares of a profile's time by what is called from these, the largest first; deeper ones are parts of what stands above them. */
const OPENED = ['measurePicture', 'readOverall', 'workUp', 'gatherEvidence'];

async function whereTimeGoes(): Promise<Record<string, [name: string, share: number][]>> {
  const session = new Session();
  session.connect();
  const post = (method: string): Promise<{ profile?: Profiler.Profile }> =>
    new Promise((done, failed) => session.post(method, (error: Error | null, result: object) => (error ? failed(error) : done(result))));
  await post('Profiler.enable');
  await post('Profiler.start');
  await profile();
  const seen = (await post('Profiler.stop')).profile!;
  session.disconnect();
  const nodes = new Map(seen.nodes.map((n) => [n.id, n]));
  const whole = new Map<number, number>();
  const under = (id: number): number => {
    const known = whole.get(id);
    if (known !== undefined) return known;
    const { hitCount = 0, children = [] } = nodes.get(id)!;
    const sum = hitCount + children.reduce((s, c) => s + under(c), 0);
    whole.set(id, sum);
    return sum;
  };
  const named = (name: string) => seen.nodes.filter((n) => n.callFrame.functionName === name);
  const all = named('measurePicture').reduce((s, n) => s + under(n.id), 0);
  return Object.fromEntries(
    OPENED.map((name) => {
      const parts = new Map<string, number>();
      for (const n of named(name))
        for (const c of n.children ?? []) {
          const called = nodes.get(c)!.callFrame.functionName || '(unnamed)';
          parts.set(called, (parts.get(called) ?? 0) + under(c) / all);
        }
      return [name, [...parts].sort((p, q) => q[1] - p[1]).filter(([, share]) => share >= 0.02)];
    }),
  );
}

const where = await whereTimeGoes();

process.stdout.write(
  `${JSON.stringify({ baseMs: b, profileMs: p, firstProfileMs: first, ratio: p / b, firstRatio: first / b, peakMb, growth, where })}\n`,
);
