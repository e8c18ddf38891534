export { VersionsScreen as default } from '../../../features/screens';
