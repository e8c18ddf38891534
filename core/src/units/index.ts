export * from './quantity';
export * from './parse';
export * from './format';
export * from './isoTime';
export { SLACK } from './slack';
