// Lines of equal value through a field that is known in the middle of cells: marching squares, joined into closed outlines of all that is at or
// above a threshold. The field is read on to the edges, and lies far below outside of them, so that every outline is closed.
const FAR_BELOW = -1e6;

// The middle of the cells, the edges, and a rim outside.
export function nodes(values, columns, rows) {
  const at = (c, r) => values[r * columns + c];
  const along = (n) => [0, ...Array.from({ length: n }, (_, i) => i + 0.5), n];
  const cell = (place, n) => Math.max(0, Math.min(n - 2, Math.floor(place - 0.5)));
  const inside = (x, y) => {
    const c = cell(x, columns);
    const r = cell(y, rows);
    const dx = x - 0.5 - c;
    const dy = y - 0.5 - r;
    const upper = at(c, r) + (at(c + 1, r) - at(c, r)) * dx;
    const lower = at(c, r + 1) + (at(c + 1, r + 1) - at(c, r + 1)) * dx;
    return upper + (lower - upper) * dy;
  };
  const xs = along(columns);
  const ys = along(rows);
  const rim = (list, n) => [-1e-3, ...list, n + 1e-3];
  return {
    xs: rim(xs, columns),
    ys: rim(ys, rows),
    values: rim(ys, rows).map((y, j) => rim(xs, columns).map((x, i) => {
      const outside = i === 0 || j === 0 || i === xs.length + 1 || j === ys.length + 1;
      return outside ? FAR_BELOW : inside(x, y);
    })),
  };
}

// Closed outlines, each a list of points, of what is at or above the threshold.
export function outlines(field, threshold) {
  const next = new Map();
  const { xs, ys, values } = field;
  const key = (p) => `${p[0].toFixed(4)} ${p[1].toFixed(4)}`;
  for (let j = 0; j < ys.length - 1; j += 1) {
    for (let i = 0; i < xs.length - 1; i += 1) {
      // Clockwise from the upper left.
      const corners = [[i, j], [i + 1, j], [i + 1, j + 1], [i, j + 1]];
      const above = corners.map(([a, b]) => values[b][a] >= threshold);
      const crossing = (n) => {
        const [a, b] = [corners[n], corners[(n + 1) % 4]];
        const [u, v] = [values[a[1]][a[0]], values[b[1]][b[0]]];
        const part = (threshold - u) / (v - u);
        return [xs[a[0]] + (xs[b[0]] - xs[a[0]]) * part, ys[a[1]] + (ys[b[1]] - ys[a[1]]) * part];
      };
      // Going round, the inside is left at one side and entered again at another: those are joined, the inside to one hand.
      const leaves = [];
      const enters = [];
      for (let n = 0; n < 4; n += 1) {
        if (above[n] && !above[(n + 1) % 4]) {
          leaves.push(n);
        } else if (!above[n] && above[(n + 1) % 4]) {
          enters.push(n);
        }
      }
      leaves.forEach((leave) => {
        // In a saddle, to the side that comes next on the way round.
        const enter = enters.length === 1 ? enters[0] : enters.find((e) => e === (leave + 1) % 4);
        const from = crossing(leave);
        const to = crossing(enter);
        if (key(from) !== key(to)) {
          next.set(key(from), to);
        }
      });
    }
  }
  const found = [];
  while (next.size > 0) {
    const [first] = next.keys();
    const line = [];
    for (let at = first; next.has(at);) {
      const point = next.get(at);
      next.delete(at);
      line.push(point);
      at = key(point);
    }
    if (line.length > 2) {
      found.push(line);
    }
  }
  return found;
}

// As a path, scaled.
export function path(lines, scaleX, scaleY) {
  return lines
    .map((line) => `M${line.map(([x, y]) => `${(x * scaleX).toFixed(1)} ${(y * scaleY).toFixed(1)}`).join('L')}Z`)
    .join('');
}
