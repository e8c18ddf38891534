export { CircuitScreen as default } from '../../../../features/screens';
