export type { Alternative } from './alternatives';
export * from './assess';
export * from './assumptions';
export * from './circuit';
export * from './needs';
export * from './report';
export * from './reasons';
export * from './working';
