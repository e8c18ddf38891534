export * from './buildTables';
export * from './conductorList';
export * from './consequences';
export { holdsInWords } from './holdsInWords';
export * from './truthTable';
