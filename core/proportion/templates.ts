/** Knows the landmark templates: which points there are, in the order they are placed, with plain words for each. */

export interface LandmarkPoint {
  name: string;
  words: string;
  /** Where the point usually stands, 0–1 of the figure's own box, for a first guess. */
  at: readonly [number, number];
}

export type TemplateName = 'face-front' | 'figure-standing';

const p = (name: string, words: string, x: number, y: number): LandmarkPoint => ({ name, words, at: [x, y] });

export const TEMPLATES: Record<TemplateName, readonly LandmarkPoint[]> = {
  'face-front': [
    p('crown', 'top of the skull', 0.5, 0),
    p('chin', 'lowest point of the chin', 0.5, 1),
    p('hairline', 'where the hair begins', 0.5, 0.14),
    p('brow-left', 'brow over the left eye', 0.32, 0.42),
    p('brow-right', 'brow over the right eye', 0.68, 0.42),
    p('eye-left-outer', 'left eye, outer corner', 0.22, 0.5),
    p('eye-left-inner', 'left eye, inner corner', 0.42, 0.5),
    p('eye-right-inner', 'right eye, inner corner', 0.58, 0.5),
    p('eye-right-outer', 'right eye, outer corner', 0.78, 0.5),
    p('pupil-left', 'middle of the left pupil', 0.32, 0.5),
    p('pupil-right', 'middle of the right pupil', 0.68, 0.5),
    p('nose-left', 'left wing of the nose', 0.42, 0.68),
    p('nose-right', 'right wing of the nose', 0.58, 0.68),
    p('nose-base', 'under the nose', 0.5, 0.7),
    p('mouth-left', 'left corner of the mouth', 0.36, 0.8),
    p('mouth-right', 'right corner of the mouth', 0.64, 0.8),
    p('mouth-centre', 'where the lips meet', 0.5, 0.8),
    p('face-left', 'left edge of the face at the eyes', 0.05, 0.52),
    p('face-right', 'right edge of the face at the eyes', 0.95, 0.52),
    p('ear-left-top', 'top of the left ear', 0.01, 0.44),
    p('ear-left-bottom', 'bottom of the left ear', 0.04, 0.68),
    p('ear-right-top', 'top of the right ear', 0.99, 0.44),
    p('ear-right-bottom', 'bottom of the right ear', 0.96, 0.68),
    p('neck-left', 'left side of the neck', 0.22, 1.1),
    p('neck-right', 'right side of the neck', 0.78, 1.1),
    p('neck-base', 'pit of the neck', 0.5, 1.3),
  ],
  'figure-standing': [
    p('crown', 'top of the head', 0.5, 0),
    p('chin', 'lowest point of the chin', 0.5, 0.13),
    p('sole', 'under the feet', 0.5, 1),
    p('neck-base', 'pit of the neck', 0.5, 0.18),
    p('shoulder-left', 'left shoulder', 0.3, 0.2),
    p('shoulder-right', 'right shoulder', 0.7, 0.2),
    p('elbow-left', 'left elbow', 0.25, 0.38),
    p('elbow-right', 'right elbow', 0.75, 0.38),
    p('wrist-left', 'left wrist', 0.24, 0.5),
    p('wrist-right', 'right wrist', 0.76, 0.5),
    p('fingertip-left', 'left fingertips', 0.24, 0.58),
    p('fingertip-right', 'right fingertips', 0.76, 0.58),
    p('waist-left', 'left side of the waist', 0.38, 0.4),
    p('waist-right', 'right side of the waist', 0.62, 0.4),
    p('crotch', 'where the legs part', 0.5, 0.52),
    p('knee-left', 'left knee', 0.42, 0.74),
    p('knee-right', 'right knee', 0.58, 0.74),
    p('ankle-left', 'left ankle', 0.43, 0.95),
    p('ankle-right', 'right ankle', 0.57, 0.95),
    p('heel', 'back of one foot', 0.44, 0.99),
    p('toe', 'front of the same foot', 0.58, 0.99),
    p('hem-left', 'garment, left end of the hem', 0.2, 0.85),
    p('hem-right', 'garment, right end of the hem', 0.8, 0.85),
  ],
};

export const isTemplate = (name: string): name is TemplateName => Object.hasOwn(TEMPLATES, name);
