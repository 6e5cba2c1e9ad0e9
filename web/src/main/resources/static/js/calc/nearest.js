// The index of the value nearest to an x, in a list that rises.
export function nearest(values, x) {
  let best = 0;
  values.forEach((value, i) => {
    if (Math.abs(value - x) < Math.abs(values[best] - x)) {
      best = i;
    }
  });
  return best;
}
