export * from './outline';
export * from './plan';
export * from './registry';
export * from './rewire';
export { motorOf } from './standardParts';
