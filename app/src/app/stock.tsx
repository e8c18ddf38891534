export { StockScreen as default } from '../features/screens';
