// How a kept line reaches the server.
import assert from 'node:assert/strict';
import { afterEach, beforeEach, describe, mock, test } from 'node:test';
import { deliver } from '../../web/src/main/resources/static/js/behaviour/deliver.js';
import { outbox } from '../../web/src/main/resources/static/js/calc/outbox.js';
import { store } from './store.mjs';

const settled = () => new Promise((done) => { setImmediate(done); });

const page = (token, who) => ({
  querySelector: (css) => (css.includes('who') ? { content: who, dataset: { shown: who, writes: 'true' } } : { content: token }),
});

describe('a line', () => {
  let kept;
  let sent;
  let told;
  let answers;

  beforeEach(() => {
    mock.timers.enable({ apis: ['setTimeout', 'Date'], now: 1_000_000 });
    kept = outbox(store(), '/bench/1/log');
    sent = [];
    told = { said: [], taken: [], refused: 0, denied: 0 };
    answers = [];
    globalThis.location = { href: 'http://workshop/bench/1', assign: () => {} };
    globalThis.document = page('old', 'ines');
    globalThis.DOMParser = class {
      parseFromString(text) {
        const [token, who = 'ines'] = text.split(' for ');
        return page(token, who);
      }
    };
    globalThis.fetch = async (address, options) => {
      if (options) {
        sent.push(Object.fromEntries(options.body));
      }
      const answer = answers.shift();
      if (answer === undefined) {
        throw new TypeError('no connection');
      }
      return { ok: answer.status < 400, url: address, redirected: false, ...answer, text: async () => answer.token ?? '' };
    };
  });

  afterEach(() => mock.timers.reset());

  const send = (since) => deliver({
    action: '/bench/1/log',
    kept,
    key: 'a',
    body: new URLSearchParams('key=a&quick=light&_csrf=old'),
    since,
    say: (words) => told.said.push(words),
    taken: (address) => told.taken.push(address),
    refused: () => { told.refused += 1; },
    denied: () => { told.denied += 1; },
  });

  test('that is taken waits no more', async () => {
    answers.push({ status: 200, redirected: true, url: 'http://workshop/bench/1?step=mix' });
    await send();
    assert.deepEqual(told.taken, ['http://workshop/bench/1?step=mix']);
    assert.deepEqual(kept.all(), []);
    assert.equal(sent[0].late, '0');
  });

  test('that finds no server is sent again, and tells how late it is', async () => {
    await send();
    assert.equal(kept.all().length, 1);
    assert.match(told.said[0], /kept here/);
    answers.push({ status: 503 }, { status: 200, redirected: true, url: 'x' });
    mock.timers.tick(2500);
    await settled();
    mock.timers.tick(2500);
    await settled();
    assert.equal(sent.length, 3);
    assert.deepEqual(sent.map((s) => s.late), ['0', '0', '5']);
    assert.equal(told.taken.length, 1);
    assert.deepEqual(kept.all(), []);
  });

  test('of an earlier visit tells how long ago it was made', async () => {
    answers.push({ status: 200, redirected: true, url: 'x' });
    await send(1_000_000 - 600_000);
    assert.equal(sent[0].late, '600');
  });

  test('that cannot be taken is shown and waits no more', async () => {
    answers.push({ status: 200 });
    await send();
    assert.equal(told.refused, 1);
    assert.deepEqual(kept.all(), []);
  });

  test('stays when the server fails', async () => {
    answers.push({ status: 500 });
    await send();
    assert.match(told.said[0], /write it down/);
    assert.equal(kept.all().length, 1);
  });

  test('fetches a new form token after the server was away', async () => {
    answers.push({ status: 403 }, { status: 200, token: 'new' }, { status: 200, redirected: true, url: 'x' });
    await send();
    assert.deepEqual(sent.map((s) => s._csrf), ['old', 'new']);
    assert.equal(told.taken.length, 1);
  });

  test('finds the token of the session that stays, when several were begun at once', async () => {
    answers.push({ status: 403 }, { status: 200, token: 'of one' }, { status: 403 }, { status: 200, token: 'of the other' }, { status: 200, redirected: true, url: 'x' });
    await send();
    mock.timers.tick(400);
    await settled();
    assert.deepEqual(sent.map((s) => s._csrf), ['old', 'of one', 'of the other']);
    assert.equal(told.taken.length, 1);
    assert.equal(told.denied, 0);
  });

  test('stays when nobody is signed in who may log', async () => {
    // Each page has a token that looks different; all mean the same.
    for (let i = 0; i < 5; i += 1) {
      answers.push({ status: 403 }, { status: 200, token: `masked anew ${i}` });
    }
    answers.push({ status: 403 });
    await send();
    for (let i = 0; i < 5; i += 1) {
      mock.timers.tick(2000);
      await settled();
    }
    assert.equal(sent.length, 6);
    assert.equal(told.denied, 1);
    assert.equal(kept.all().length, 1);
  });

  test('does not go out in the name of whoever signed in since', async () => {
    answers.push({ status: 403 }, { status: 200, token: 'new for odd' });
    await send();
    assert.equal(sent.length, 1);
    assert.equal(told.denied, 1);
    assert.equal(kept.all()[0].whose.name, 'ines');
  });

  test('is for somebody else when the sign-in page answers', async () => {
    answers.push({ status: 403 }, { status: 200, url: 'http://workshop/sign-in' });
    await send();
    assert.equal(sent.length, 1);
    assert.equal(told.denied, 1);
    assert.equal(kept.all().length, 1);
  });
});
