import type { Engine } from './engine';

const PATIENCE = 20_000;
const PRESSED = 'a[href], button, [role=button], [role=tab], label';

/** What a gardener does: opens, presses what has a name, writes into what has a label, reads. */
export interface Hand {
  readonly open: (url: string) => Promise<void>;
  readonly press: (name: string | RegExp) => Promise<void>;
  readonly write: (label: string, text: string) => Promise<void>;
  /** Types into what has the focus, and goes on with Enter. */
  readonly enter: (text: string) => Promise<void>;
  readonly reads: (words: string | RegExp) => Promise<void>;
  /** Waits for an expression in the page to be true. */
  readonly until: (what: string, expression: string) => Promise<void>;
  readonly text: () => Promise<string>;
}

export function handOf(engine: Engine): Hand {
  const until = async (what: string, expression: string): Promise<void> => {
    const end = Date.now() + PATIENCE;
    while (!(await engine.evaluate<boolean>(expression).catch(() => false))) {
      if (Date.now() > end) throw new Error(`Waited in vain: ${what}`);
      await new Promise(resolve => setTimeout(resolve, 100));
    }
  };
  /** A drawing that comes later moves what lies under it. */
  const standsStill = async (): Promise<void> => {
    const place = (): Promise<string> =>
      engine.evaluate(
        `JSON.stringify(document.querySelector('[data-in-hand]')?.getBoundingClientRect() ?? null)`,
      );
    for (let before = ''; ; ) {
      const now = await place();
      if (now === before) return;
      before = now;
      await new Promise(resolve => setTimeout(resolve, 250));
    }
  };
  const press = async (name: string | RegExp): Promise<void> => {
    await until(`“${name}” to press`, marked(PRESSED, name));
    await standsStill();
    await engine.click('[data-in-hand]');
  };
  return {
    press,
    until,
    open: async url => {
      await engine.open(url);
      await until(`${url} takes input`, `document.documentElement.hasAttribute('data-ready')`);
    },
    write: async (label, text) => {
      await until(`the field “${label}”`, labelled(label));
      await engine.click('[data-in-hand]');
      await engine.type(text);
    },
    enter: async text => {
      await engine.type(text);
      await engine.enter();
    },
    reads: words => until(`“${words}” to read`, `${said(words)}.test(document.body.innerText)`),
    text: () => engine.evaluate('document.body.innerText'),
  };
}

function said(words: string | RegExp): string {
  const source =
    typeof words === 'string' ? words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : words.source;
  return `new RegExp(${JSON.stringify(source)})`;
}

/** Marks the one that has the name, if it is seen and can be pressed. */
function marked(selector: string, name: string | RegExp): string {
  const is =
    typeof name === 'string' ? `name === ${JSON.stringify(name)}` : `${said(name)}.test(name)`;
  return mark(
    `[...document.querySelectorAll(${JSON.stringify(selector)})].filter(each => {
      const name = (each.getAttribute('aria-label') ?? each.innerText ?? '').trim();
      return ${is} && each.getClientRects().length > 0 && !each.disabled;
    }).at(-1)`, // a dialog stands after the page it lies on
  );
}

function labelled(label: string): string {
  return mark(
    `[...document.querySelectorAll('label')].find(each => each.innerText.trim() === ${JSON.stringify(label)})?.control`,
  );
}

function mark(found: string): string {
  return `(() => {
    const found = ${found};
    document.querySelectorAll('[data-in-hand]').forEach(each => each.removeAttribute('data-in-hand'));
    found?.setAttribute('data-in-hand', '');
    return found !== undefined && found !== null;
  })()`;
}
