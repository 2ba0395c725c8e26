import {ask} from './ask.js';
import './commands.js';

// The editor of a format's description: numbered lines, a check while one writes, fields to look up.

const WAIT = 400;
const form = document.getElementById('format-form');
const text = document.getElementById('description');
const numbers = document.getElementById('format-numbers');
const job = document.getElementById('format-job');
const result = document.getElementById('format-check');
const saved = text.value;

let counted = 0;

function number() {
  const count = text.value.split('\n').length;
  if (count !== counted) {
    counted = count;
    numbers.textContent = Array.from({length: count}, (_, i) => i + 1).join('\n');
  }
  numbers.scrollTop = text.scrollTop;
}

let waiting = 0;
let latest = 0;

async function check() {
  const mine = ++latest;
  const csrf = form.querySelector('[name=_csrf]');
  const body = new URLSearchParams({description: text.value, job: job.value});
  if (csrf) {
    body.set('_csrf', csrf.value);
  }
  const checked = await ask(form.dataset.check, 'text', {method: 'POST', body});
  if (mine !== latest) {
    return;
  }
  if (checked !== null) {
    result.innerHTML = checked;
    mark();
  } else {
    result.textContent = 'The check could not be made. Is the server running?';
  }
}

/** The line that a mistake names. */
function mark() {
  const line = Number(/, line (\d+):/.exec(result.querySelector('.problem')?.textContent ?? '')?.[1] ?? 0);
  text.dataset.wrong = line || '';
  numbers.innerHTML = Array.from({length: counted}, (_, i) => (i + 1 === line ? `<b>${i + 1}</b>` : i + 1)).join('\n');
  numbers.scrollTop = text.scrollTop;
}

text.addEventListener('input', () => {
  number();
  clearTimeout(waiting);
  waiting = setTimeout(check, WAIT);
});
text.addEventListener('scroll', () => {
  numbers.scrollTop = text.scrollTop;
});
text.addEventListener('keydown', (event) => {
  if (event.key === 'Tab' && !event.shiftKey && !text.readOnly) {
    event.preventDefault();
    document.execCommand('insertText', false, '  ');
  }
});
job.addEventListener('change', () => {
  const address = new URL(location);
  address.searchParams.set('job', job.value);
  history.replaceState(null, '', address);
  check();
});
result.addEventListener('click', (event) => {
  const line = Number(/, line (\d+):/.exec(event.target.closest('.problem')?.textContent ?? '')?.[1] ?? 0);
  if (line) {
    const from = text.value.split('\n').slice(0, line - 1).join('\n').length + (line > 1 ? 1 : 0);
    text.focus();
    text.setSelectionRange(from, from + text.value.split('\n')[line - 1].length);
    text.scrollTop = Math.max(0, (line - 6) * 18);
  }
});

const find = document.getElementById('field-find');
find.addEventListener('input', () => {
  const words = find.value.toLowerCase().split(/\s+/).filter(Boolean);
  document.querySelectorAll('.format-help dt').forEach((term) => {
    const told = (term.textContent + ' ' + term.nextElementSibling.textContent).toLowerCase();
    const hidden = !words.every((word) => told.includes(word));
    term.hidden = hidden;
    term.nextElementSibling.hidden = hidden;
  });
});

addEventListener('beforeunload', (event) => {
  if (text.value !== saved && !form.dataset.sent) {
    event.preventDefault();
  }
});
form.addEventListener('submit', () => {
  form.dataset.sent = 'true';
});
number();
mark();
