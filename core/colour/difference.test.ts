import { seededRandom } from '../raster/statistics';
import { ciede2000, ciede2000From } from './difference';

test('read off tables CIEDE2000 is within 0.01 of itself, for colours near and far, greys and blues', () => {
  const random = seededRandom(5);
  const colour = (): [number, number, number] => {
    const chroma = random() < 0.1 ? 0 : 120 * random() ** 2;
    const hue = (random() < 0.3 ? 240 + 70 * random() : 360 * random()) * (Math.PI / 180);
    return [100 * random(), chroma * Math.cos(hue), chroma * Math.sin(hue)];
  };
  let most = 0;
  for (let i = 0; i < 300; i++) {
    const one = colour();
    const from = ciede2000From(one);
    expect(from(...one)).toBeLessThan(1e-4);
    for (let k = 0; k < 100; k++) {
      const two = k % 2 ? colour() : (one.map((v) => v + 6 * (random() - 0.5)) as [number, number, number]);
      const screened = from(...two, 3);
      if (screened === Infinity) expect(ciede2000(one, two)).toBeGreaterThan(3);
      else expect(screened).toBe(from(...two));
      most = Math.max(most, Math.abs(from(...two) - ciede2000(one, two)));
    }
  }
  expect(most).toBeLessThan(0.01);
});
