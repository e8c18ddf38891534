export * from './fields';
export * from './schema';
export * from './readJob';
export * from './newJob';
