// The pure calculations of the pages.
import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { bytes, text } from '../../web/src/main/resources/static/js/calc/base64url.js';
import { matching } from '../../web/src/main/resources/static/js/calc/choices.js';
import { countdown, elapsed, left, silent } from '../../web/src/main/resources/static/js/calc/elapsed.js';
import { nodes, outlines, path } from '../../web/src/main/resources/static/js/calc/contours.js';
import { nearest } from '../../web/src/main/resources/static/js/calc/nearest.js';
import { bendable, heightAt, movePoint, outline, parseLine, writeLine } from '../../web/src/main/resources/static/js/calc/layers.js';
import { outbox, places } from '../../web/src/main/resources/static/js/calc/outbox.js';
import { sameWords, typing } from '../../web/src/main/resources/static/js/calc/typing.js';
import { words, wordsToAnother } from '../../web/src/main/resources/static/js/calc/waiting-words.js';
import { minutes, read, rings, start, stop } from '../../web/src/main/resources/static/js/calc/timers.js';
import { store } from './store.mjs';

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

describe('bytes in an address', () => {
  test('come back as they were, of every length and value', () => {
    for (let length = 0; length < 260; length += 1) {
      const some = Uint8Array.from({ length }, (_, i) => (i * 7 + length) % 256);
      assert.deepEqual(bytes(text(some)), some);
      assert.match(text(some), /^[\w-]*$/);
    }
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
    box.put('a', 'quick=light', 1);
    box.put('b', 'quick=thin', 2);
    assert.deepEqual(box.all().map((l) => l.body), ['quick=light', 'quick=thin']);
    assert.equal(box.drop('a'), true);
    assert.deepEqual(box.all(), [{ key: 'b', body: 'quick=thin', since: 2, refused: '', whose: null }]);
  });

  test('knows whose a line is, and keeps no token', () => {
    const slots = store();
    const box = outbox(slots, '/x');
    box.put('a', 'quick=light&_csrf=secret', 3, { name: 'odd', shown: 'Odd Brekke' });
    assert.equal(box.all()[0].whose.name, 'odd');
    assert.equal(slots.getItem('outbox:/x').includes('secret'), false);
  });

  test('keeps one line for one key', () => {
    const box = outbox(store(), '/x');
    box.put('a', 'quick=light');
    box.put('a', 'quick=light');
    assert.equal(box.all().length, 1);
  });

  test('tells them in the order in which they were made', () => {
    const box = outbox(store(), '/x');
    box.put('late', 'quick=light', 200);
    box.put('early', 'quick=thin', 100);
    assert.deepEqual(box.all().map((l) => l.key), ['early', 'late']);
  });

  test('keeps what was refused, with the reason, until it is laid aside', () => {
    const box = outbox(store(), '/x');
    box.put('a', 'quick=lye+400', 5);
    box.refuse('a', 'Too hot.');
    box.refuse('unknown', 'Nothing.');
    assert.deepEqual(box.all(), [{ key: 'a', body: 'quick=lye+400', since: 5, refused: 'Too hot.', whose: null }]);
  });

  test('reads lines that were kept before they knew their moment', () => {
    const slots = store();
    slots.setItem('outbox:/x', JSON.stringify({ a: 'quick=light' }));
    assert.deepEqual(outbox(slots, '/x').all(), [{ key: 'a', body: 'quick=light', since: 0, refused: '', whose: null }]);
  });

  test('knows all places that something waits for', () => {
    const slots = store();
    slots.setItem('bench-timer', '5');
    outbox(slots, '/bench/1/log').put('a', '1', 1);
    outbox(slots, '/batch/2/log').put('b', '2', 1);
    assert.deepEqual(places(slots), ['/bench/1/log', '/batch/2/log']);
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

describe('a drawn layer', () => {
  test('is read as the server reads it', () => {
    assert.deepEqual(parseLine('22', 80), [{ x: 0, h: 22 }]);
    assert.deepEqual(parseLine('20 34,5 20', 80), [{ x: 0, h: 20 }, { x: 40, h: 34.5 }, { x: 80, h: 20 }]);
    assert.deepEqual(parseLine('0:20, 30:34 80:18', 80), [{ x: 0, h: 20 }, { x: 30, h: 34 }, { x: 80, h: 18 }]);
    assert.equal(parseLine('soft', 80), null);
  });

  test('is written as it was read', () => {
    assert.equal(writeLine(parseLine('0:20 30:34.5 80:18', 80)), '0:20 30:34.5 80:18');
    assert.equal(writeLine(parseLine('22 22', 80)), '22');
  });

  test('is straight between its corners and flat beyond', () => {
    const line = parseLine('10:20 30:40', 80);
    assert.equal(heightAt(line, 0), 20);
    assert.equal(heightAt(line, 20), 30);
    assert.equal(heightAt(line, 80), 40);
  });

  test('stays between its neighbours and inside the mould when it is dragged', () => {
    const line = parseLine('0:20 40:20 80:20', 80);
    const limits = { width: 80, height: 70, below: parseLine('10', 80), above: parseLine('50', 80) };
    assert.deepEqual(movePoint(line, 1, 200, 65, limits)[1], { x: 79, h: 50 });
    assert.deepEqual(movePoint(line, 1, 40, 3, limits)[1], { x: 40, h: 10 });
    assert.deepEqual(movePoint(line, 0, 30, 25, limits)[0], { x: 0, h: 25 });
    assert.equal(movePoint(line, 1, 40, 99, { width: 80, height: 70 })[1].h, 70);
  });

  test('bends when it is flat', () => {
    assert.deepEqual(bendable(parseLine('20', 80), 80).map((p) => p.x), [0, 40, 80]);
  });

  test('has an outline down to the one below', () => {
    const face = { width: 80, left: 10, bottom: 100, scale: 1 };
    assert.equal(outline(parseLine('20', 80), parseLine('10', 80), face), 'M10 80L90 80L90 90L10 90Z');
  });
});

describe('a kitchen timer', () => {
  test('counts down and on', () => {
    assert.equal(countdown(0, 65_000), '01:05');
    assert.equal(countdown(70_000, 65_000), '+00:05');
  });
});

describe('a device', () => {
  test('is silent after ten seconds', () => {
    assert.equal(silent(1000, 9000), '');
    assert.equal(silent(1000, 13_000), 'silent for 12 s');
    assert.equal(silent(0, 13_000), 'not heard yet');
  });
});

test('minutes that are left are whole until ten, then with seconds, and end', () => {
  assert.equal(left(25 * 60_000, 0), '25 min');
  assert.equal(left(9 * 60_000 + 5_000, 0), '9:05 min');
  assert.equal(left(0, 1), 'now');
  assert.equal(left(3 * 3_600_000, 0), '3.0 h');
});

test('a line that could not be logged is told by its own words and its moment', () => {
  const made = new Date(2026, 10, 25, 9, 5);
  assert.equal(words({ body: 'key=1&quick=lye&degrees=400', since: made.getTime() }, made), 'Not taken: “lye 400” of 09:05.');
  assert.equal(words({ body: 'key=1', since: 0 }, made), 'Not taken: “a tap”.');
  const line = { body: 'quick=thin', since: made.getTime(), whose: { name: 'odd', shown: 'Odd Brekke' } };
  assert.match(wordsToAnother(line, made), /^“thin” of 09:05 waits here. Odd Brekke made it, and it is logged when Odd Brekke signs in/);
  assert.match(wordsToAnother({ ...line, whose: null }, made), /nobody knows who made it/);
});

describe('kitchen timers', () => {
  const two = start(start([], 15, 'Match', 0), 1, 'Lye pot', 0);

  test('stand in the order in which they end, each by its name', () => {
    assert.deepEqual(two.map((t) => [t.name, t.end]), [['Lye pot', 60_000], ['Match', 900_000]]);
  });

  test('are stopped one by one', () => {
    assert.deepEqual(stop(two, two[0].id).map((t) => t.name), ['Match']);
    assert.deepEqual(stop(two, 99), two);
  });

  test('are not started for nothing, for days, nor without end', () => {
    assert.deepEqual(start([], 0, '', 0), []);
    assert.deepEqual(start([], NaN, '', 0), []);
    assert.deepEqual(start([], 2000, '', 0), []);
    let many = [];
    for (let i = 0; i < 10; i++) {
      many = start(many, 5, '', 0);
    }
    assert.equal(many.length, 6);
    assert.equal(new Set(many.map((t) => t.id)).size, 6);
  });

  test('ring when they end and again until they are stopped, for two minutes', () => {
    assert.equal(rings(two, 59_999), 0);
    assert.equal(rings(two, 60_000), 1);
    assert.equal(rings(two, 66_000), 2);
    assert.equal(rings(two, 60_000 + 120_000), rings(two, 60_000 + 500_000));
    assert.equal(rings(stop(two, two[0].id), 66_000), 0);
  });

  test('survive a store that holds something else', () => {
    assert.deepEqual(read(null), []);
    assert.deepEqual(read('{"a":1}'), []);
    assert.deepEqual(read('not json'), []);
    assert.deepEqual(read(JSON.stringify(two)), two);
  });

  test('take minutes as they are typed', () => {
    assert.equal(minutes('7'), 7);
    assert.equal(minutes('7,5 min'), 7.5);
    assert.equal(minutes('90 s'), 1.5);
    assert.equal(minutes('1h'), 60);
    assert.ok(Number.isNaN(minutes('soon')));
  });
});

test('a few letters mean names first, then kinds, own ones before others', () => {
  const choices = [
    { value: 'olive', name: 'Olive oil (virgin)', also: 'plant oleic', like: ['canola', 'almond'] },
    { value: 'olive@L1', name: 'Olive, lot L1', also: 'plant oleic', own: true },
    { value: 'lard', name: 'Lard', also: 'animal hard', like: ['tallow'] },
    { value: 'tallow', name: 'Tallow, beef', also: 'animal hard' },
    { value: 'almond', name: 'Sweet almond oil', also: 'plant oleic' },
  ];
  const values = (query) => matching(query, choices).map((c) => c.value);
  assert.deepEqual(values('oli'), ['olive@L1', 'olive']);
  assert.deepEqual(values('almond sw'), ['almond']);
  assert.deepEqual(values('animal'), ['lard', 'tallow']);
  assert.deepEqual(values('like lard'), ['tallow']);
  assert.deepEqual(values('like oliv'), ['almond']);
  assert.deepEqual(values('like moss'), []);
  assert.equal(values('')[0], 'olive@L1');
  assert.deepEqual(values('xyz'), []);
  assert.deepEqual(values('olive ('), ['olive@L1', 'olive']);
});

describe('outlines of a field', () => {
  const area = (line) => Math.abs(line.reduce((sum, [x, y], i) => {
    const [u, v] = line[(i + 1) % line.length];
    return sum + x * v - u * y;
  }, 0)) / 2;
  const of = (columns, rows, value) => Array.from({ length: columns * rows }, (_, i) => value((i % columns) + 0.5, Math.floor(i / columns) + 0.5));

  test('hold all of a field that is above and none of one that is below', () => {
    const field = nodes(of(6, 4, () => 50), 6, 4);
    const all = outlines(field, 40);
    assert.equal(all.length, 1);
    assert.ok(Math.abs(area(all[0]) - 24) < 0.05, String(area(all[0])));
    assert.deepEqual(outlines(field, 60), []);
  });

  test('cut a slope where it passes the threshold', () => {
    // Rises by 10 a cell to the right: 25 is reached in the middle.
    const half = outlines(nodes(of(5, 5, (x) => 10 * x), 5, 5), 25);
    assert.equal(half.length, 1);
    assert.ok(Math.abs(area(half[0]) - 12.5) < 0.05, String(area(half[0])));
  });

  test('go round a warm middle, and round two', () => {
    const round = outlines(nodes(of(20, 20, (x, y) => 8 - Math.hypot(x - 10, y - 10)), 20, 20), 0);
    assert.equal(round.length, 1);
    assert.ok(Math.abs(area(round[0]) - Math.PI * 64) < 4, String(area(round[0])));
    const hill = (x, y, u) => Math.max(0, 4 - Math.hypot(x - u, y - 5));
    assert.equal(outlines(nodes(of(20, 10, (x, y) => hill(x, y, 5) + hill(x, y, 15)), 20, 10), 1).length, 2);
  });

  test('are closed paths', () => {
    assert.equal(path([[[0, 0], [1, 0], [1, 1]]], 10, 20), 'M0.0 0.0L10.0 0.0L10.0 20.0Z');
  });
});

describe('what is typed', () => {
  test('is there until it is answered', () => {
    const slots = store();
    typing(slots, 'a').keep(new URLSearchParams('note=warm'));
    assert.equal(typing(slots, 'a').left(), 'note=warm');
    assert.equal(typing(slots, 'b').left(), '');
    typing(slots, 'a').done();
    assert.equal(typing(slots, 'a').left(), '');
  });

  test('stands in nobody\'s way where nothing can be kept', () => {
    const none = { setItem: () => { throw new Error('full'); }, getItem: () => { throw new Error('no'); }, removeItem: () => { throw new Error('no'); } };
    typing(none, 'a').keep('note=warm');
    assert.equal(typing(none, 'a').left(), '');
  });

  test('is the same whatever page it is on', () => {
    assert.equal(sameWords('note=a&page=1&key=2', 'key=9&note=a&page=3'), true);
    assert.equal(sameWords('note=a', 'note=b'), false);
    assert.equal(sameWords('fatId=x&fatId=y', 'fatId=y&fatId=x'), false);
  });
});
