export * from './assess';
export * from './circuit';
export * from './needs';
export * from './report';
export * from './reasons';
