export * from './proveTest';
export * from './proveTests';
export * from './readOn';
export * from './verdict';
export * from './voids';
export * from './windows';
