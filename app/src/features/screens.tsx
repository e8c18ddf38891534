import { fetchWorkerAhead } from '../data/waterWorker';
import { lazily } from '../ui/lazily';
import { resting } from '../ui/resting';

/**
 * Every page of the application, each loaded when it is first shown or while nothing else is to be done. All but the yard come
 * in one piece: what two pieces share would have to come before the yard, which needs none of it.
 */
const Yard = lazily(() => import('./yard/YardScreen').then(({ YardScreen: screen }) => screen));
const Boat = lazily(() => import('./laterPages').then(({ BoatScreen: screen }) => screen));
const Circuit = lazily(() => import('./laterPages').then(({ CircuitScreen: screen }) => screen));
const Versions = lazily(() => import('./laterPages').then(({ VersionsScreen: screen }) => screen));
const Reference = lazily(() => import('./laterPages').then(({ ReferenceScreen: screen }) => screen));
const Waiting = lazily(() => import('./laterPages').then(({ WaitingScreen: screen }) => screen));
const Stock = lazily(() => import('./laterPages').then(({ StockScreen: screen }) => screen));
const Log = lazily(() => import('./laterPages').then(({ LogScreen: screen }) => screen));
const Due = lazily(() => import('./laterPages').then(({ DueScreen: screen }) => screen));
const Check = lazily(() => import('./laterPages').then(({ CheckScreen: screen }) => screen));
const Practice = lazily(() => import('./laterPages').then(({ PracticeScreen: screen }) => screen));
const Settings = lazily(() => import('./laterPages').then(({ SettingsScreen: screen }) => screen));

export const YardScreen = resting(Yard);
export const BoatScreen = resting(Boat);
export const CircuitScreen = resting(Circuit);
export const VersionsScreen = resting(Versions);
export const ReferenceScreen = resting(Reference);
export const WaitingScreen = resting(Waiting);
export const StockScreen = resting(Stock);
export const LogScreen = resting(Log);
export const DueScreen = resting(Due);
export const CheckScreen = resting(Check);
export const SettingsScreen = resting(Settings);
export const PracticeScreen = resting(Practice);

/** The order in which a user is likely to come to them. */
const likely = [Yard, Boat, Circuit, Log, Due, Stock, Check, Reference, Settings, Practice, Versions, Waiting];

/** Brings every page onto the device, one after the other: in the bilge there may be no connection later. */
export async function fetchScreensAhead(): Promise<void> {
  for (const screen of likely) await screen.fetchAhead();
  fetchWorkerAhead();
}
