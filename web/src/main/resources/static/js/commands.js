// Commands are whatever on the page carries data-command; data-key is its key. One searchable box,
// one list of keys, one handler of keys, all from the same marks.

const box = document.getElementById('command-box');
const text = document.getElementById('command-text');
const list = document.getElementById('command-list');
const keysBox = document.getElementById('keys-box');
const keysList = document.getElementById('keys-list');

const commands = () => [...document.querySelectorAll('[data-command]')].filter((e) => !e.disabled);

function run(element) {
  if (element.matches('input[type=search], input[type=text], select, canvas')) {
    element.focus();
  } else {
    element.click();
  }
}

let chosen = 0;
let shown = [];

function show() {
  const words = text.value.toLowerCase().split(/\s+/).filter(Boolean);
  shown = commands().filter((e) => words.every((w) => e.dataset.command.toLowerCase().includes(w)));
  chosen = Math.max(0, Math.min(chosen, shown.length - 1));
  list.replaceChildren(...shown.map((element, i) => {
    const item = document.createElement('li');
    item.role = 'option';
    item.id = 'command-' + i;
    item.ariaSelected = String(i === chosen);
    item.append(element.dataset.command);
    if (element.dataset.key) {
      const key = document.createElement('kbd');
      key.textContent = readable(element.dataset.key);
      item.append(key);
    }
    item.addEventListener('click', () => choose(i));
    return item;
  }));
  if (!shown.length) {
    const none = document.createElement('li');
    none.className = 'none';
    none.role = 'option';
    none.ariaSelected = 'false';
    none.textContent = 'No command has these words';
    list.append(none);
  }
  text.setAttribute('aria-activedescendant', shown.length ? 'command-' + chosen : '');
  list.querySelector('[aria-selected=true]')?.scrollIntoView({block: 'nearest'});
}

function choose(i) {
  box.close();
  if (shown[i]) {
    run(shown[i]);
  }
}

function open() {
  text.value = '';
  chosen = 0;
  box.showModal();
  show();
  text.focus();
}

const readable = (key) => key.replace('ArrowUp', '↑').replace('ArrowDown', '↓').replace('ArrowLeft', '←')
    .replace('ArrowRight', '→').replaceAll('+', ' ').trim() || '+';

text.addEventListener('input', () => {
  chosen = 0;
  show();
});
text.addEventListener('keydown', (event) => {
  const step = {ArrowDown: 1, ArrowUp: -1}[event.key];
  if (step) {
    chosen += step;
    show();
    event.preventDefault();
  } else if (event.key === 'Enter') {
    choose(chosen);
    event.preventDefault();
  }
});

/** Further keys that belong to no element: [key, what it does]. */
const extraKeys = [['Ctrl+K', 'Find a command'], ['?', 'List the keys of this page'], ['Esc', 'Close, or clear the selection']];

export function addKeys(pairs) {
  extraKeys.push(...pairs);
}

function listKeys() {
  const pairs = [...commands().filter((e) => e.dataset.key).map((e) => [e.dataset.key, e.dataset.command]), ...extraKeys];
  const seen = new Set();
  keysList.replaceChildren(...pairs.flatMap(([key, what]) => {
    if (seen.has(key)) {
      return [];
    }
    seen.add(key);
    const dt = document.createElement('dt');
    const kbd = document.createElement('kbd');
    kbd.textContent = readable(key);
    dt.append(kbd);
    const dd = document.createElement('dd');
    dd.textContent = what;
    return [dt, dd];
  }));
  keysBox.showModal();
}

const isTyping = (target) => target.matches('input:not([type=range]):not([type=radio]), select, textarea');

function name(event) {
  const key = event.key === ' ' ? 'Space' : event.key;
  const ctrl = event.ctrlKey || event.metaKey ? 'Ctrl+' : '';
  const alt = event.altKey ? 'Alt+' : '';
  const shift = event.shiftKey && (ctrl || key.length > 1) ? 'Shift+' : '';
  return ctrl + alt + shift + (key.length === 1 ? key.toLowerCase() : key);
}

let leading = '';

/** Escape closes what is open before it does anything else. */
function closeMenus() {
  const menus = [...document.querySelectorAll('details.draw-more[open]')];
  const lists = [...document.querySelectorAll('.dropdown-menu.show')];
  menus.forEach((menu) => {
    menu.open = false;
    menu.querySelector('summary').focus();
  });
  lists.forEach((menu) => {
    const toggle = menu.parentElement.querySelector('[data-bs-toggle]');
    window.bootstrap.Dropdown.getOrCreateInstance(toggle).hide();
    toggle.focus();
  });
  return menus.length + lists.length > 0;
}

document.addEventListener('keydown', (event) => {
  if (event.key === 'Escape' && !document.querySelector('dialog[open]') && closeMenus()) {
    event.preventDefault();
    event.stopImmediatePropagation();
  }
}, true);

document.addEventListener('keydown', (event) => {
  const key = name(event);
  if (key === 'Ctrl+k') {
    event.preventDefault();
    open();
    return;
  }
  const undoing = key === 'Ctrl+z' || key === 'Ctrl+Shift+z';
  if (event.defaultPrevented || document.querySelector('dialog[open]')
      || (isTyping(event.target) && !(undoing && event.target.value === event.target.defaultValue))) {
    return;
  }
  const pair = leading ? leading + ' ' + key : key;
  leading = '';
  const element = commands().find((e) => e.dataset.key === pair);
  if (element && !(key === 'Space' && event.target.matches('button, a, summary'))) {
    event.preventDefault();
    run(element);
  } else if (commands().some((e) => e.dataset.key?.startsWith(key + ' '))) {
    leading = key;
  }
});

document.addEventListener('click', (event) => {
  if (event.target.closest('[data-command-open]')) {
    open();
  } else if (event.target.closest('[data-keys-open]')) {
    listKeys();
  }
});
for (const dialog of [box, keysBox]) {
  dialog.addEventListener('click', (event) => {
    if (event.target === dialog) {
      dialog.close();
    }
  });
}
