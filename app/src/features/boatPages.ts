// The pages of a boat come together: most of what one of them needs the others need too.
export { BoatScreen } from './boat/BoatScreen';
export { VersionsScreen } from './boat/VersionsScreen';
export { CircuitScreen } from './circuit/CircuitScreen';
export { DueScreen } from './due/DueScreen';
export { LogScreen } from './log/LogScreen';
export { readBundle } from '../records/importBundle';
export { TripCheckDialog } from './yard/TripCheckDialog';
export { StockScreen } from './stock/StockScreen';
