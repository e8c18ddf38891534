import { expose } from 'comlink';
import { AssessWork } from './assessWork';

expose(new AssessWork());
