export { DueScreen as default } from '../features/screens';
