export * from './posts';
export * from './questions';
