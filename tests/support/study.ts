/** What an empty study of nobody in particular is made of. */
export const NEW_STUDY = {
  title: 'A study',
  master: 'An invented hand',
  kind: 'master' as const,
  aim: 'study' as const,
  medium: 'pen',
  about: '',
  classId: null,
  paperWidthMm: 297,
  paperHeightMm: 210,
};
