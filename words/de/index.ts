/** Jeder Satz auf Deutsch. */
import type { Catalogue } from '../catalogue';
import { background, app, bench, deleting, shared, signIn, steps, trouble } from './shell';
import { build, shapes } from './build';
import { carry } from './carry';
import { check } from './check';
import { follows } from './follows';
import { partsSheet } from './partsSheet';
import { manner, plumb } from './manner';
import { colour, compare, hanging, make, marks, pieces, proportion } from './benches';
import { eye, inventory } from './eye';
import { dividers } from './dividers';
import { edits } from './edits';
import { errors } from './errors';
import { evidence } from './evidence';
import { features, fields, groups, hand } from './features';
import { headless } from './headless';
import { kinds } from './kinds';
import { accidents, amounts, cautions, drying, hints, items, order, schedule } from './lesson';
import { layers } from './layers';
import { look, samples, stand } from './look';
import { board, run, warmUps } from './board';
import { plan, writer } from './plan';
import { parts, points, proportions, templates } from './proportions';
import { capture, colours, laid, mixing, readings } from './readings';
import { report } from './report';
import { cupboard, materials, swatches } from './cupboard';
import { about, classes, media, newStudy, rules, settings, sheets, studies } from './studies';
import { techniques } from './techniques';
import { units } from './units';
import { unusable } from './unusable';
import { uploads } from './uploads';

export const de: Catalogue = {
  amounts,
  app,
  background,
  bench,
  capture,
  cautions,
  build,
  shapes,
  carry,
  eye,
  inventory,
  partsSheet,
  follows,
  check,
  manner,
  plumb,
  classes,
  colour,
  colours,
  compare,
  about,
  accidents,
  cupboard,
  materials,
  deleting,
  dividers,
  drying,
  edits,
  errors,
  evidence,
  features: { ...features, proportion: proportions },
  fields,
  groups,
  hand,
  hanging,
  headless,
  hints,
  items,
  kinds,
  layers,
  look,
  make,
  marks,
  media,
  laid,
  mixing,
  newStudy,
  order,
  parts,
  pieces,
  plan,
  writer,
  board,
  run,
  warmUps,
  points,
  proportion,
  readings,
  report,
  rules,
  samples,
  schedule,
  settings,
  shared,
  swatches,
  sheets,
  signIn,
  stand,
  steps,
  studies,
  techniques,
  templates,
  trouble,
  units,
  unusable,
  uploads,
};
