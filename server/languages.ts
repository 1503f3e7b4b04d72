/** Knows which languages this installation speaks. */
import { Language, offeredLanguages } from '../words/languages';

export const languagesHere = (): readonly Language[] => offeredLanguages(process.env.OLDHAND_PSEUDO_LANGUAGES === 'on');
