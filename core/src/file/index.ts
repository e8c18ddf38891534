export * from './jobSchema';
export * from './readJob';
