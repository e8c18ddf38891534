// The pages of a boat come together: most of what one of them needs the others need too.
export { BoatScreen } from './boat/BoatScreen';
export { VersionsScreen } from './boat/VersionsScreen';
export { CircuitScreen } from './circuit/CircuitScreen';
export { StockScreen } from './stock/StockScreen';
