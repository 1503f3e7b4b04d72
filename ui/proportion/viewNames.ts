/** What is done with proportion, each at an address of its own: points, shapes, the inventory, carrying over, drills. */
export const VIEWS = ['points', 'shapes', 'inventory', 'carry', 'parts', 'eye'] as const;
export type View = (typeof VIEWS)[number];
