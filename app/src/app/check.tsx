export { CheckScreen as default } from '../features/screens';
