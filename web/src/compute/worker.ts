import { expose } from 'comlink';
import { work } from './tasks';

expose(work);
