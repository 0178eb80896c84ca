import { installChromium } from './install.mjs';

installChromium();
