export { ReferenceScreen as default } from '../features/screens';
