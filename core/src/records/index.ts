export * from './bundle';
export * from './canonical';
export * from './chain';
export * from './checkBundle';
export * from './entry';
export * from './kinds';
export * from './known';
