/* The cursor of the keyboard goes on when what it stood on is taken away. jsdom draws nothing, so what is hidden is marked. */
import { keepFocus } from './focusKept';

beforeAll(() => {
  jest.useFakeTimers();
  Element.prototype.getClientRects = function (this: Element) {
    return (this.closest('[hidden]') ? [] : [1]) as unknown as DOMRectList;
  };
  keepFocus();
});
afterAll(() => jest.useRealTimers());

const page = (html: string) => {
  document.body.innerHTML = html;
};
const on = (id: string): HTMLElement => {
  const found = document.getElementById(id);
  if (!found) throw new Error(id);
  return found;
};
/** Presses what has the cursor; what the press takes away is gone when the page has answered. */
const pressed = (id: string, does: () => void) => {
  on(id).focus();
  on(id).addEventListener('click', does, { once: true });
  on(id).click();
  jest.advanceTimersByTime(1000);
  return document.activeElement?.id;
};
const row = (n: number) => `<tr id="row${String(n)}"><td><input id="cell${String(n)}"></td><td><button id="delete${String(n)}">x</button></td></tr>`;

it.each([
  ['the first line', 1, 'delete2'],
  ['one in the middle', 2, 'delete3'],
  ['the last line', 3, 'delete2'],
])('after %s is deleted it is on the same press of the line that stands there', (_, n, then) => {
  page(`<main><table><tbody>${row(1)}${row(2)}${row(3)}</tbody></table><button id="add">add</button></main>`);
  expect(pressed(`delete${String(n)}`, () => on(`row${String(n)}`).remove())).toBe(then);
});

it('after the only line is deleted it is on the next press, never in a cell', () => {
  page(`<main><input id="find"><table><tbody>${row(1)}</tbody></table><button id="add">add</button></main>`);
  expect(pressed('delete1', () => on('row1').remove())).toBe('add');
});

it('a cell whose line an undo takes away gives it to the same cell of the next', () => {
  page(`<main><table><tbody>${row(1)}${row(2)}</tbody></table></main>`);
  on('cell1').focus();
  on('row1').remove();
  document.dispatchEvent(new KeyboardEvent('keyup', { key: 'z', bubbles: true }));
  jest.advanceTimersByTime(1000);
  expect(document.activeElement?.id).toBe('cell2');
});

it('a message that is closed gives it back to where it was', () => {
  page('<main><button id="work">work</button><input id="line"></main><div class="says" id="told"><button id="close">close</button></div>');
  on('line').focus();
  expect(pressed('close', () => on('told').replaceChildren())).toBe('line');
});

it('an undo that can go no further gives it to its neighbour; a menu that closes to what opened it', () => {
  page('<main><button id="undo">undo</button><button id="redo">redo</button></main>');
  expect(pressed('undo', () => on('undo').setAttribute('disabled', ''))).toBe('redo');
  page('<main><div><button id="menu">actions</button><div id="list"><button id="delete">delete</button></div></div></main>');
  expect(
    pressed('delete', () => {
      on('list').hidden = true;
      on('delete').blur();
    }),
  ).toBe('menu');
});

it('with nothing beside it the head of the page has it; what somebody blurred stays so', () => {
  page('<main><h1 id="head">Jobs</h1><div id="box"><button id="only">go</button></div></main>');
  expect(pressed('only', () => on('box').remove())).toBe('head');
  page('<main><button id="stays">s</button></main>');
  expect(pressed('stays', () => on('stays').blur())).toBe('');
});
