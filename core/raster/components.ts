/** Knows which set pixels hang together (eight neighbours), and the size, box and centre of each group. */
import { Mask } from './image';
import { FromComponent, labelled } from './kernels/kernels';

export interface Component {
  label: number;
  area: number;
  box: [left: number, top: number, right: number, bottom: number];
  centre: [number, number];
  /** Second moments about the centre: xx, xy, yy in px². */
  moments: [number, number, number];
  touchesEdge: boolean;
}

/** A component of a mask of w × h px from its sums and box. */
export const componentIn =
  (w: number, h: number): FromComponent<Component> =>
  ([area, sx, sy, sxx, sxy, syy], [left, top, right, bottom], label) => {
    const [cx, cy] = [sx / area, sy / area];
    return {
      label,
      area,
      box: [left, top, right, bottom],
      centre: [cx, cy],
      moments: [sxx / area - cx * cx, sxy / area - cx * cy, syy / area - cy * cy],
      touchesEdge: left === 0 || top === 0 || right === w - 1 || bottom === h - 1,
    };
  };

/** Labels (0 for unset, 1 … n) and the components, in scan order. */
export const components = (source: Mask): { labels: Int32Array; list: Component[] } =>
  labelled(source, componentIn(source.width, source.height));
