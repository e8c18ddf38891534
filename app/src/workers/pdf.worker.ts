import { expose } from 'comlink';
import { pdfWork } from './pdfWork';

expose(pdfWork);
