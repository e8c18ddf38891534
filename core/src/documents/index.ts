export * from './conductorList';
