/**
 * The inner loops in AssemblyScript, compiled to WebAssembly: four pixels at a time. JavaScript spends most of a convolution on loading and
 * storing single numbers. Addresses are bytes, sizes pixels; the caller lays the memory out. No literals of arrays or strings: they would
 * lie in the memory that the caller hands out. Changed only together with module.ts: `npm run kernels`.
 */
export { box, boxes, separable, spread } from './filters';
export { addGradient, density, steepest, tensor, turns } from './tensor';
export { distance } from './distance';
export { apart, darker, gather, lab, linearRow } from './colour';
export { components, sauvola, thin } from './outline';
export { bandSums, borderSums, countUnder, halved, ridges, rise, runSums, sizeSums } from './closeUp';
export { nearestForms } from './forms';
export { either, large, less, marks, over, shared, slope, times } from './layers';
export { binned, colours, lengths, luminance, reduced, steps, weighed } from './planes';
export { lit, relit, squared } from './sheet';
export { besideLines, depth, pieceSums, strips } from './window';
