// Moves a cursor along the strip and shows the inside of the loaf at that moment.
import { nearest } from '../calc/nearest.js';

const SVG = 'http://www.w3.org/2000/svg';

export function scrub(place) {
  const strip = place.querySelector('.strip svg');
  const section = place.querySelector('[data-section]');
  const source = place.querySelector('template[data-moments]');
  if (!strip || !section || !source) {
    return;
  }
  const moments = [...source.content.querySelectorAll('span')].map((span) => {
    const [x, when, core, cells] = span.textContent.split('|');
    return { x: Number(x), when, core, cells };
  });
  const xs = moments.map((m) => m.x);
  const rects = [...section.querySelectorAll('rect:not(.section-frame)')];
  const cursor = document.createElementNS(SVG, 'path');
  cursor.setAttribute('class', 'cursor');
  strip.append(cursor);

  function show(index) {
    const moment = moments[index];
    rects.forEach((rect, i) => rect.setAttribute('class', `heat-${moment.cells.charCodeAt(i) - 97}`));
    place.querySelector('[data-section-when]').textContent = moment.when;
    place.querySelector('[data-section-core]').textContent = moment.core;
    cursor.setAttribute('d', `M${moment.x} 26V640`);
  }

  strip.addEventListener('pointermove', (event) => {
    const box = strip.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * strip.viewBox.baseVal.width;
    show(nearest(xs, x));
  });
}
