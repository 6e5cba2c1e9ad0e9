// Attaches each behaviour to the elements that ask for it. Pages work without any of them.
import { liveForm } from './behaviour/live-form.js';
import { quickLine } from './behaviour/quick-line.js';
import { splash, keepSplashAtHand } from './behaviour/splash.js';
import { keys } from './behaviour/keys.js';
import { clocks } from './behaviour/clocks.js';
import { scrub } from './behaviour/scrub.js';
import { once } from './behaviour/once.js';
import { layerDrawing } from './behaviour/layer-drawing.js';
import { filterList } from './behaviour/filter-list.js';

const attach = (selector, behaviour) => document.querySelectorAll(selector).forEach(behaviour);

attach('[data-live-form]', liveForm);
attach('[data-layers]', layerDrawing);
attach('[data-quick-line]', quickLine);
attach('[data-splash]', splash);
attach('[data-scrub]', scrub);
attach('[data-once]', once);
attach('[data-filter]', filterList);
document.querySelectorAll('[data-print]').forEach((button) => button.addEventListener('click', () => window.print()));
keys(document);
clocks(document);
keepSplashAtHand();
