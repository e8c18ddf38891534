import { expose } from 'comlink';
import { photoWork } from './photoWork';

expose(photoWork);
