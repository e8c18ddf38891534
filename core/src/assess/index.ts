export * from './assess';
export * from './assessed';
export { Assessor, batteryOf } from './Assessor';
export { leftAloneDaysOf } from './boatFacts';
export * from './needs';
export * from './report';
export { asFinding } from './tryFix';
export { withIdea } from './withIdea';
