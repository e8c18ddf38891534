export * from './element';
export * from './motor';
export * from './netlist';
export * from './parts';
export * from './solve';
