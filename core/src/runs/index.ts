export * from './hoseChoices';
export * from './lasting';
export { runNeeds, type RunNeed } from './runNeeds';
export * from './sensitivity';
export * from './waterReport';
export { circuitsOf, ingressOf, waterOf } from './circuitsOf';
export { runWell, simQuestionOf, type RunFault, type WellRunQuestion } from './wellRun';
