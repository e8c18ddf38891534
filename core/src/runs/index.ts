export * from './hoseChoices';
export * from './lasting';
export { runNeeds, type RunNeed } from './runNeeds';
export * from './sensitivity';
export * from './waterReport';
export { circuitsOf, ingressOf, waterOf } from './circuitsOf';
export { runFaultKeys, runFaults, type RunFault } from './runFaults';
export { runWell, simQuestionOf, type WellRunQuestion } from './wellRun';
