import {askOfRun} from './ask.js';

// The program beside the picture. Only the lines in sight are in the page, so any length scrolls.

const HEIGHT = 18;
const SPARE = 10;

export class ProgramList {
  constructor(element, player) {
    this.element = element;
    this.player = player;
    this.lines = [];
    this.lit = -1;
    this.space = document.createElement('div');
    this.space.setAttribute('role', 'presentation');
    element.replaceChildren(this.space);
    element.addEventListener('scroll', () => this.#paint());
    element.addEventListener('keydown', (e) => this.#key(e));
    element.addEventListener('click', (e) => {
      const line = e.target.closest('.program-line');
      if (line) {
        this.choose(Number(line.dataset.line));
      }
    });
    new ResizeObserver(() => this.#paint()).observe(element);
    player.addEventListener('moment', () => this.#follow());
  }

  async load(job) {
    const revision = this.element.dataset.revision ?? '';
    // never the text of another revision than the one that is lit
    this.lines = [];
    this.#note(revision ? `revision ${revision}` : 'the next revision');
    this.#paint();
    const text = await askOfRun(job, 'program', {revision});
    if (text === null) {
      this.lines = [];
      this.#note('no program can be written');
      this.#paint();
      return;
    }
    this.lines = text.lines;
    this.items = text.items;
    this.current = text.current;
    this.lineOfItem = new Map();
    this.items.forEach((item, line) => item >= 0 && this.lineOfItem.set(item, line));
    const head = revision ? `revision ${text.revision}` : `next: revision ${text.revision}`;
    this.#note(`${head} · ${this.lines.length} lines${this.current ? '' : ' · of an earlier plan'}`);
    this.space.style.height = this.lines.length * HEIGHT + 'px';
    this.space.style.position = 'relative';
    this.lit = -1;
    this.#paint();
    this.#follow();
  }

  #note(text) {
    document.getElementById('program-note').textContent = text;
  }

  /** Lights a line and moves the machine to the end of what it does. */
  choose(line) {
    this.#light(line);
    if (this.current && this.items[line] >= 0) {
      this.player.seekItem(this.items[line]);
    }
  }

  #key(event) {
    const by = {ArrowDown: 1, ArrowUp: -1, PageDown: 20, PageUp: -20}[event.key];
    if (by && this.lines.length) {
      event.preventDefault();
      event.stopPropagation();
      this.choose(Math.max(0, Math.min(this.lines.length - 1, this.lit + by)));
    }
  }

  #follow() {
    if (!this.current || !this.lines.length || this.items[this.lit] === this.player.index) {
      return;
    }
    let item = this.player.index;
    while (item > 0 && !this.lineOfItem.has(item)) {
      item--;
    }
    if (this.lineOfItem.has(item)) {
      this.#light(this.lineOfItem.get(item));
    }
  }

  #light(line) {
    this.lit = line;
    const top = line * HEIGHT;
    const {scrollTop, clientHeight} = this.element;
    if (top < scrollTop + HEIGHT || top > scrollTop + clientHeight - 3 * HEIGHT) {
      this.element.scrollTop = Math.max(0, top - clientHeight / 2);
    }
    this.#paint();
  }

  #paint() {
    const first = Math.max(0, Math.floor(this.element.scrollTop / HEIGHT) - SPARE);
    const last = Math.min(this.lines.length, first + Math.ceil(this.element.clientHeight / HEIGHT) + 2 * SPARE);
    const rows = [];
    for (let i = first; i < last; i++) {
      const row = document.createElement('div');
      row.className = 'program-line' + (i === this.lit ? ' lit' : '') + (this.items[i] < 0 ? ' comment' : '');
      row.id = 'line-' + i;
      row.role = 'option';
      row.ariaSelected = String(i === this.lit);
      row.dataset.line = i;
      row.style.top = i * HEIGHT + 'px';
      row.textContent = this.lines[i];
      rows.push(row);
    }
    this.space.replaceChildren(...rows);
    if (this.lit >= first && this.lit < last) {
      this.element.setAttribute('aria-activedescendant', 'line-' + this.lit);
    } else {
      this.element.removeAttribute('aria-activedescendant');
    }
  }
}
