// Pictures come to the drawing by the field of the command, or dropped on the table.

const isPicture = (file) => /^image\/(png|jpeg|gif|bmp)$/.test(file.type);

/** @return what the server calls it, or the sentence why it will not have it */
async function bring(file) {
  const body = new FormData();
  body.set('file', file);
  const headers = JSON.parse(document.body.getAttribute('hx-headers'));
  const answer = await fetch('/pictures', {method: 'POST', body, headers}).catch(() => null);
  const said = await answer?.json().catch(() => null);
  return answer?.ok ? said : {sentence: said?.detail ?? 'The picture did not arrive.'};
}

async function put(field, file) {
  const box = field.closest('.picture-box');
  const error = document.getElementById('draw-error');
  error.hidden = true;
  box.setAttribute('aria-busy', 'true');
  const brought = await bring(file);
  box.removeAttribute('aria-busy');
  if (brought.sentence) {
    error.textContent = brought.sentence;
    error.hidden = false;
    return;
  }
  const sum = box.querySelector('[type=hidden]');
  sum.value = brought.sha256;
  const shown = box.querySelector('img');
  shown.src = `/pictures/${brought.sha256}`;
  shown.hidden = false;
  sum.dispatchEvent(new Event('input', {bubbles: true}));
}

/**
 * @param drawing the commands of drawing
 */
export function takePictures(table, drawing) {
  document.addEventListener('change', ({target}) => {
    if (target.matches('[data-picture]') && target.files.length) {
      put(target, target.files[0]);
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
