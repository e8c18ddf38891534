export * from './buildTables';
export * from './jobSheet';
export * from './labelSheet';
export * from './sheetNodes';
export * from './stepEvents';
export * from './conductorList';
export * from './consequences';
export { holdsInWords } from './holdsInWords';
export * from './truthTable';
