export { PracticeScreen as default } from '../features/screens';
