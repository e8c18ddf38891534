export { LogScreen as default } from '../../../features/screens';
