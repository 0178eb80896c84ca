import { expose } from 'comlink';
import { Pictures } from './pictures.ts';

expose(new Pictures());
