export { YardScreen as default } from '../features/yard/YardScreen';
