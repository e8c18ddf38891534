export * from './alternatives';
export * from './behaviour';
export * from './conductors';
export { protectionFacts, ratingInForce, withRating } from './protection';
export {
  everySolved,
  leastBy,
  ownFeedOnly,
  runningSettings,
  solveIn,
  withPump,
  withSupply,
  type Solved,
} from './settings';
export { dropInForce, ohmsAt, proposeSize, sizeNamed, type Drop, type NamedSize, type SizingQuestion } from './sizing';
export { SizingMemory } from './sizingMemory';
export { smallerSizeOf } from './smallerSize';
