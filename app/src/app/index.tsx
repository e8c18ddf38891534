export { YardScreen as default } from '../features/screens';
