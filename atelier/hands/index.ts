/** Knows the six invented hands that ship as sample works. */
import { ANSGRAVE_HAND } from './ansgrave';
import { OOSTVIK } from './tiles';
import { SKARN } from './orchard';
import { LEUVIK } from './stage';
import { RAAKE } from './rigging';
import { SampleHand } from './sample';
import { OSK } from './weather';

export const SAMPLE_HANDS: readonly SampleHand[] = [ANSGRAVE_HAND, OOSTVIK, SKARN, LEUVIK, RAAKE, OSK];
