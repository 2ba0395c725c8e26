// The run line: selecting, moving stops by pointer and keys, and the marker of the replay.

const FAR = 5;

export class RunLine extends EventTarget {
  #drag = null;

  constructor(root) {
    super();
    this.root = root;
    this.scaled = false;
    root.addEventListener('pointerdown', (e) => this.#down(e));
    root.addEventListener('keydown', (e) => this.#key(e));
    root.addEventListener('click', (e) => this.#click(e));
    document.addEventListener('pointermove', (e) => this.#move(e));
    document.addEventListener('pointerup', (e) => this.#up(e));
    document.addEventListener('pointercancel', () => this.#end());
    root.addEventListener('toggle', ({target}) => this.#unfold(target), true);
  }

  /** A folded group fetches its rows when it is first opened; the marker then has a place. */
  async #unfold(group) {
    const {rows} = group.dataset;
    if (rows && group.open) {
      delete group.dataset.rows;
      await htmx.ajax('GET', rows, {source: group, target: group, swap: 'beforeend'});
    }
    this.placeMarker();
  }

  /** Whether groups are still missing: long lines come in two parts, so that the picture waits for one only. */
  get partial() {
    return this.root.querySelector('.line-rest') !== null;
  }

  async complete() {
    const rest = this.root.querySelector('.line-rest');
    if (rest) {
      rest.className = '';
      await htmx.ajax('GET', rest.dataset.rows, {source: rest, target: rest, swap: 'outerHTML'});
    }
  }

  get scroll() {
    return document.getElementById('line-scroll');
  }

  stops() {
    return [...this.root.querySelectorAll('.stop')];
  }

  mark(ids) {
    const chosen = new Set(ids);
    for (const stop of this.stops()) {
      const on = chosen.has(stop.dataset.stop);
      stop.classList.toggle('selected', on);
      stop.querySelector('.stop-button').ariaPressed = String(on);
    }
    for (const alike of this.root.querySelectorAll('.alike')) {
      alike.ariaPressed = String(alike.dataset.ids.split(',').every((id) => chosen.has(id)));
    }
    for (const row of this.root.querySelectorAll('.feature-row')) {
      row.ariaPressed = String(chosen.has(row.dataset.feature));
    }
  }

  reveal(id) {
    const stop = this.root.querySelector(`.stop[data-stop="${CSS.escape(id)}"], .feature-row[data-feature="${CSS.escape(id)}"]`);
    const closed = stop?.closest('details:not([open])');
    if (closed) {
      closed.open = true;
    }
    const group = stop ? null : [...this.root.querySelectorAll('.line-group')].find((g) => g.dataset.ids.split(',').includes(id));
    if (group) {
      group.open = true;
    }
    (stop ?? group)?.scrollIntoView({block: 'nearest'});
  }

  #click(event) {
    const alike = event.target.closest('.alike');
    if (alike) {
      this.dispatchEvent(new CustomEvent('picked', {
        detail: {ids: alike.dataset.ids.split(','), add: event.ctrlKey || event.metaKey},
      }));
      return;
    }
    const row = event.target.closest('.feature-row');
    const stop = event.target.closest('.stop');
    const id = row?.dataset.feature ?? stop?.dataset.stop;
    if (id) {
      const add = event.ctrlKey || event.metaKey;
      const range = event.shiftKey && stop ? this.#range(id) : null;
      this.dispatchEvent(new CustomEvent('picked', {detail: {ids: range ?? [id], add}}));
    }
  }

  #range(to) {
    const ids = this.stops().map((s) => s.dataset.stop);
    const from = this.stops().findIndex((s) => s.classList.contains('selected'));
    const end = ids.indexOf(to);
    return from < 0 ? [to] : ids.slice(Math.min(from, end), Math.max(from, end) + 1);
  }

  #key(event) {
    const by = {ArrowUp: -1, ArrowDown: 1}[event.key];
    if (by && event.target.matches('.line-marker')) {
      event.preventDefault();
      event.stopPropagation();
      this.player.stepItem(by);
      return;
    }
    const stop = event.target.closest('.stop');
    if (!by || !stop) {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    if (event.altKey) {
      const chosen = this.stops().filter((s) => s.classList.contains('selected')).map((s) => s.dataset.stop);
      const moved = chosen.includes(stop.dataset.stop) ? chosen : [stop.dataset.stop];
      this.dispatchEvent(new CustomEvent('moved', {detail: {moved, shift: by < 0 ? 'up' : 'down'}}));
      return;
    }
    const stops = this.stops();
    const next = stops[stops.indexOf(stop) + by];
    if (next) {
      next.querySelector('.stop-button').focus();
      const ids = event.shiftKey ? this.#range(next.dataset.stop) : [next.dataset.stop];
      this.dispatchEvent(new CustomEvent('picked', {detail: {ids, add: false}}));
    }
  }

  // ---- moving a stop by pointer

  #down(event) {
    const marker = event.target.closest('.line-marker');
    const stop = event.target.closest('.stop');
    if (marker) {
      event.preventDefault();
      this.#drag = {marker: true};
    } else if (stop && event.button === 0 && event.pointerType === 'mouse' && document.body.dataset.edits === 'true') {
      this.#drag = {stop, y: event.clientY, far: false};
    }
  }

  #move(event) {
    const drag = this.#drag;
    if (!drag) {
      return;
    }
    if (drag.marker) {
      this.#dragMarker(event.clientY);
      return;
    }
    drag.far ||= Math.abs(event.clientY - drag.y) > FAR;
    if (drag.far) {
      drag.stop.classList.add('dragging');
      this.#showTarget(event.clientY);
    }
  }

  #showTarget(y) {
    this.#clearTargets();
    const stops = this.stops().filter((s) => s.offsetParent);
    const over = stops.find((s) => y < s.getBoundingClientRect().top + s.offsetHeight / 2);
    this.#drag.before = over ? over.dataset.stop : '';
    if (over) {
      over.classList.add('drop-before');
    } else {
      stops[stops.length - 1]?.classList.add('drop-after');
    }
  }

  #clearTargets() {
    this.root.querySelectorAll('.drop-before, .drop-after').forEach((s) => s.classList.remove('drop-before', 'drop-after'));
  }

