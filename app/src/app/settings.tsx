export { SettingsScreen as default } from '../features/screens';
