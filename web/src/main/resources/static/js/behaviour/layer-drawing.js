// Drags the corners of drawn layers, by finger, mouse or arrow keys. The typed line is the truth: a drag rewrites it, and the form works
// itself out anew when the finger lets go.
import { bendable, heightAt, movePoint, outline, parseLine, writeLine } from '../calc/layers.js';

const STEP = 1;

export function layerDrawing(form) {
  let drag = null;

  const svg = () => form.querySelector('svg.face');
  const inputs = () => [...form.querySelectorAll('input[data-line]')].filter((input) => input.value.trim() !== '');

  function face() {
    const d = svg().dataset;
    return { scale: +d.scale, left: +d.left, bottom: +d.bottom, width: +d.width, height: +d.height };
  }

  function lines(f) {
    return inputs().map((input) => parseLine(input.value, f.width) ?? [{ x: 0, h: 0 }]);
  }

  function move(layer, point, x, h) {
    const f = face();
    const all = lines(f);
    const moved = movePoint(all[layer], point, x, h, {
      width: f.width,
      height: f.height,
      below: all[layer - 1],
      above: all[layer + 1],
    });
    inputs()[layer].value = writeLine(moved);
    all[layer] = moved;
    redraw(f, all);
  }

  function redraw(f, all) {
    const floor = [{ x: 0, h: 0 }];
    svg().querySelectorAll('path[data-layer]').forEach((path, i) => path.setAttribute('d', outline(all[i], all[i - 1] ?? floor, f)));
    svg().querySelectorAll('.handle').forEach((handle) => {
      const p = all[+handle.dataset.layer][+handle.dataset.point];
      if (p) {
        handle.setAttribute('cx', f.left + p.x * f.scale);
        handle.setAttribute('cy', f.bottom - p.h * f.scale);
      }
    });
  }

  function place(event) {
    const f = face();
    const box = svg().getBoundingClientRect();
    const unit = svg().viewBox.baseVal.width / box.width;
    return { x: ((event.clientX - box.left) * unit - f.left) / f.scale, h: (f.bottom - (event.clientY - box.top) * unit) / f.scale };
  }

  form.addEventListener('pointerdown', (event) => {
    const handle = event.target.closest('.handle');
    if (handle) {
      drag = handle;
      handle.setPointerCapture(event.pointerId);
      event.preventDefault();
    }
  });
  form.addEventListener('pointermove', (event) => {
    if (drag) {
      const { x, h } = place(event);
      move(+drag.dataset.layer, +drag.dataset.point, x, h);
    }
  });
  // At the window: a drawing that was replaced under the finger has lost its hold on it, and the finger may be lifted beside the form.
  const letGo = () => {
    if (drag) {
      inputs()[+drag.dataset.layer]?.dispatchEvent(new Event('input', { bubbles: true }));
      drag = null;
    }
  };
  window.addEventListener('pointerup', letGo);
  window.addEventListener('pointercancel', letGo);
  form.addEventListener('keydown', (event) => {
    const handle = event.target.closest?.('.handle');
    const by = { ArrowUp: [0, STEP], ArrowDown: [0, -STEP], ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0] }[event.key];
    if (handle && by) {
      const point = lines(face())[+handle.dataset.layer][+handle.dataset.point];
      move(+handle.dataset.layer, +handle.dataset.point, point.x + by[0], point.h + by[1]);
      inputs()[+handle.dataset.layer].dispatchEvent(new Event('input', { bubbles: true }));
      event.preventDefault();
    }
  });
  // A double tap on a layer bends its upper edge: a flat line gets three corners, another one more where it was tapped.
  form.addEventListener('dblclick', (event) => {
    const path = event.target.closest?.('path[data-layer]');
    if (path) {
      const layer = [...svg().querySelectorAll('path[data-layer]')].indexOf(path);
      const f = face();
      const points = lines(f)[layer];
      const { x } = place(event);
      const bent = points.length === 1 ? bendable(points, f.width) : [...points, { x, h: heightAt(points, x) }].sort((a, b) => a.x - b.x);
      inputs()[layer].value = bent.map((p) => `${Math.round(p.x * 10) / 10}:${Math.round(p.h * 10) / 10}`).join(' ');
      inputs()[layer].dispatchEvent(new Event('input', { bubbles: true }));
    }
  });
  // Another way of dividing needs other fields: ask the server for them.
  form.querySelectorAll('[data-more-rows]').forEach((choice) => choice.addEventListener('change', () => form.querySelector('[data-rows]').click()));
}
