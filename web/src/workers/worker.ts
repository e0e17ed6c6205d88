import { expose } from 'comlink';
import { work } from './work';

expose(work);
