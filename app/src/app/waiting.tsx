export { WaitingScreen as default } from '../features/screens';
