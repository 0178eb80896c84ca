import { expose } from 'comlink';
import { canPaint, painted } from './painted.ts';
import { Pictures } from './pictures.ts';

expose(new Pictures(canPaint() ? painted : undefined));
