export * from './alternatives';
export * from './behaviour';
export * from './conductors';
export * from './protection';
export * from './settings';
export * from './sizing';
export * from './smallerSize';
