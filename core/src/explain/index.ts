export * from './assumptions';
export * from './hoseWorking';
export * from './reasons';
export * from './schools';
export * from './working';
