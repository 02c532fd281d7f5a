import { keepFocus } from './keep-focus';

let end: () => void;
beforeEach(() => {
  end = keepFocus(document);
});
afterEach(() => {
  end();
  document.body.replaceChildren();
});

function draw(html: string): void {
  document.body.innerHTML = html;
}

const find = (selector: string): HTMLElement => {
  const found = document.querySelector<HTMLElement>(selector);
  if (!found) throw new Error(`nothing is ${selector}`);
  return found;
};

async function framesPass(count = 6): Promise<void> {
  for (let i = 0; i < count; i++) await new Promise(requestAnimationFrame);
}

const LIST = `<main><ul>
  <li id="a"><button>Put away: a</button></li>
  <li id="b"><button>Put away: b</button></li>
  <li id="c"><button>Put away: c</button></li>
</ul></main>`;

test('a row that is taken away gives the focus to the row after it, not to that row’s button', async () => {
  draw(LIST);
  find('#b button').focus();
  find('#b').remove();
  expect(document.activeElement).toBe(document.body);
  await framesPass();
  expect(document.activeElement?.id).toBe('c');
});

test('the last row gives it to the one before, the only one to its list', async () => {
  draw(LIST);
  find('#c button').focus();
  find('#c').remove();
  await framesPass();
  expect(document.activeElement?.id).toBe('b');
  find('#a').remove();
  find('#b button').focus();
  find('#b').remove();
  await framesPass();
  expect(document.activeElement?.tagName).toBe('UL');
});

test('a button whose place another one takes gives it to what both stand in: a second Enter presses nothing', async () => {
  draw('<main><p id="clock"><button>Start</button></p></main>');
  find('button').focus();
  find('#clock').innerHTML = '<button>Stop</button>';
  await framesPass();
  expect(document.activeElement?.id).toBe('clock');
});

test('a button that is shut off gives it to what it stands in', async () => {
  draw('<main><p id="acts"><button>Undo</button></p></main>');
  const undo = find('button');
  undo.focus();
  undo.blur(); // a browser does so by itself
  undo.setAttribute('disabled', '');
  await framesPass();
  expect(document.activeElement?.id).toBe('acts');
});

test('whoever knows better where to go on keeps the focus', async () => {
  draw(`${LIST}<h1 tabindex="-1">The plan is locked</h1>`);
  find('#b button').focus();
  find('#b').remove();
  requestAnimationFrame(() => requestAnimationFrame(() => find('h1').focus()));
  await framesPass();
  expect(document.activeElement?.tagName).toBe('H1');
});

test('what a dialog did is gone on from on the page, where it was asked', async () => {
  draw(`${LIST}<div id="dialog"><button>Take it out</button></div>`);
  find('#a button').focus();
  find('#dialog button').focus();
  find('#dialog').remove();
  find('#a').remove();
  await framesPass();
  expect(document.activeElement?.id).toBe('b');
});

test('a link that leads to another page goes on at that page', async () => {
  draw('<header><a href="#trials">Trials</a></header><main><a href="#beans">Beans</a></main>');
  find('main a').focus();
  find('main').outerHTML = '<main id="page" tabindex="-1"><h1>Beans</h1></main>';
  await framesPass();
  expect(document.activeElement?.id).toBe('page');
});

test('who has let go of everything is not called back', async () => {
  draw(LIST);
  find('#b button').focus();
  find('#b button').blur();
  document.body.dispatchEvent(new Event('pointerdown', { bubbles: true }));
  await framesPass(2);
  find('#b').remove();
  await framesPass();
  expect(document.activeElement).toBe(document.body);
});

test('a place that lent itself for the focus is an ordinary one again when that goes on', async () => {
  draw(LIST);
  find('#a button').focus();
  find('#a').remove();
  await framesPass();
  expect(find('#b').getAttribute('tabindex')).toBe('-1');
  find('#c button').focus();
  expect(find('#b').hasAttribute('tabindex')).toBe(false);
});
