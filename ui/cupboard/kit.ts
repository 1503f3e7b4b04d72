/** What the cupboard's parts are told of a kit and of a material in it. */
import type { CupboardKit, Material } from '@/core/colour/materials';

export type KeptMaterial = Material & { id: string; version: number };
export interface KeptKit extends CupboardKit {
  id: string;
  version: number;
  materials: KeptMaterial[];
}
