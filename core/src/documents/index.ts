export * from './conductorList';
export * from './truthTable';
