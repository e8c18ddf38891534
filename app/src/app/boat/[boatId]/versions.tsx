export { VersionsScreen as default } from '../../../features/boat/VersionsScreen';
