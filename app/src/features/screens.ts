import { lazily } from '../ui/lazily';

/** Every page of the application, each loaded when it is first shown or while nothing else is to be done. */
export const YardScreen = lazily(() => import('./yard/YardScreen').then(({ YardScreen: screen }) => screen));
export const BoatScreen = lazily(() => import('./boat/BoatScreen').then(({ BoatScreen: screen }) => screen));
export const CircuitScreen = lazily(() =>
  import('./circuit/CircuitScreen').then(({ CircuitScreen: screen }) => screen),
);
export const VersionsScreen = lazily(() =>
  import('./boat/VersionsScreen').then(({ VersionsScreen: screen }) => screen),
);
export const ReferenceScreen = lazily(() =>
  import('./reference/ReferenceScreen').then(({ ReferenceScreen: screen }) => screen),
);
export const SettingsScreen = lazily(() =>
  import('./settings/SettingsScreen').then(({ SettingsScreen: screen }) => screen),
);

/** The order in which a user is likely to come to them. */
const likely = [YardScreen, BoatScreen, CircuitScreen, ReferenceScreen, SettingsScreen, VersionsScreen];

/** Brings every page onto the device, one after the other: in the bilge there may be no connection later. */
export async function fetchScreensAhead(): Promise<void> {
  for (const screen of likely) await screen.fetchAhead();
}
