export * from './outline';
export * from './plan';
export * from './registry';
export { motorOf } from './standardParts';
