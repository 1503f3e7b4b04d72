/** Between which numbers a lesson can be wished for; the sentences of the forms name the same ones. */
export const BOUNDS = {
  minutesPerPeriod: [25, 240],
  periods: [1, 12],
  classSize: [1, 60],
  youngest: [4, 99],
  sinks: [1, 60],
  rack: [0, 1000],
} as const;
