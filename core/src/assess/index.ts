export type { AssessedAlarm } from './alarm';
export * from './assess';
export { leftAloneDaysOf } from './boatFacts';
export * from './circuit';
export * from './needs';
export * from './report';
export { plainFinding } from './tryFixes';
