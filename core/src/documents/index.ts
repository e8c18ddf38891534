export * from './buildTables';
export * from './stepEvents';
export * from './conductorList';
export * from './consequences';
export { holdsInWords } from './holdsInWords';
export * from './truthTable';
