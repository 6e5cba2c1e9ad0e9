// Attaches each behaviour to the elements that ask for it. Pages work without any of them.
import { liveForm, tellLastWords } from './behaviour/live-form.js';
import { quickLine } from './behaviour/quick-line.js';
import { splash, keepSplashAtHand } from './behaviour/splash.js';
import { keep } from './behaviour/keep.js';
import { sendWhatWaits } from './behaviour/waiting.js';
import { liveBench, stayAwake } from './behaviour/live-bench.js';
import { timer, timerInACorner } from './behaviour/timer.js';
import { keys } from './behaviour/keys.js';
import { clocks } from './behaviour/clocks.js';
import { scrub } from './behaviour/scrub.js';
import { once } from './behaviour/once.js';
import { secondsSince } from './behaviour/seconds-since.js';
import { layerDrawing } from './behaviour/layer-drawing.js';
import { hold } from './behaviour/hold.js';
import { keyList } from './behaviour/key-list.js';
import { fades } from './behaviour/fades.js';
import { firstVisit } from './behaviour/first-visit.js';
import { passkey } from './behaviour/passkey.js';
import { carry } from './behaviour/carry.js';
import { bringIn } from './behaviour/bring-in.js';
import { liveSearch } from './behaviour/live-search.js';
import { choose } from './behaviour/choose.js';
import { grows } from './behaviour/grows.js';
import { reorder } from './behaviour/reorder.js';
import { mistakes } from './behaviour/mistakes.js';
import { keepsUp } from './behaviour/keeps-up.js';
import { listKept, tellWhenAway } from './behaviour/away.js';

const attach = (selector, behaviour) => document.querySelectorAll(selector).forEach(behaviour);

attach('.field-problem', mistakes);
attach('[data-grows]', (rows) => grows(rows, choose));
attach('[data-grows]', reorder);
attach('[data-choose]', choose);
attach('[data-live-form]', liveForm);
attach('[data-layers]', layerDrawing);
attach('[data-quick-line]', quickLine);
attach('[data-splash]', splash);
attach('[data-scrub]', scrub);
attach('[data-once]', once);
attach('[data-seconds-since]', secondsSince);
attach('[data-live-search]', liveSearch);
attach('[data-hold]', hold);
attach('[data-carry]', carry);
attach('[data-bring-in]', bringIn);
attach('[data-first-visit]', firstVisit);
attach('form[data-passkey]', passkey);
attach('[data-fades]', fades);
document.querySelectorAll('[data-print]').forEach((button) => button.addEventListener('click', () => window.print()));
attach('[data-live-bench]', liveBench);
attach('[data-timer]', timer);
if (!document.querySelector('[data-timer]')) {
  timerInACorner(document.body);
}
attach('form[data-keep]', keep);
document.addEventListener('bench:replaced', () => attach('main form[data-keep]', keep));
if (document.querySelector('[data-live-bench]')) {
  stayAwake();
}
if (document.querySelector('nav.places')) {
  sendWhatWaits(document.body);
  tellLastWords();
}
keys(document);
keyList(document);
clocks(document);
keepSplashAtHand();
keepsUp(document, (part) => part.querySelectorAll('[data-once]').forEach(once));
tellWhenAway(document.body);
attach('[data-kept-pages]', listKept);
