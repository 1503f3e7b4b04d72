/** Knows which landmark templates there are, and what their points and parts are called. */
import { Message, message } from '../message';
import { Template } from './template';
import { animalFront, animalSide } from './templates/animal';
import { birdOpen, birdSide } from './templates/bird';
import { faceFront } from './templates/faceFront';
import { faceProfile } from './templates/faceProfile';
import { faceThreeQuarter } from './templates/faceThreeQuarter';
import { figureBent } from './templates/figureBent';
import { figurePart, figureSeated } from './templates/figureSeated';
import { figureStanding } from './templates/figureStanding';
import { landscape } from './templates/landscape';
import { stillLife } from './templates/stillLife';
import { twoBodies } from './templates/twoBodies';

/** In the order they are offered. */
export const TEMPLATES = {
  'face-front': faceFront,
  'face-three-quarter': faceThreeQuarter,
  'face-profile': faceProfile,
  'figure-standing': figureStanding,
  'figure-seated': figureSeated,
  'figure-part': figurePart,
  'figure-bent': figureBent,
  'two-bodies': twoBodies,
  'animal-side': animalSide,
  'animal-front': animalFront,
  'bird-side': birdSide,
  'bird-open': birdOpen,
  landscape,
  'still-life': stillLife,
} as const satisfies Record<string, Template>;

export type TemplateName = keyof typeof TEMPLATES;
export const TEMPLATE_NAMES = Object.keys(TEMPLATES) as TemplateName[];

export const isTemplate = (name: string): name is TemplateName => Object.hasOwn(TEMPLATES, name);

/** The template to open a picture with: the first of these names that is one, else the whole figure. */
export const templateToOpen = (...names: readonly (string | undefined)[]): TemplateName =>
  names.find((n): n is TemplateName => n !== undefined && isTemplate(n)) ?? 'figure-standing';

/** What a point is called. */
export const pointName = (template: TemplateName, point: string): Message => message(`points.${template}.${point}`);

export const templateName = (template: TemplateName): Message => message(`templates.${template}`);

export const partName = (template: TemplateName, part: string): Message => message(`parts.${template}.${part}`);
