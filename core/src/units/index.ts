export * from './quantity';
export * from './parse';
export * from './format';
export { SLACK } from './slack';
