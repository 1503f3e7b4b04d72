/** Every picture of the six hands against itself at other sizes and on other grounds: the same picture is told nothing. */
import sharp, { type Sharp } from 'sharp';
import { SAMPLE_HANDS } from '../../atelier/hands';
import { RgbImage } from '../../core/raster/image';
import { compare } from '../../core/style/compare';
import { oneScale } from '../../core/style/scale';
import { measurer } from '../support/measured';
import { rasterOf } from '../support/pictures';

const raw = ({ width, height, data }: RgbImage) => sharp(Buffer.from(data), { raw: { width, height, channels: 3 } });

/** A mount of the sheet's own colour is not among them: it is no more than a wider margin. */
const OTHERWISE: Readonly<Record<string, (image: RgbImage) => Sharp>> = {
  'at half the size': (i) => raw(i).resize(Math.round(i.width / 2)),
  'at a third of the size': (i) => raw(i).resize(Math.round(i.width / 3)),
  'on a mount': (i) => raw(i).extend({ top: 70, left: 60, right: 60, bottom: 90, background: '#b7a07c' }),
  'on grey': (i) => raw(i).extend({ top: 40, left: 40, right: 40, bottom: 40, background: '#777777' }),
};

test.each(SAMPLE_HANDS)(
  '$name: nothing is told at half and a third of the size, on a mount, on grey',
  async (hand) => {
    const told: string[] = [];
    for (const work of hand.works) {
      const { image } = await hand.draw(work, 2);
      const itself = measurer(image, work.widthMm);
      for (const [name, otherwise] of Object.entries(OTHERWISE)) {
        const other = measurer(await rasterOf(otherwise(image)), work.widthMm);
        const { rung } = oneScale([itself.resolution], other.resolution);
        const [source, piece] = [itself.at(rung), other.at(rung)];
        const { findings, closeness, ownInvention } = compare([source], piece, { as: 'copy' });
        for (const f of findings.filter((f) => f.distance !== 0))
          told.push(`${work.title} ${name}: ${f.feature} ${f.master.mid.toFixed(2)} → ${f.piece.toFixed(2)} (${f.distance.toFixed(2)})`);
        expect(closeness.overall).toBeGreaterThan(85);
        expect(ownInvention).toBeLessThan(5);
      }
    }
    expect(told).toEqual([]);
  },
  300_000,
);
