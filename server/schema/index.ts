export * from './accounts';
export * from './jobs';
export * from './lessons';
export * from './pictures';
export * from './pieces';
export * from './references';
export * from './studies';
