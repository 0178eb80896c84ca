import '@fontsource-variable/source-sans-3/wght.css';
import '@fontsource/source-serif-4/latin-400.css';
import '@fontsource/source-serif-4/latin-600.css';
import '@fontsource/source-serif-4/latin-400-italic.css';
import './app/base.css';
import { speak } from './language/speak.ts';

// What a module says as soon as it is loaded is said in the language that is spoken by then.
void speak().then(() => import('./app/start.tsx'));
