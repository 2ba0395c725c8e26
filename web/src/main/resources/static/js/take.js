// Any number field of the slip can be filled from the table: a distance, its x or y, a radius, a
// length or an area, measured on what is drawn. The button lies inside the field, so that nothing moves
// when it comes and goes: a click that is under way would miss its button.

import {area, length} from './paths.js';
import {radiusAt} from './picker.js';

const KINDS = [['distance', 'Distance of two places'], ['dx', 'Distance along x'], ['dy', 'Distance along y'],
  ['radius', 'Radius of an arc'], ['length', 'Length of a line'], ['area', 'Enclosed area']];
const TWO = new Set(['distance', 'dx', 'dy']);

export class Taking {
  #field = null;
  #kind = null;
  #first = null;

  constructor({tools, note}) {
    this.tools = tools;
    this.note = note;
    this.menu = this.#menu();
    document.addEventListener('focusin', ({target}) => this.#offer(target));
  }

  get active() {
    return this.#kind !== null;
  }

  #menu() {
    const menu = document.createElement('div');
    menu.className = 'take-menu';
    menu.hidden = true;
    const summary = document.createElement('button');
    summary.type = 'button';
    summary.className = 'icon-button';
    summary.title = 'Take the value from the table';
    summary.ariaLabel = 'Take the value from the table';
    summary.innerHTML = '<i class="bi bi-crosshair" aria-hidden="true"></i>';
    const list = document.createElement('div');
    list.className = 'take-list';
    list.hidden = true;
    for (const [kind, label] of KINDS) {
      const item = document.createElement('button');
      item.type = 'button';
      item.textContent = label;
      item.addEventListener('click', () => this.#begin(kind));
      list.append(item);
    }
    // the field keeps the focus
    menu.addEventListener('pointerdown', (event) => event.preventDefault());
    summary.addEventListener('click', () => {
      list.hidden = !list.hidden;
    });
    menu.append(summary, list);
    this.list = list;
    return menu;
  }

  #offer(target) {
    const box = target.closest?.('.slip .value-box');
    if (this.active || this.menu.contains(target)) {
      return;
    }
    const number = box && target.matches('input[type=text]') && target.dataset.kind !== 'text' && !target.disabled
        && box.querySelector('.unit, .meaning')?.textContent.trim();
    this.menu.hidden = !number;
    if (number) {
      this.#field = target;
      this.list.hidden = true;
      box.append(this.menu);
    }
  }

  #begin(kind) {
    this.#kind = kind;
    this.#first = null;
    this.menu.hidden = true;
    this.tools.lay(this);
    this.note(TWO.has(kind) ? 'Click two places.' : 'Click a line.');
  }

  get name() {
    return TWO.has(this.#kind) ? 'take-place' : 'take-line';
  }

  get snaps() {
    return TWO.has(this.#kind);
  }

  end() {
    this.#kind = null;
    this.note('');
  }

  click({snapped: place, chain}) {
    const line = chain();
    const d = line?.d;
    if (TWO.has(this.#kind)) {
      if (!this.#first) {
        this.#first = place;
        this.note('Click the other place.');
        return;
      }
      const dx = Math.abs(place.x - this.#first.x);
      const dy = Math.abs(place.y - this.#first.y);
      this.#set({distance: Math.hypot(dx, dy), dx, dy}[this.#kind]);
    } else if (d) {
      this.#set({radius: radiusAt(d, line.place), length: length(d), area: area(d)}[this.#kind]);
    }
  }

  #set(value) {
    const field = this.#field;
    this.tools.leave(this);
    if (value === undefined || value === null || !field.isConnected) {
      this.note('That line has no such size.');
      return;
    }
    field.value = String(Number(value.toFixed(4)));
    field.dispatchEvent(new Event('change', {bubbles: true}));
    field.focus();
  }
}
