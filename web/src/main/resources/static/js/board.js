import {ask} from './ask.js';
import './commands.js';

// Drawings dropped anywhere on the board go the same way as those chosen by the button.

const area = document.querySelector('[data-drop-area]');
const intake = document.querySelector('[data-intake]');
const files = document.getElementById('intake-file');

for (const select of document.querySelectorAll('[data-submit-on-change]')) {
  select.addEventListener('change', () => select.form.requestSubmit());
}

/** The materials to choose from are those of the chosen machine, in the order of its book. */
function offerMaterials() {
  const machine = document.querySelector('[data-intake-machine]');
  const material = document.querySelector('[data-intake-material]');
  const all = [...material.options];
  const offer = () => {
    const before = material.value;
    const own = all.filter((o) => o.dataset.machine === machine.value);
    material.replaceChildren(...own);
    material.value = own.some((o) => o.value === before) ? before : own[0]?.value ?? '';
  };
  machine.addEventListener('change', offer);
  offer();
}

/** What is typed stays; only title and tickets are taken from the board as it is now. */
async function lookAgain() {
  const page = await ask(window.location.href, 'text');
  if (page !== null) {
    const fresh = new DOMParser().parseFromString(page, 'text/html');
    for (const part of ['.job-title', '.tickets']) {
      document.querySelector(part).replaceWith(fresh.querySelector(part));
    }
    document.querySelector('.board > .empty')?.remove();
  }
}

let arriving = Number(document.getElementById('arrivals')?.dataset.arriving ?? 0);
document.addEventListener('htmx:afterSettle', () => {
  const now = Number(document.getElementById('arrivals')?.dataset.arriving ?? 0);
  if (now < arriving) {
    lookAgain();
  }
  arriving = now;
});

if (area && intake) {
  offerMaterials();
  files.addEventListener('change', () => {
    if (files.files.length) {
      intake.requestSubmit();
    }
  });
  area.addEventListener('dragover', (event) => {
    if (event.dataTransfer.types.includes('Files')) {
      event.preventDefault();
      area.classList.add('drop-here');
    }
  });
  area.addEventListener('dragleave', (event) => {
    if (!area.contains(event.relatedTarget)) {
      area.classList.remove('drop-here');
    }
  });
  area.addEventListener('drop', (event) => {
    event.preventDefault();
    area.classList.remove('drop-here');
    if (event.dataTransfer.files.length) {
      files.files = event.dataTransfer.files;
      intake.requestSubmit();
    }
  });
  intake.addEventListener('submit', () => {
    intake.querySelector('.intake-hint').textContent = 'Reading ' + files.files.length
        + (files.files.length === 1 ? ' drawing …' : ' drawings …');
  });
}
