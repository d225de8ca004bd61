import { Linter } from "eslint";
import { expect, test } from "vitest";
import { inCatalogue } from "./words.js";

const caught = (code) =>
  new Linter()
    .verify(code, {
      languageOptions: { parserOptions: { ecmaFeatures: { jsx: true } } },
      plugins: { page: { rules: { words: inCatalogue } } },
      rules: { "page/words": "error" },
    })
    .map((one) => one.message).length;

test.each([
  "<p>nothing</p>",
  "<p>{none ? 'nothing' : words}</p>",
  "<p>{next && 'next: '}</p>",
  "<p>{`about ${size}`}</p>",
  "<Field label='Span' />",
  "<Field label={far ? 'far' : near} />",
  "<p>{list.map((one) => `${one} far`).join(', ')}</p>",
  "let states = { OPEN: say('open'), VOID: say('void'), DONE: 'done' }",
  "let states = { A: [say('a'), 'x'], B: [say('b'), 'x'], DONE: ['done', 'x'] }",
  "let rows = [['pitch', say('up')], ['roll', 'right']]",
  "const seenWords = (seen) => { return seen.none ? 'right' : seen.map(words); }",
  "const wayWords = (up) => (up ? 'up' : say('down'))",
  "<p>{one.control.toLowerCase()}</p>",
  "<button aria-label={'Take ' + name} />",
])("words in a page are caught: %s", (code) => {
  expect(caught(code)).toBe(1);
});

test.each([
  "<p>{say('words.nothing')}</p>",
  "<p>{kind === 'ROLL' ? words : ''}</p>",
  "<p>{`${size} ° / ${other}`}</p>",
  "<p className={wide ? 'text-lg' : 'text-sm'} data-state='open' />",
  "<p>{one} → {other}</p>",
  "<p>{pulse} µs</p>",
  "let rows = [['roll', say('up')], ['yaw', say('right')]]",
  "const key = (up) => (up ? 'up' : 'down')",
  "let stage = { to: 'program', label: say('stage') }",
  "<p>{list.filter((one) => one !== 'far').map(words)}</p>",
])("what is no word, or not shown, is free: %s", (code) => {
  expect(caught(code)).toBe(0);
});
