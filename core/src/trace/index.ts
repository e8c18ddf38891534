export * from './decisionTree';
export * from './diagnose';
export * from './hunt';
export * from './huntModel';
export * from './huntTest';
export * from './hypothesis';
export * from './shares';
export * from './symptoms';
