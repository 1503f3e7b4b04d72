import { drawnPicture, rasterOf } from '../../tests/support/pictures';
import { TEMPERATURES } from '../colour/temperature';
import { EDGE_HANDLINGS } from '../marks/edges';
import { RgbImage } from '../raster/image';
import { Placed, placesOf } from './places';
import { measurePicture, ProfileWithMaps } from './profile';

describe('where things lie is what the profile tells of', () => {
  let placed: Placed;
  let read: ProfileWithMaps;
  let image: RgbImage;
  const frame = [40, 20, 820, 600] as const;
  beforeAll(async () => {
    image = await rasterOf(drawnPicture());
    placed = placesOf(image, { frame });
    read = measurePicture(image, { frame });
  });

  test('every colour covers its share', () => {
    const { colours, labels } = placed.places;
    const count = colours.map(() => 0);
    labels.forEach((l) => count[l]++);
    read.profile.palette.forEach((c, i) => {
      expect(colours[i].hex).toBe(c.hex);
      expect(count[i] / labels.length).toBeCloseTo(c.share, 5);
    });
    expect(colours.filter((c) => c.ground)).toHaveLength(1);
  });

  test('so do warm and cool, and the ways of handling an edge', () => {
    const { temperature, edges } = placed.places;
    const told = [...temperature].filter((t) => t < TEMPERATURES.length);
    TEMPERATURES.forEach((name, k) =>
      expect(told.filter((t) => t === k).length / told.length).toBeCloseTo(read.profile.temperature[name], 5),
    );
    EDGE_HANDLINGS.forEach((name, k) =>
      expect(edges.handling.filter((h) => h === k).length / edges.handling.length).toBeCloseTo(read.profile.edges[name], 5),
    );
    expect(edges.at).toHaveLength(2 * edges.handling.length);
  });

  test('the bare lights and the worked area make up the sheet', () => {
    const { lights, area } = placed.places;
    const bare = lights!.reduce((s, l) => s + l.share, 0);
    expect(bare + area!.coverage).toBeCloseTo(1, 2);
    expect(area).toMatchObject({ centre: read.profile.composition.centre });
    expect(placed.places.focus).toEqual(read.focus);
  });

  test('marks are told in px of the file that the picture lies in', () => {
    const tiles = Array.from({ length: placed.places.windows }, (_, k) => placed.marks(k)).flatMap((m) => m.tiles);
    expect(Math.min(...tiles.map((t) => t.rect[0]))).toBe(frame[0]);
    expect(Math.max(...tiles.map((t) => t.rect[1] + t.rect[3]))).toBeCloseTo(frame[1] + frame[3], 0);
  });

  test('a picture that shows no bare sheet has neither lights nor a shape of what is worked', () => {
    const painted: RgbImage = {
      width: 300,
      height: 200,
      data: Uint8Array.from({ length: 180000 }, (_, i) => (Math.floor(i / 3) % 300 < 150 ? [150, 40, 30] : [20, 60, 140])[i % 3]),
    };
    expect(placesOf(painted, {}).places).toMatchObject({ lights: null, area: null });
  });
});
