// All pages but the yard’s come together: most of what one of them needs the others need too.
export { BoatScreen } from './boat/BoatScreen';
export { VersionsScreen } from './boat/VersionsScreen';
export { CheckScreen } from './check/CheckScreen';
export { CircuitScreen } from './circuit/CircuitScreen';
export { DueScreen } from './due/DueScreen';
export { LogScreen } from './log/LogScreen';
export { PracticeScreen } from './practice/PracticeScreen';
export { readBundle } from '../records/importBundle';
export { ReferenceScreen } from './reference/ReferenceScreen';
export { SettingsScreen } from './settings/SettingsScreen';
export { StockScreen } from './stock/StockScreen';
export { FirstBoat } from './yard/FirstBoat';
export { NewBoatDialog } from './yard/NewBoatDialog';
export { TripCheckDialog } from './yard/TripCheckDialog';
export { WaitingScreen } from './waiting/WaitingScreen';
