import { lazily } from '../ui/lazily';

/** Every page of the application, each loaded when it is first shown or while nothing else is to be done. */
export const YardScreen = lazily(async () => (await import('./yard/YardScreen')).YardScreen);
export const BoatScreen = lazily(async () => (await import('./boat/BoatScreen')).BoatScreen);
export const CircuitScreen = lazily(async () => (await import('./circuit/CircuitScreen')).CircuitScreen);
export const VersionsScreen = lazily(async () => (await import('./boat/VersionsScreen')).VersionsScreen);
export const ReferenceScreen = lazily(async () => (await import('./reference/ReferenceScreen')).ReferenceScreen);
export const SettingsScreen = lazily(async () => (await import('./settings/SettingsScreen')).SettingsScreen);

/** The order in which a user is likely to come to them. */
const likely = [YardScreen, BoatScreen, CircuitScreen, ReferenceScreen, SettingsScreen, VersionsScreen];

/** Brings every page onto the device, one after the other: in the bilge there may be no connection later. */
export async function fetchScreensAhead(): Promise<void> {
  for (const screen of likely) await screen.fetchAhead();
}
