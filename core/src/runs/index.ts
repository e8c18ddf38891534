export * from './hoseChoices';
export * from './lasting';
export { runNeeds, type RunNeed } from './runNeeds';
export * from './sensitivity';
export * from './waterReport';
export { circuitsOf, runWell, simQuestionOf, waterOf, type RunFault, type WellRunQuestion } from './wellRun';
