// The pure calculations of the pages.
import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { elapsed } from '../../web/src/main/resources/static/js/calc/elapsed.js';
import { nearest } from '../../web/src/main/resources/static/js/calc/nearest.js';
import { outbox } from '../../web/src/main/resources/static/js/calc/outbox.js';

function store() {
  const slots = new Map();
  return {
    getItem: (k) => slots.get(k) ?? null,
    setItem: (k, v) => slots.set(k, v),
    removeItem: (k) => slots.delete(k),
    size: () => slots.size,
  };
}

describe('a stopwatch', () => {
  test('counts hours, minutes and seconds', () => {
    assert.equal(elapsed(0, 3_661_999), '01:01:01');
  });

  test('stands at zero when the clocks disagree', () => {
    assert.equal(elapsed(5000, 1000), '00:00:00');
  });

  test('goes on past a day', () => {
    assert.equal(elapsed(0, 100 * 3_600_000), '100:00:00');
  });
});

describe('the nearest moment', () => {
  test('is the one with the least distance', () => {
    assert.equal(nearest([10, 20, 40], 29), 1);
    assert.equal(nearest([10, 20, 40], 31), 2);
  });

  test('is an end when the pointer is outside', () => {
    assert.equal(nearest([10, 20, 40], -5), 0);
    assert.equal(nearest([10, 20, 40], 500), 2);
  });
});

describe('the outbox', () => {
  test('keeps a line until it is acknowledged', () => {
    const box = outbox(store(), '/bench/1/log');
    box.put('a', 'quick=light');
    box.put('b', 'quick=thin');
    assert.deepEqual(box.all(), [['a', 'quick=light'], ['b', 'quick=thin']]);
    assert.equal(box.drop('a'), true);
    assert.deepEqual(box.all(), [['b', 'quick=thin']]);
  });

  test('keeps one line for one key', () => {
    const box = outbox(store(), '/x');
    box.put('a', 'quick=light');
    box.put('a', 'quick=light');
    assert.equal(box.all().length, 1);
  });

  test('leaves nothing behind when it is empty', () => {
    const slots = store();
    const box = outbox(slots, '/x');
    box.put('a', '1');
    box.drop('a');
    assert.equal(slots.size(), 0);
    assert.equal(box.drop('a'), false);
  });

  test('survives what it cannot read', () => {
    const slots = store();
    slots.setItem('outbox:/x', 'not json');
    assert.deepEqual(outbox(slots, '/x').all(), []);
  });

  test('does not keep anybody from logging when the store is full', () => {
    const full = { getItem: () => null, setItem: () => { throw new Error('full'); }, removeItem: () => {} };
    assert.doesNotThrow(() => outbox(full, '/x').put('a', '1'));
  });
});
