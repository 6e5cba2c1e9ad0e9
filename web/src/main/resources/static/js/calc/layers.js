// Upper edges of layers as they are typed, in mm, and the outlines that follow from them. The server works the same out when it answers;
// this only keeps the drawing with the finger.

export function parseLine(text, width) {
  const words = text.trim().replace(/[;,]\s+|;/g, ' ').replace(/\s*:\s*/g, ':').split(/\s+/).filter(Boolean);
  const number = (word) => Number(word.replace(',', '.').replace(/mm$/, ''));
  const points = text.includes(':')
    ? words.map((word) => word.split(':')).map(([x, h]) => ({ x: number(x), h: number(h ?? '') }))
    : words.length === 1
      ? [{ x: 0, h: number(words[0]) }]
      : words.map((word, i) => ({ x: (width * i) / (words.length - 1), h: number(word) }));
  const readable = points.length > 0 && points.every((p) => Number.isFinite(p.x) && Number.isFinite(p.h));
  return readable ? points.sort((a, b) => a.x - b.x) : null;
}

export function heightAt(points, x) {
  if (x <= points[0].x) {
    return points[0].h;
  }
  for (let i = 1; i < points.length; i++) {
    if (x <= points[i].x) {
      const part = (x - points[i - 1].x) / (points[i].x - points[i - 1].x);
      return points[i - 1].h + part * (points[i].h - points[i - 1].h);
    }
  }
  return points[points.length - 1].h;
}

// A point moved within its neighbours sideways, the walls, the line below and the line above.
export function movePoint(points, index, x, h, limits) {
  const left = index === 0 ? 0 : points[index - 1].x + 1;
  const right = index === points.length - 1 ? limits.width : points[index + 1].x - 1;
  const fixed = points.length === 1 || index === 0 || index === points.length - 1;
  const newX = fixed ? points[index].x : Math.min(right, Math.max(left, x));
  const low = limits.below ? heightAt(limits.below, newX) : 0;
  const high = limits.above ? heightAt(limits.above, newX) : limits.height;
  const moved = points.slice();
  moved[index] = { x: round(newX), h: round(Math.min(high, Math.max(low, h))) };
  return moved;
}

export function writeLine(points) {
  const flat = points.every((p) => p.h === points[0].h);
  return flat ? String(round(points[0].h)) : points.map((p) => `${round(p.x)}:${round(p.h)}`).join(' ');
}

// A flat line gets a corner in its middle and at both walls, so that it can be bent.
export function bendable(points, width) {
  return points.length > 1 ? points : [0, width / 2, width].map((x) => ({ x, h: points[0].h }));
}

export function outline(top, below, face) {
  const corners = [...new Set([0, face.width, ...top.map((p) => p.x), ...below.map((p) => p.x)])]
    .filter((x) => x >= 0 && x <= face.width)
    .sort((a, b) => a - b);
  const at = (x, h) => `${round(face.left + x * face.scale)} ${round(face.bottom - h * face.scale)}`;
  const up = corners.map((x) => at(x, heightAt(top, x)));
  const down = corners.reverse().map((x) => at(x, heightAt(below, x)));
  return `M${[...up, ...down].join('L')}Z`;
}

function round(value) {
  return Math.round(value * 10) / 10;
}
