import { expose } from 'comlink';
import { waterWork } from './waterWork';

expose(waterWork);
