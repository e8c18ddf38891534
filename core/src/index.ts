export * from './assess';
export * from './circuit';
export * from './findings';
export * from './job';
export * from './reference';
export * from './schemes';
export * from './units';
export * from './wiring';
