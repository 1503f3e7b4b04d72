import type { TemplateName } from '@/core/proportion/templates';

export const TEMPLATE_NAMES: Record<TemplateName, string> = {
  'face-front': 'Face from the front',
  'figure-standing': 'Standing figure',
};
