export * from './ampacity';
export * from './cautions';
export * from './conductors';
export * from './copper';
export * from './defaults';
export * from './dropSchools';
export * from './protection';
