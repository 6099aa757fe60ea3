import { everySentence } from '../../web/src/messages/catalogue';

const Absolute = globalThis.Request;

/** As in a page: a path is one of the page's own server. */
globalThis.Request = class extends Absolute {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === 'string' && input.startsWith('/') ? `http://tempesal.test${input}` : input, init);
  }
};

await everySentence();

// Its styles of parts that are no elements are not computed here, and nobody asks for what they are.
const computed = window.getComputedStyle.bind(window);
window.getComputedStyle = (element) => computed(element);
