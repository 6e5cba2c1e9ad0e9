// Moves a cursor along the strip and shows the inside of the loaf at that moment.
import { nearest } from '../calc/nearest.js';
import { nodes, outlines, path } from '../calc/contours.js';

const SVG = 'http://www.w3.org/2000/svg';
const COLDEST = 20;
const STEP = 5;
const STEPS = 16;
const HALF_KELVIN = 2;
const FROM_CELSIUS = -25;
const FROM_ABOVE = 14.25;
const FIRST_LETTER = 65;

export function scrub(place) {
  const strip = place.querySelector('.strip svg');
  const section = place.querySelector('[data-section]');
  const source = place.querySelector('template[data-moments]');
  if (!strip || !section || !source) {
    return;
  }
  const columns = Number(section.dataset.columns);
  const rows = Number(section.dataset.rows);
  const width = Number(section.dataset.width);
  const height = Number(section.dataset.height);
  const moments = [...source.content.querySelectorAll('span')].map((span) => {
    const [x, when, core, gelled, celsius, above, probe] = span.textContent.split('|');
    return { x: Number(x), when, core, gelled, celsius, above, probe };
  });
  const xs = moments.map((m) => m.x);
  const make = (name, css) => {
    const element = document.createElementNS(SVG, name);
    element.setAttribute('class', css);
    return element;
  };
  // Each step lies on the one before, from cold to hot; where it begins there is a line of equal temperature.
  const bands = Array.from({ length: STEPS }, (_, k) => make('path', `heat-${k} isotherm`));
  const halo = make('path', 'gel-halo');
  const gel = make('path', 'gel-line');
  const group = make('g', 'section-field');
  group.append(...bands, halo, gel);
  section.querySelector('[data-cells]').replaceWith(group);
  const cursor = make('path', 'cursor');
  strip.append(cursor);

  // The half that is told, and its mirror.
  const whole = (half) => Array.from({ length: 2 * columns * rows }, (_, i) => {
    const row = Math.floor(i / (2 * columns));
    const column = i % (2 * columns);
    return half[row * columns + (column < columns ? columns - 1 - column : column - columns)];
  });

  function show(index) {
    const moment = moments[index];
    const celsius = Array.from({ length: columns * rows }, (_, i) => parseInt(moment.celsius.slice(2 * i, 2 * i + 2), 16) / HALF_KELVIN + FROM_CELSIUS);
    const above = [...moment.above].map((letter) => (letter.charCodeAt(0) - FIRST_LETTER) / HALF_KELVIN - FROM_ABOVE);
    const scaleX = width / (2 * columns);
    const scaleY = height / rows;
    const heat = nodes(whole(celsius), 2 * columns, rows);
    bands.forEach((band, k) => band.setAttribute('d', path(outlines(heat, k === 0 ? -100 : COLDEST + STEP * k), scaleX, scaleY)));
    const gelled = path(outlines(nodes(whole(above), 2 * columns, rows), 0), scaleX, scaleY);
    [halo, gel].forEach((line) => line.setAttribute('d', gelled));
    place.querySelector('[data-section-when]').textContent = moment.when;
    place.querySelector('[data-section-core]').textContent = moment.core;
    place.querySelector('[data-section-gelled]').textContent = moment.gelled;
    place.querySelector('[data-section-probe]').textContent = moment.probe;
    cursor.setAttribute('d', `M${moment.x} 26V640`);
  }

  strip.addEventListener('pointermove', (event) => {
    const box = strip.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * strip.viewBox.baseVal.width;
    show(nearest(xs, x));
  });
  show(Number(section.dataset.shown));
  cursor.removeAttribute('d');
}
