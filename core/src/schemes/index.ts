export * from './exampleBoats';
export * from './keys';
export * from './outline';
export * from './plan';
export * from './planCircuit';
export * from './registry';
export * from './rewire';
export * from './waysOut';
export { motorOf } from './standardParts';
