/** Knows the landmark templates: which points there are, in the order they are placed, and where each usually stands. */
import { Message, message } from '../message';

export interface LandmarkPoint {
  name: string;
  /** Where the point usually stands, 0–1 of the figure's own box, for a first guess. */
  at: readonly [number, number];
}

export type TemplateName = 'face-front' | 'figure-standing';

const p = (name: string, x: number, y: number): LandmarkPoint => ({ name, at: [x, y] });

export const TEMPLATES: Record<TemplateName, readonly LandmarkPoint[]> = {
  'face-front': [
    p('crown', 0.5, 0),
    p('chin', 0.5, 1),
    p('hairline', 0.5, 0.14),
    p('brow-left', 0.32, 0.42),
    p('brow-right', 0.68, 0.42),
    p('eye-left-outer', 0.22, 0.5),
    p('eye-left-inner', 0.42, 0.5),
    p('eye-right-inner', 0.58, 0.5),
    p('eye-right-outer', 0.78, 0.5),
    p('pupil-left', 0.32, 0.5),
    p('pupil-right', 0.68, 0.5),
    p('nose-left', 0.42, 0.68),
    p('nose-right', 0.58, 0.68),
    p('nose-base', 0.5, 0.7),
    p('mouth-left', 0.36, 0.8),
    p('mouth-right', 0.64, 0.8),
    p('mouth-centre', 0.5, 0.8),
    p('face-left', 0.05, 0.52),
    p('face-right', 0.95, 0.52),
    p('ear-left-top', 0.01, 0.44),
    p('ear-left-bottom', 0.04, 0.68),
    p('ear-right-top', 0.99, 0.44),
    p('ear-right-bottom', 0.96, 0.68),
    p('neck-left', 0.22, 1.1),
    p('neck-right', 0.78, 1.1),
    p('neck-base', 0.5, 1.3),
  ],
  'figure-standing': [
    p('crown', 0.5, 0),
    p('chin', 0.5, 0.13),
    p('sole', 0.5, 1),
    p('neck-base', 0.5, 0.18),
    p('shoulder-left', 0.3, 0.2),
    p('shoulder-right', 0.7, 0.2),
    p('elbow-left', 0.25, 0.38),
    p('elbow-right', 0.75, 0.38),
    p('wrist-left', 0.24, 0.5),
    p('wrist-right', 0.76, 0.5),
    p('fingertip-left', 0.24, 0.58),
    p('fingertip-right', 0.76, 0.58),
    p('waist-left', 0.38, 0.4),
    p('waist-right', 0.62, 0.4),
    p('crotch', 0.5, 0.52),
    p('knee-left', 0.42, 0.74),
    p('knee-right', 0.58, 0.74),
    p('ankle-left', 0.43, 0.95),
    p('ankle-right', 0.57, 0.95),
    p('heel', 0.44, 0.99),
    p('toe', 0.58, 0.99),
    p('hem-left', 0.2, 0.85),
    p('hem-right', 0.8, 0.85),
  ],
};

export const isTemplate = (name: string): name is TemplateName => Object.hasOwn(TEMPLATES, name);

/** What a point is called. */
export const pointName = (template: TemplateName, point: string): Message => message(`points.${template}.${point}`);

export const templateName = (template: TemplateName): Message => message(`templates.${template}`);
