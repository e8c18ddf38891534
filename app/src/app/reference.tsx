export { ReferenceScreen as default } from '../features/reference/ReferenceScreen';
