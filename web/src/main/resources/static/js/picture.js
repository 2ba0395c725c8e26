import {ask} from './ask.js';
import {levels} from './picture-look.js';

// Pictures and fonts come to the drawing by the field of the command; pictures also by dropping them.

const isPicture = (file) => /^image\/(png|jpeg|gif|bmp)$/.test(file.type);

/** @return what the server calls it, or the sentence why it will not have it */
async function bring(path, file) {
  const body = new FormData();
  body.set('file', file);
  const headers = JSON.parse(document.body.getAttribute('hx-headers'));
  const answer = await fetch(path, {method: 'POST', body, headers}).catch(() => null);
  const said = await answer?.json().catch(() => null);
  return answer?.ok ? said : {sentence: said?.detail ?? 'The file did not arrive.'};
}

/** What was brought in; null when the server would not have it, which is said. */
async function brought(path, file, box) {
  const error = document.getElementById('draw-error');
  error.hidden = true;
  box.setAttribute('aria-busy', 'true');
  const said = await bring(path, file);
  box.removeAttribute('aria-busy');
  if (said.sentence) {
    error.textContent = said.sentence;
    error.hidden = false;
    return null;
  }
  return said;
}

async function putFont(field, file) {
  const box = field.closest('.font-box');
  const font = await brought('/fonts', file, box);
  if (font) {
    const select = box.querySelector('select');
    const there = [...select.options].find((option) => option.value === font.sha256);
    select.add(there ?? new Option(`${font.family}, ${font.style}`, font.sha256));
    select.value = font.sha256;
    select.dispatchEvent(new Event('input', {bubbles: true}));
  }
}

async function put(field, file) {
  const box = field.closest('.picture-box');
  const picture = await brought('/pictures', file, box);
  if (!picture) {
    return;
  }
  const sum = box.querySelector('[type=hidden]');
  sum.value = picture.sha256;
  const shown = box.querySelector('img');
  shown.src = `/pictures/${picture.sha256}`;
  shown.hidden = false;
  sum.dispatchEvent(new Event('input', {bubbles: true}));
  showLevels(box, picture.sha256);
}

/** Its levels of grey, where the one between ink and paper can be chosen. */
async function showLevels(box, picture) {
  const level = box.closest('form').elements['v.level'];
  const job = document.body.dataset.job;
  const found = level && await ask(`/jobs/${job}/shape/picture/levels?${new URLSearchParams({picture})}`);
  box.querySelector('.picture-levels')?.remove();
  if (found) {
    box.append(levels(found.bars, found.level, (value) => {
      level.value = value;
      return level;
    }));
  }
}

/**
 * @param drawing the commands of drawing
 */
export function takePictures(table, drawing) {
  document.addEventListener('change', ({target}) => {
    if (target.matches('[data-picture]') && target.files.length) {
      put(target, target.files[0]);
    } else if (target.matches('[data-font]') && target.files.length) {
      putFont(target, target.files[0]);
    }
  });
  table.addEventListener('dragover', (event) => {
    if ([...event.dataTransfer.items].some((item) => item.kind === 'file')) {
      event.preventDefault();
    }
  });
  table.addEventListener('drop', async (event) => {
    const file = [...event.dataTransfer.files].find(isPicture);
    if (file) {
      event.preventDefault();
      await drawing.start('picture', {x: '0', y: '0'});
      const field = document.querySelector('[data-picture]');
      if (field) {
        put(field, file);
      }
    }
  });
}
