export { BoatScreen as default } from '../../../features/screens';
