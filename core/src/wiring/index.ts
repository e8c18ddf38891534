export * from './ampacity';
export * from './opening';
export * from './rating';
export * from './resistance';