  #up() {
    const drag = this.#drag;
    this.#end();
    if (drag?.far && drag.before !== drag.stop.dataset.stop) {
      this.#swallowClick();
      this.dispatchEvent(new CustomEvent('moved', {detail: {moved: [drag.stop.dataset.stop], before: drag.before}}));
    }
  }

  /** The click that the browser makes of the end of a drag is no selection. */
  #swallowClick() {
    const swallow = (e) => e.stopPropagation();
    addEventListener('click', swallow, {capture: true});
    setTimeout(() => removeEventListener('click', swallow, {capture: true}), 0);
  }

  #end() {
    this.#drag?.stop?.classList.remove('dragging');
    this.#clearTargets();
    this.#drag = null;
  }

  // ---- to the scale of time

  setScaled(on) {
    this.scaled = on;
    const stops = this.stops();
    const total = stops.reduce((sum, s) => sum + Number(s.dataset.seconds), 0) || 1;
    const room = Math.max(600, stops.length * 40);
    for (const stop of stops) {
      stop.querySelector('.stop-button').style.minHeight = on ? Math.max(22, room * Number(stop.dataset.seconds) / total) + 'px' : '';
      stop.querySelector('.stop-button').style.alignItems = on ? 'start' : '';
    }
    const button = document.getElementById('time-scale');
    if (button) {
      button.ariaPressed = String(on);
    }
    this.placeMarker();
  }

  // ---- the marker

  /** Follows a replay: its stop and moment. */
  follow(player) {
    this.player = player;
    player.addEventListener('moment', () => this.placeMarker());
  }

  placeMarker() {
    const marker = this.root.querySelector('.line-marker');
    if (!marker || !this.player) {
      return;
    }
    const id = this.player.stopId;
    const stop = this.stops().find((s) => s.dataset.stop === id);
    for (const s of this.root.querySelectorAll('.running')) {
      if (s !== stop) {
        s.classList.remove('running');
      }
    }
    marker.hidden = this.player.rows.length === 0;
    marker.setAttribute('aria-valuemax', this.player.total.toFixed(1));
    marker.setAttribute('aria-valuenow', this.player.moment.toFixed(1));
    if (stop?.offsetParent) {
      stop.classList.add('running');
      const share = (this.player.moment - Number(stop.dataset.begins)) / (Number(stop.dataset.seconds) || 1);
      const frame = stop.getBoundingClientRect();
      const top = this.scroll.getBoundingClientRect().top - this.scroll.scrollTop;
      marker.style.top = frame.top - top + frame.height * Math.max(0, Math.min(1, share)) + 'px';
      if (this.player.playing) {
        stop.scrollIntoView({block: 'nearest'});
      }
    } else {
      const group = [...this.root.querySelectorAll('.line-group')].find((g) => g.dataset.ids.split(',').includes(id));
      marker.style.top = (group ? group.offsetTop + 16 : id ? 0 : this.player.moment > 0 ? this.scroll.scrollHeight - 26 : 6) + 'px';
    }
  }

  #dragMarker(y) {
    const stops = this.stops().filter((s) => s.offsetParent);
    const over = stops.find((s) => y <= s.getBoundingClientRect().bottom);
    if (!over) {
      this.player.seek(this.player.total);
      return;
    }
    const frame = over.getBoundingClientRect();
    const share = Math.max(0, Math.min(1, (y - frame.top) / frame.height));
    this.player.seek(Number(over.dataset.begins) + share * Number(over.dataset.seconds));
  }
}
