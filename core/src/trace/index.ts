export * from './posts';
export * from './questions';
export * from './panelOutline';
