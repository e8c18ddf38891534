export * from './differences';
export * from './fieldNames';
export * from './fields';
export * from './plausible';
export * from './schema';
export * from './readJob';
export * from './newJob';
